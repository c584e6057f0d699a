import { extentOf, type Feature, type Side, SIDES } from '../../frame/index.ts';
import { ruleValue } from '../../rules/index.ts';
import { edgesAt, edgesOf, isOnWeb, type Plate, type RailSplice, type SplicePlan } from '../../splice/index.ts';
import { nudgeOf } from '../../units/index.ts';
import { advise, type Finding, type SuggestedFix } from '../conflict.ts';
import type { Context } from '../context.ts';
import { builtXOf, type Finder, type Findings } from '../findings.ts';
import { improvements } from './improve.ts';
import { memberOfRail, splicePlanWith } from './plan-with.ts';
import { ratioText, type RailSpliceOutcome, type SpliceOutcome } from './splice-outcome.ts';

/** Changes of a joint that are offered beside what is wrong with it. */
const MOST_WAYS = 3;
/** Two shares that are read as the same. */
const ALIKE = 1e-6;

/** What a rail is called in a finding; a member by its name, both of a pair at once, since they are made alike. */
function nameOf({ rail, otherwise }: RailSpliceOutcome, members: Findings['members']): string {
  if (rail === 'left' || rail === 'right') return `${rail} rail`;
  const id = memberOfRail(rail);
  const name = members.find(({ member }) => member.id === id)?.member.name ?? id;
  return otherwise === null ? `${name} (nobody has decided how)` : name;
}

const placeOf = ({ joint }: SpliceOutcome) => ({
  operation: joint.operation,
  donorX: joint.donorX,
  builtX: joint.builtX,
  about: joint.id,
});

/** The rails of a joint that are told of: one where left and right are made alike. */
function toldOf({ rails }: SpliceOutcome): readonly RailSpliceOutcome[] {
  return rails.filter(
    (one, at) =>
      rails.findIndex(({ splice, steel }) => splice === one.splice && steel.section === one.steel.section) === at,
  );
}

function fixesToLift(outcome: SpliceOutcome, one: RailSpliceOutcome, { rules, display }: Context): SuggestedFix[] {
  const { splice, steel } = one;
  return improvements(splice, { steel, rules, display })
    .slice(0, MOST_WAYS)
    .map(({ say, splice: better, ratio }) => ({
      say: `${say}: ${ratioText(ratio)}`,
      edit: { do: 'splice', splices: [splicePlanWith(outcome, one.rail, better)] },
    }));
}

/** What is wrong with how one rail is made at a joint. */
function onRail(outcome: SpliceOutcome, one: RailSpliceOutcome, name: string, context: Context): Finding[] {
  const { joint } = outcome;
  const at = placeOf(outcome);
  const where = name === '' ? `Joint ${joint.letter}` : `Joint ${joint.letter}, ${name}`;
  const suffix = name === '' ? '' : `-${one.rail.replace('/', '-')}`;
  const [problem] = one.made.problems;
  if (problem)
    return [
      {
        ...at,
        code: `splice-cannot${suffix}`,
        severity: 'stop',
        message: `${where} cannot be made like this: ${problem.message}`,
        fixes: advise('Change it on the bench Splice.'),
      },
    ];
  const wanted = ruleValue(context.rules, 'splice/ratio');
  const { strength } = one;
  const weak = strength && strength.ratio < wanted - ALIKE ? strength : null;
  return [
    ...(weak
      ? [
          {
            ...at,
            code: `splice-weak${suffix}`,
            severity: 'warn' as const,
            message: `${where} carries ${ratioText(weak.ratio)} of the bare rail’s bending; the rulebook asks ${ratioText(wanted)}. ${WHY[weak.limitedBy](weak.underfed)}`,
            fixes: [
              ...fixesToLift(outcome, one, context),
              ...advise('Or lay the joint where the frame bends less, and say so.'),
            ],
          },
        ]
      : []),
    ...one.limits.map(({ code, severity, message }): Finding => ({
      ...at,
      code: `splice-${code}${suffix}`,
      severity,
      message: `${where}: ${message}`,
      fixes: advise('Change it on the bench Splice.'),
    })),
  ];
}

const WHY: Readonly<Record<'rail' | 'weld' | 'feeding', (underfed: readonly string[]) => string>> = {
  rail: () => '',
  weld: () => 'The weld in the wall is what limits it.',
  feeding: (underfed) => `The welds of the ${underfed.join(' and the ')} cannot feed it in full.`,
};

/**
 * Joints that nobody has decided on, and joints that are made in a way that is weak, wrong or advised against.
 * @param context How lengths are written.
 */
export const spliceConflicts: Finder = ({ splices, members }, context) =>
  splices.flatMap((outcome): Finding[] => {
    const told = toldOf(outcome);
    if (!outcome.decided) return [];
    // A member that is cut with the rails is told of too: nobody may think it is made like them.
    return told.flatMap((one) => onRail(outcome, one, told.length === 1 ? '' : nameOf(one, members), context));
  });

/** Whether two stretches share more than their ends. */
const overlap = (a: readonly [number, number], b: readonly [number, number]): boolean => a[0] < b[1] && b[0] < a[1];

/** Where a feature stands to a plate: its steel under the plate, seen square on. */
function under(plate: Plate, outcome: RailSpliceOutcome, feature: Feature, alongFromJoint: number): boolean {
  const { section } = outcome.steel;
  const { ahead, behind } = plate;
  if (isOnWeb(plate.face) !== (feature.face === 'web-inside' || feature.face === 'web-outside')) return false;
  if (plate.face === 'top-flange' && feature.face !== 'top') return false;
  if (plate.face === 'bottom-flange' && feature.face !== 'bottom') return false;
  const { from, to } = extentOf(feature);
  const [start, end] = [alongFromJoint + from - feature.x, alongFromJoint + to - feature.x];
  if (!overlap([start, end], [-ahead, behind])) return false;
  if (!isOnWeb(plate.face)) return true;
  const z = section.depth - feature.down;
  const half = Math.max(feature.diameter / 2, 1);
  // The plate over the steel of the feature only: its ends are less deep.
  const edges = edgesOf(plate, section);
  return [start, (start + end) / 2, end]
    .map((at) => edgesAt(edges, Math.max(-ahead, Math.min(behind, at))))
    .some(({ low, high }) => high > low && z + half > low && z - half < high);
}

/** Holes and brackets that come under the plates of a joint. */
export const underPlates: Finder = ({ splices, features }, { show }) =>
  splices.flatMap((outcome): Finding[] => {
    if (!outcome.decided) return [];
    return features.flatMap((feature): Finding[] => {
      const x = builtXOf(feature);
      if (x === null) return [];
      const sides = SIDES.filter((side) => feature.places[side]);
      const covering = outcome.rails.find(
        (one) =>
          sides.includes(one.rail as Side) &&
          one.made.plates.some((plate) => under(plate, one, feature.feature, x - outcome.joint.builtX)),
      );
      const plate = covering?.made.plates.find((each) =>
        under(each, covering, feature.feature, x - outcome.joint.builtX),
      );
      if (!plate) return [];
      const { name, attachment } = feature.feature;
      const hole = attachment === 'hole';
      return [
        {
          ...placeOf(outcome),
          about: feature.feature.id,
          builtX: x,
          code: `splice-covers-${outcome.joint.id.replace('/', '-')}`,
          severity: hole ? 'note' : 'warn',
          message: `The ${plate.name} at joint ${outcome.joint.letter} covers ${name}, ${show(Math.abs(x - outcome.joint.builtX))} from the joint.`,
          fixes: advise(
            hole
              ? 'The plate is cut out round it, or the hole is welded shut first.'
              : 'Move the bracket, or end the plate short of it.',
          ),
        },
      ];
    });
  });

/** What of one joint reaches into what of the next on a rail: two plates on one face, or two sleeves. */
function meetingParts(
  one: RailSpliceOutcome,
  other: RailSpliceOutcome,
  distance: number,
  shared: boolean,
): { readonly what: string; readonly over: number } | null {
  const over = (behind: number, ahead: number) => behind + ahead - distance;
  const [a, b] = [one.splice.sleeve, other.splice.sleeve];
  if (a && b && !shared && over(a.behind, b.ahead) > ALIKE) return { what: 'sleeves', over: over(a.behind, b.ahead) };
  const plates = one.splice.plates.flatMap((plate) =>
    other.splice.plates.flatMap(({ face, ahead }) => (face === plate.face ? [over(plate.behind, ahead)] : [])),
  );
  const most = Math.max(-Infinity, ...plates);
  return most > ALIKE ? { what: 'plates', over: most } : null;
}

/** The plates of a splice that would reach farther to one side, ended there; their tapers no longer than they reach. */
const ended = (splice: RailSplice, side: 'ahead' | 'behind', reach: number): RailSplice => ({
  ...splice,
  plates: splice.plates.map((plate) => {
    if (plate[side] <= reach) return plate;
    const { outline } = plate;
    const shorter =
      outline.shape === 'hexagon'
        ? { ...outline, point: Math.min(outline.point, reach) }
        : outline.shape === 'taper'
          ? { ...outline, over: Math.min(outline.over, reach) }
          : outline;
    return { ...plate, [side]: reach, outline: shorter };
  }),
});

const allEnded = (plan: SplicePlan, side: 'ahead' | 'behind', reach: number): SplicePlan => ({
  ...plan,
  rails: ended(plan.rails, side, reach),
  others: plan.others.map((other) => ({ ...other, splice: ended(other.splice, side, reach) })),
});

/** Both joints' plates ended half-way between them, a weld's width apart; none where that leaves nothing to weld. */
function endHalfFix(outcome: SpliceOutcome, next: SpliceOutcome, distance: number, context: Context): SuggestedFix[] {
  const { rules, display, show } = context;
  if (!outcome.decided || !next.decided) return [];
  const step = nudgeOf(display);
  const reach = Math.floor((distance - ruleValue(rules, 'weld/band')) / 2 / step) * step;
  if (reach <= Math.max(outcome.worst.reach.weld[1], -next.worst.reach.weld[0])) return [];
  return [
    {
      say: `End both half-way, ${show(reach)} from each joint`,
      edit: {
        do: 'splice',
        splices: [allEnded(outcome.decided, 'behind', reach), allEnded(next.decided, 'ahead', reach)],
      },
    },
  ];
}

/**
 * Plates and sleeves of two joints that lie where the others do.
 *
 * @param findings The evaluated plan, before its conflicts are known.
 * @param context How lengths are written.
 */
export const overlappingParts: Finder = ({ splices }, context) =>
  splices.flatMap((outcome, at): Finding[] => {
    const next = splices[at + 1];
    if (!outcome.decided || !next?.decided || outcome.joint.of === 'member' || next.joint.of === 'member') return [];
    const distance = next.joint.builtX - outcome.joint.builtX;
    const met = outcome.rails.flatMap((one) => {
      const other = next.rails.find(({ rail }) => rail === one.rail);
      const found = other ? meetingParts(one, other, distance, next.sleeveFrom !== null) : null;
      return found ? [{ ...found, one }] : [];
    });
    const [first] = met;
    if (!first) return [];
    const { sleeve } = first.one.splice;
    const runOn: SuggestedFix[] =
      first.what === 'sleeves' && sleeve && outcome.next
        ? [
            {
              say: `Let the sleeve of ${outcome.joint.letter} run through to ${next.joint.letter}`,
              edit: {
                do: 'splice',
                splices: [
                  splicePlanWith(outcome, first.one.rail, {
                    ...first.one.splice,
                    sleeve: { ...sleeve, through: true },
                  }),
                ],
              },
            },
          ]
        : [];
    return [
      {
        ...placeOf(outcome),
        code: 'splice-overlap',
        severity: 'stop',
        message: `The ${first.what} of ${outcome.joint.letter} and ${next.joint.letter} lie over each other by ${context.show(first.over)}: the joints are ${context.show(distance)} apart.`,
        fixes: [
          ...runOn,
          ...(first.what === 'plates' ? endHalfFix(outcome, next, distance, context) : []),
          ...advise('Let them end short of each other.'),
        ],
      },
    ];
  });
