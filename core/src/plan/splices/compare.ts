import { ruleValue } from '../../rules/index.ts';
import type { Material } from '../../materials/index.ts';
import type { Section } from '../../sections/index.ts';
import { isOnWeb, type RailSplice, type SplicePlate } from '../../splice/index.ts';
import type { Context } from '../context.ts';
import type { FatigueDetail } from './fatigue.ts';
import { calculateSplice } from './splice-outcome.ts';
import { sleeveMass, plateMass } from './steel.ts';
import { PLAIN_BUTT, type Proposing, usualPlate, usualSleeve, usualStep } from './usual.ts';

/** One way of making a joint beside the others: what it is worth, and what it takes. */
export interface ComparedForm {
  readonly id: string;
  readonly name: string;
  readonly splice: RailSplice;
  /** Null where it cannot be calculated: `why` says so. */
  readonly ratio: number | null;
  readonly atWeld: number | null;
  readonly why: string | null;
  readonly worstDetail: FatigueDetail | null;
  /** mm, kJ, kg and hours for one rail. */
  readonly weldLength: number;
  readonly heat: number;
  readonly steel: number;
  readonly hours: number;
  /** Faces that a torch, or a wrench, must get at. */
  readonly reached: readonly string[];
  /** What must come off or be moved apart for it. */
  readonly apart: string;
  /** What each school of practice says of it. */
  readonly schools: { readonly weld: string; readonly bolt: string };
}

/** What the forms are compared at. */
export interface Comparing extends Proposing {
  readonly material: Material;
  readonly context: Pick<Context, 'rules' | 'display' | 'show'>;
  /** Whether the joint lies ahead of the last hanger of the suspension. */
  readonly aheadOfHanger: boolean;
}

interface Way {
  readonly id: string;
  readonly name: string;
  readonly splice: RailSplice | null;
}

const plated = (base: RailSplice, ...plates: readonly (SplicePlate | null)[]): RailSplice | null =>
  plates.every((plate) => plate !== null) ? { ...base, plates: plates as readonly SplicePlate[] } : null;

/** Every form of joint that the trade speaks of, made as the rulebook begins with it; the weld as it is now. */
function waysOf(now: RailSplice, proposing: Proposing): readonly Way[] {
  const { steel, display } = proposing;
  const weld = now.form.form === 'bolted' ? PLAIN_BUTT.weld : now.weld;
  const butt: RailSplice = { ...PLAIN_BUTT, weld };
  const step: RailSplice = { ...butt, form: usualStep(steel.section, display) };
  const angled: RailSplice = { ...butt, form: { form: 'angled', run: steel.section.depth } };
  const on = (base: RailSplice, id: string, face: SplicePlate['face']) => usualPlate(id, face, base.form, proposing);
  const closed = steel.section.kind !== 'channel';
  const second = closed ? 'inner-side' : 'web-inside';
  const rectangle = on(butt, 'plate-1', 'web-inside') ?? on(butt, 'plate-1', 'web-outside');
  const diamond = rectangle && { ...rectangle, outline: { shape: 'diamond' as const } };
  const sleeved = (kind: 'inner' | 'outer' | 'folded'): RailSplice | null => {
    const sleeve = usualSleeve(kind, butt.form, proposing);
    return (
      sleeve && {
        ...butt,
        weld: { ...weld, way: weld.way === 'one-side' && kind !== 'outer' ? 'on-backing' : weld.way },
        sleeve,
      }
    );
  };
  const bolted: RailSplice = { ...PLAIN_BUTT, form: { form: 'bolted' } };
  return [
    { id: 'butt', name: 'Butt', splice: butt },
    { id: 'angled', name: 'Angled', splice: angled },
    { id: 'step', name: 'Step', splice: step },
    { id: 'butt-inside', name: 'Butt, plate inside', splice: plated(butt, on(butt, 'plate-1', 'web-inside')) },
    { id: 'butt-outside', name: 'Butt, plate outside', splice: plated(butt, on(butt, 'plate-1', 'web-outside')) },
    {
      id: 'butt-both',
      name: 'Butt, plates on both faces',
      splice: plated(butt, on(butt, 'plate-1', second), on(butt, 'plate-2', 'web-outside')),
    },
    { id: 'butt-diamond', name: 'Butt, diamond plate', splice: plated(butt, diamond) },
    { id: 'angled-inside', name: 'Angled, plate inside', splice: plated(angled, on(angled, 'plate-1', 'web-inside')) },
    { id: 'step-inside', name: 'Step, plate inside', splice: plated(step, on(step, 'plate-1', 'web-inside')) },
    {
      id: 'step-both',
      name: 'Step, plates on both faces',
      splice: plated(step, on(step, 'plate-1', second), on(step, 'plate-2', 'web-outside')),
    },
    {
      id: 'butt-flanges',
      name: 'Butt, plates on both flanges',
      splice: plated(butt, on(butt, 'plate-1', 'top-flange'), on(butt, 'plate-2', 'bottom-flange')),
    },
    {
      id: 'butt-boxed',
      name: 'Butt, boxed over it',
      splice: closed ? null : plated(butt, on(butt, 'plate-1', 'inner-side')),
    },
    { id: 'inner', name: 'Butt, inner sleeve', splice: sleeved('inner') },
    { id: 'folded', name: 'Butt, folded channel inside', splice: sleeved('folded') },
    { id: 'outer', name: 'Butt, outer sleeve', splice: sleeved('outer') },
    {
      id: 'bolted',
      name: 'Bolted, plates on web and flanges',
      splice: plated(
        bolted,
        on(bolted, 'plate-1', 'web-inside') ?? on(bolted, 'plate-1', 'web-outside'),
        on(bolted, 'plate-2', 'top-flange'),
        on(bolted, 'plate-3', 'bottom-flange'),
      ),
    },
  ];
}

const FACE_REACH: Readonly<Record<SplicePlate['face'], string>> = {
  'web-inside': 'inside of the web',
  'web-outside': 'outside of the web',
  'inner-side': 'inner side',
  'top-flange': 'top flange',
  'bottom-flange': 'bottom flange',
};

function reachedOf({ form, weld, plates, sleeve }: RailSplice, section: Section): readonly string[] {
  const open = section.kind === 'channel';
  const all = new Set<string>();
  if (form.form !== 'bolted') {
    all.add('outside of the web').add('top flange').add('bottom flange');
    if (!open) all.add('inner wall');
    if (weld.way === 'both-sides') all.add(open ? 'inside of the web' : 'inside of the tube');
  }
  for (const { face } of plates) all.add(FACE_REACH[face]);
  if (sleeve?.kind === 'folded') all.add('inside of the web');
  return [...all];
}

function hoursOf(
  splice: RailSplice,
  weldLength: number,
  reached: readonly string[],
  rules: Proposing['rules'],
): number {
  const { form, plates, sleeve } = splice;
  const bolts = plates.reduce(
    (sum, { fastening }) => sum + (fastening.by === 'bolts' ? 2 * fastening.bolts.along * fastening.bolts.rows : 0),
    0,
  );
  const inside = reached.some((face) => face === 'inside of the web' || face === 'inner side');
  return (
    (weldLength / 1000) * ruleValue(rules, 'work/weld') +
    (form.form === 'step' ? ruleValue(rules, 'work/step') : 0) +
    (form.form === 'angled' ? ruleValue(rules, 'work/angled') : 0) +
    plates.length * ruleValue(rules, 'work/plate') +
    (sleeve ? ruleValue(rules, 'work/sleeve') : 0) +
    (inside ? ruleValue(rules, 'work/inside') : 0) +
    bolts * ruleValue(rules, 'work/bolt')
  );
}

/** What has to come off, or be drawn apart, before the joint can be made. */
function apartOf({ sleeve }: RailSplice, reached: readonly string[], show: (mm: number) => string): string {
  const inside = reached.includes('inside of the web') ? 'what hangs on the inside of the web comes off' : '';
  const opened =
    sleeve && sleeve.kind !== 'folded'
      ? `the frame is drawn apart by ${show(Math.min(sleeve.ahead, sleeve.behind))} to let the sleeve in`
      : '';
  return [inside, opened].filter((text) => text !== '').join('; ') || 'nothing';
}

function schoolsOf({ form, plates }: RailSplice, aheadOfHanger: boolean): ComparedForm['schools'] {
  const flanges = plates.some(({ face }) => !isOnWeb(face));
  if (form.form === 'bolted') return { weld: 'where heat is not allowed', bolt: 'the way ahead of the hanger' };
  const square = plates.some(({ outline }) => outline.shape === 'rectangle');
  return {
    weld: flanges ? 'only small tapered ones' : square ? 'taper the ends' : form.form === 'step' ? 'preferred' : 'good',
    bolt: aheadOfHanger ? 'not ahead of the hanger' : flanges ? 'no weld across a flange' : 'behind the hanger only',
  };
}

/**
 * All forms of a joint beside each other on one rail, as the rulebook begins with each; the splice as it is now first.
 *
 * @param now How the rail is made there now.
 * @param comparing Rail, rules, and where the joint is.
 */
export function compareForms(now: RailSplice, comparing: Comparing): readonly ComparedForm[] {
  const { steel, material, context, rules, aheadOfHanger } = comparing;
  const ways: readonly Way[] = [{ id: 'now', name: 'As planned', splice: now }, ...waysOf(now, comparing)];
  return ways.flatMap(({ id, name, splice }): ComparedForm[] => {
    if (!splice) return [];
    const { strength, made, weld, details } = calculateSplice(splice, steel.section, material, context);
    const reached = reachedOf(splice, steel.section);
    return [
      {
        id,
        name,
        splice,
        ratio: strength?.ratio ?? null,
        atWeld: strength?.ratioAtWeld ?? null,
        why: made.problems[0]?.message ?? null,
        worstDetail: details[0] ?? null,
        weldLength: weld.length,
        heat: weld.heat,
        steel:
          made.plates.reduce((sum, plate) => sum + plateMass(plate, steel.section, material.density), 0) +
          (splice.sleeve ? sleeveMass(splice.sleeve, material.density) : 0),
        hours: hoursOf(splice, weld.length, reached, rules),
        reached,
        apart: apartOf(splice, reached, context.show),
        schools: schoolsOf(splice, aheadOfHanger),
      },
    ];
  });
}
