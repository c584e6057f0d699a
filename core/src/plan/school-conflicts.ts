import { factsOf } from '../frame/index.ts';
import { ruleValue } from '../rules/index.ts';
import { advise, type Finding, type SuggestedFix } from './conflict.ts';
import type { Context } from './context.ts';
import type { FeatureOutcome } from './feature-outcome.ts';
import { builtXOf, type Finder, type Findings } from './findings.ts';
import { PLAIN_BOLTED, type SpliceOutcome, usualPlate } from './splices/index.ts';
import { builtOf } from './tape.ts';

/**
 * Where the last hanger or link of a suspension stands on the built frame, mm; minus infinity without any.
 *
 * @param features What became of each feature.
 */
export const lastHanger = (features: readonly FeatureOutcome[]): number =>
  Math.max(
    ...features.filter(({ feature }) => factsOf(feature.kind).hanger).map((outcome) => builtXOf(outcome) ?? -Infinity),
  );

/** Whether nothing of a joint is welded. */
const isBolted = ({ decided, rails }: SpliceOutcome): boolean =>
  decided !== null &&
  rails.every(
    ({ splice: { form, plates, sleeve } }) =>
      form.form === 'bolted' && sleeve === null && plates.every(({ fastening }) => fastening.by === 'bolts'),
  );

/** A joint of rails that must not be welded, with plates on web and flanges bolted over it. */
function bolted({ joint, rails }: SpliceOutcome, { rules, display }: Context): SuggestedFix[] {
  const [rail] = rails;
  if (!rail) return [];
  const plates = (['web-inside', 'web-outside', 'top-flange', 'bottom-flange'] as const).flatMap(
    (face, at) => usualPlate(`plate-${at + 1}`, face, PLAIN_BOLTED.form, { steel: rail.steel, rules, display }) ?? [],
  );
  return [
    {
      say: `Bolt joint ${joint.letter}: plates on web and flanges`,
      edit: { do: 'splice', splices: [{ joint: joint.id, rails: { ...PLAIN_BOLTED, plates }, others: [] }] },
    },
  ];
}

/** Something that the plan welds to the rails: where, and how it could be held otherwise. */
interface Welded extends Pick<Finding, 'operation' | 'donorX' | 'builtX' | 'about'> {
  readonly name: string;
  readonly fixes: readonly SuggestedFix[];
}

const weldedJoints = ({ splices }: Findings, of: readonly SpliceOutcome['joint']['of'][], context: Context): Welded[] =>
  splices
    .filter((splice) => !isBolted(splice) && of.includes(splice.joint.of))
    .map((splice) => ({
      name: `Joint ${splice.joint.letter}`,
      operation: splice.joint.operation,
      donorX: splice.joint.donorX,
      builtX: splice.joint.builtX,
      about: splice.joint.id,
      fixes: bolted(splice, context),
    }));

/** Brackets, crossmembers, boxing and notch plates, and mount brackets that somebody has decided to weld. */
const weldedThings = ({ features, crossmembers, state, mountings, tape }: Findings): Welded[] => [
  ...features
    .filter(({ feature, status }) => status === 're-weld' || (status === 'new' && feature.attachment === 'weld'))
    .map((outcome) => ({
      name: outcome.feature.name,
      operation: outcome.operation,
      donorX: null,
      builtX: builtXOf(outcome),
      about: outcome.feature.id,
      fixes: advise('Bolt it: choose bolts in its operation.'),
    })),
  ...crossmembers
    .filter(({ crossmember, status }) => (status === 'new' || status === 're-weld') && crossmember.fixing === 'welded')
    .map(({ crossmember, operation, built }) => ({
      name: crossmember.name,
      operation,
      donorX: null,
      builtX: built?.x ?? null,
      about: crossmember.id,
      fixes: advise('Bolt it to the webs: choose bolts in its operation.'),
    })),
  ...state.reworks.flatMap(({ operation, source, from, to }): Welded[] => {
    if (operation.kind === 'notch' && operation.plate <= 0) return [];
    const middle = (from + to) / 2;
    const donorX = source === 'donor' ? middle : null;
    return [
      {
        name: operation.kind === 'box' ? 'The boxing plate' : 'The plate of the notch',
        operation: operation.id,
        donorX,
        builtX: donorX === null ? null : builtOf(tape, from),
        about: null,
        fixes: advise('Leave it out, or bolt a plate to the web in its place.'),
      },
    ];
  }),
  ...mountings
    .filter(({ decided, mounting: { bracket } }) => {
      if (!decided || bracket.form === 'none') return false;
      return 'fixing' in bracket ? bracket.fixing.by === 'weld' : bracket.leg > 0;
    })
    .map(({ tag, seat }) => ({
      name: `The bracket of ${tag}`,
      operation: null,
      donorX: null,
      builtX: seat.at.x,
      about: seat.mount.id,
      fixes: advise('Bolt it to the web: an arm or an angle can be.'),
    })),
];

/**
 * What the material and the shop's school of practice allow to be welded: joints, and everything else that the plan welds to the
 * rails.
 *
 * @param findings The evaluated plan, before its conflicts are known.
 * @param context Sections, rules and how lengths are written.
 */
export const schools: Finder = (findings, context) => {
  const { material } = findings.frame;
  const isHard = material.heatTreated || !material.weldable;
  if (!isHard && ruleValue(context.rules, 'weld/ahead-of-hanger') !== 0) return [];
  const welded = [
    ...weldedJoints(findings, isHard ? ['rails', 'member'] : ['rails'], context),
    ...weldedThings(findings),
  ];
  if (isHard)
    return welded.map(({ name, fixes, ...at }) => ({
      ...at,
      code: 'not-weldable',
      severity: 'stop',
      message: `${name}: the rails are ${material.name}, and must not be welded or heated.`,
      fixes: [...fixes, ...advise('Use a donor with mild-steel rails.')],
    }));
  const last = lastHanger(findings.features);
  return welded
    .filter(({ builtX }) => builtX !== null && builtX < last)
    .map(({ name, fixes, ...at }) => ({
      ...at,
      code: 'ahead-of-hanger',
      severity: 'stop',
      message: `${name} is welded ahead of the last suspension hanger or link: the shop’s rulebook bolts there and welds only behind it.`,
      fixes: [
        ...fixes,
        ...advise('Move it behind the last hanger.', 'Change the rule, with your reason, if this frame allows it.'),
      ],
    }));
};
