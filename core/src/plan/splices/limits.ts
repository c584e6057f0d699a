import { type Rulebook, ruleValue } from '../../rules/index.ts';
import type { Section } from '../../sections/index.ts';
import {
  innerWallOf,
  edgesAt,
  edgesOf,
  isOnWeb,
  type Plate,
  type RailSplice,
  type RailSteel,
  type SplicePlate,
} from '../../splice/index.ts';
import { exceeds, readsLess } from '../../units/index.ts';

/** Something about how a joint is made that welders or standards advise against, with its number. */
export interface SpliceLimit {
  readonly code: string;
  readonly severity: 'warn' | 'note';
  readonly message: string;
}

interface Looking {
  readonly steel: RailSteel;
  readonly rules: Rulebook;
  readonly show: (mm: number) => string;
}

/** A length below this is no difference, mm. */
const SLIGHT = 0.05;
/** Up to here a fillet may be as large as its edge is thick, mm. */
const THIN_EDGE = 6.35;

function ofFillets(
  { name }: Plate,
  { fastening, thickness }: SplicePlate,
  { steel, rules, show }: Looking,
): SpliceLimit[] {
  if (fastening.by !== 'weld' || fastening.leg <= 0) return [];
  const { leg } = fastening;
  const thinner = Math.min(thickness, steel.section.thickness);
  const back = thickness > THIN_EDGE ? ruleValue(rules, 'splice/edge-back') : 0;
  const least = ruleValue(rules, 'splice/fillet-least');
  const most = Math.min(thinner, thickness - back);
  if (readsLess(most, leg, show))
    return [
      {
        code: 'fillet-large',
        severity: 'warn',
        message: `The fillets of the ${name} have a leg of ${show(leg)}; the steel there takes ${show(most)}.`,
      },
    ];
  if (readsLess(leg, least, show))
    return [
      {
        code: 'fillet-small',
        severity: 'warn',
        message: `The fillets of the ${name} have a leg of ${show(leg)}; the rulebook asks ${show(least)} at least.`,
      },
    ];
  return [];
}

/** The least distance between two points of a pattern, mm. */
const nearest = (points: readonly { readonly x: number; readonly across: number }[]): number =>
  Math.min(
    ...points.flatMap((a, at) => points.slice(at + 1).map((b) => Math.hypot(a.x - b.x, a.across - b.across))),
    Infinity,
  );

function ofPoints(plate: Plate, laid: SplicePlate, { rules, show }: Looking): SpliceLimit[] {
  const bolted = laid.fastening.by === 'bolts';
  const points = bolted ? plate.bolts : plate.plugs;
  const [first] = points;
  if (!first) return [];
  const what = bolted ? 'Bolts' : 'Plugs';
  const spacing = ruleValue(rules, bolted ? 'bolt/spacing' : 'splice/plug-spacing') * first.diameter;
  const edge = ruleValue(rules, bolted ? 'bolt/edge' : 'splice/plug-edge') * first.diameter;
  const apart = nearest(points);
  const toEnd = Math.min(...points.map(({ x }) => Math.min(x + plate.ahead, plate.behind - x)));
  const toJoint = Math.min(...points.map(({ x }) => Math.abs(x)));
  const near = Math.min(toEnd, toJoint);
  return [
    ...(readsLess(apart, spacing, show)
      ? [
          {
            code: bolted ? 'bolt-spacing' : 'plug-spacing',
            severity: 'warn' as const,
            message: `${what} of the ${plate.name} stand ${show(apart)} from middle to middle; the rulebook asks ${show(spacing)}.`,
          },
        ]
      : []),
    ...(readsLess(near, edge, show)
      ? [
          {
            code: bolted ? 'bolt-edge' : 'plug-edge',
            severity: 'warn' as const,
            message: `${what} of the ${plate.name} are ${show(near)} from ${toEnd <= toJoint ? 'its end' : 'the joint'}; the rulebook asks ${show(edge)}.`,
          },
        ]
      : []),
  ];
}

/** A plate that ends between the verticals of a step covers only one of them; a plug beyond its edge holds nothing. */
function ofCover(plate: Plate, { form }: RailSplice, section: Section, { show }: Looking): SpliceLimit[] {
  const half = form.form === 'step' ? form.length / 2 : 0;
  const short = Math.max(half - plate.ahead, half - plate.behind);
  const edges = edgesOf(plate, section);
  const outside = plate.plugs.filter(({ x, across, diameter }) =>
    [x - diameter / 2, x, x + diameter / 2].some((at) => {
      if (exceeds(-plate.ahead, at) || exceeds(at, plate.behind)) return true;
      const { low, high } = edgesAt(edges, at);
      const reach = Math.sqrt(Math.max(0, diameter ** 2 / 4 - (at - x) ** 2));
      return exceeds(low, across - reach) || exceeds(across + reach, high);
    }),
  );
  return [
    ...(exceeds(short, 0)
      ? [
          {
            code: 'plate-short-of-step',
            severity: 'warn' as const,
            message: `The ${plate.name} ends ${show(short)} short of a vertical of the step: it does not bridge the weld there.`,
          },
        ]
      : []),
    ...(outside.length > 0
      ? [
          {
            code: 'plug-outside',
            severity: 'warn' as const,
            message: `${outside.length} of ${plate.plugs.length} plug holes of the ${plate.name} run over its edge.`,
          },
        ]
      : []),
  ];
}

function ofPlate(plate: Plate, laid: SplicePlate, looking: Looking): SpliceLimit[] {
  const { steel, rules, show } = looking;
  const thick = ruleValue(rules, 'splice/plate-thick') * steel.section.thickness;
  const welded = laid.fastening.by === 'weld';
  const onWeb = isOnWeb(plate.face);
  return [
    ...ofFillets(plate, laid, looking),
    ...ofPoints(plate, laid, looking),
    ...(readsLess(thick, plate.thickness, show)
      ? [
          {
            code: 'plate-thick',
            severity: 'warn' as const,
            message: `The ${plate.name} is ${show(plate.thickness)} thick; on this wall the rulebook allows ${show(thick)}.`,
          },
        ]
      : []),
    ...(welded && !onWeb && ruleValue(rules, 'splice/flange-plates') === 0
      ? [
          {
            code: 'flange-plate',
            severity: 'warn' as const,
            message: `The ${plate.name} ends across the flange: the shop’s rulebook welds none there.`,
          },
        ]
      : []),
    ...(welded && plate.outline.shape === 'rectangle' && ruleValue(rules, 'splice/square-ends') === 0
      ? [
          {
            code: 'square-ends',
            severity: 'warn' as const,
            message: `The ${plate.name} has square ends: a weld straight across the rail is where cracks begin.`,
          },
        ]
      : []),
    ...(plate.face === 'inner-side' && steel.section.kind === 'channel' && plate.outline.shape !== 'taper'
      ? [
          {
            code: 'boxing-ends',
            severity: 'warn' as const,
            message: 'The boxing plate ends at once: where it ends the rail turns from stiff to soft. Taper both ends.',
          },
        ]
      : []),
  ];
}

/**
 * What welders or standards advise against in how a rail is made at a joint, by the rulebook.
 *
 * @param splice How it is made.
 * @param plates Its plates as they are laid on.
 * @param looking The rail, the rules, and how lengths are written.
 */
export function spliceLimits(splice: RailSplice, plates: readonly Plate[], looking: Looking): readonly SpliceLimit[] {
  const { steel, rules, show } = looking;
  const { section } = steel;
  const thin = ruleValue(rules, 'splice/thin-wall');
  const inner = innerWallOf(section);
  const { sleeve } = splice;
  const thinWall = (what: string, wall: number): SpliceLimit[] =>
    wall < thin - SLIGHT
      ? [
          {
            code: 'thin-wall',
            severity: 'note',
            message: `${what} is ${show(wall)} thick: full welds and plugs burn through it. Stitch it, and try on an offcut first.`,
          },
        ]
      : [];
  const spacing =
    sleeve && sleeve.plugs.flanges > 1 ? Math.min(sleeve.ahead, sleeve.behind) / sleeve.plugs.flanges : Infinity;
  const wanted = ruleValue(rules, 'splice/plug-spacing') * (sleeve?.plugs.diameter ?? 0);
  return [
    ...plates.flatMap((plate, at) => [
      ...ofPlate(plate, splice.plates[at] as SplicePlate, looking),
      ...ofCover(plate, splice, section, looking),
    ]),
    ...thinWall('The wall of the rail', section.thickness),
    ...(inner !== null && inner < section.thickness - SLIGHT ? thinWall('The inner wall of the rail', inner) : []),
    ...(sleeve ? thinWall('The sleeve', Math.min(sleeve.wall, sleeve.inner ?? Infinity)) : []),
    ...(readsLess(spacing, wanted, show)
      ? [
          {
            code: 'plug-spacing',
            severity: 'warn' as const,
            message: `Plugs of the sleeve stand ${show(spacing)} from middle to middle; the rulebook asks ${show(wanted)}.`,
          },
        ]
      : []),
  ];
}
