import { extentOf, factsOf } from '../frame/index.ts';
import { ruleValue } from '../rules/index.ts';
import { advise, type Finding, type SuggestedFix } from './conflict.ts';
import { builtXOf, type Finder, type Findings } from './findings.ts';
import type { FeatureOutcome } from './feature-outcome.ts';
import type { Context } from './context.ts';
import { lateWork } from './late-work.ts';
import { nearestSteel, fixesToClear } from './moving-cuts.ts';
import { addingOf } from './plan-edit.ts';
import { builtOf } from './tape.ts';

/** A feature that neither the cuts nor the plan's brackets disturb. */
const undisturbed = ({ status, cutBefore, overJoint }: FeatureOutcome): boolean =>
  cutBefore === null && overJoint === null && (status === 'stays' || status === 'moves' || status === 'new');

/** Ways of putting a feature elsewhere, ahead of the operation that takes its steel. */
function movedAway({ state, plan }: Findings, outcome: FeatureOutcome, context: Context): SuggestedFix[] {
  const { feature, operation } = outcome;
  if (feature.movable === 'no' || operation === null) return [];
  const to = nearestSteel(state, extentOf(feature), context);
  const thing = { kind: 'feature', id: feature.id } as const;
  return [
    ...(to === null
      ? []
      : [
          {
            say: 'Move it to the nearest steel that stays',
            edit: { do: 'move', thing, to: { x: to, on: 'donor' }, before: operation } as const,
          },
        ]),
    {
      say: addingOf(plan, thing) ? 'Remove the operation that adds it' : 'Remove it',
      edit: { do: 'take-off', thing, before: operation },
    },
  ];
}

/** Holes that stay, nearest to the datum first: what could be the datum in its place. */
function otherDatums({ frame, features }: Findings, x: number): SuggestedFix[] {
  return features
    .filter(
      ({ feature, status }) =>
        feature.kind === 'hole' && feature.id !== frame.datum && (status === 'stays' || status === 'moves'),
    )
    .sort((a, b) => Math.abs(a.feature.x - x) - Math.abs(b.feature.x - x))
    .slice(0, 2)
    .map(({ feature }) => ({ say: `Make “${feature.name}” the datum`, edit: { do: 'datum', feature: feature.id } }));
}

function conflictsOfFeature(outcome: FeatureOutcome, findings: Findings, context: Context): Finding[] {
  const { feature, status, reason, operation, cutBefore, overJoint } = outcome;
  const { frame, state, tape } = findings;
  const at = { operation, donorX: feature.x, builtX: builtOf(tape, feature.x), about: feature.id };
  const clear = (of: string | null) => fixesToClear(state, of, extentOf(feature), context);
  const lost = status === 'lost' || status === 'cut-through';
  if (factsOf(feature.kind).untouchable && (lost || status === 'removed'))
    return [
      {
        ...at,
        code: 'identity-stamp',
        severity: 'stop',
        message: `${feature.name} would be ${status === 'cut-through' ? 'cut' : status === 'removed' ? 'taken off' : 'lost'}: it must never be cut, ground, covered or moved.`,
        fixes:
          status === 'removed' && operation !== null
            ? [{ say: 'Leave it where it is', edit: { do: 'drop', operation } }]
            : [...clear(operation), ...advise('Move the cut well clear of the stamp.')],
      },
    ];
  if (cutBefore !== null) return [lateWork(at, { name: feature.name, status, operation, cutBefore }, 'on')];
  if (overJoint !== null) {
    const joint = findings.joints.find(({ piece }) => piece === overJoint);
    const allowed = ruleValue(context.rules, 'joint/bracket-over') === 1;
    return [
      {
        ...at,
        builtX: builtXOf(outcome),
        code: 'bracket-over-joint',
        severity: allowed ? 'note' : 'warn',
        message: `${feature.name} is set over joint ${joint?.letter ?? ''}: it hides the weld, and holds the rail where it is weakest.`,
        fixes: advise(
          'Set it clear of the joint.',
          'Or grind the weld flush, and check it before the bracket goes over it.',
        ),
      },
    ];
  }
  if (status === 'cut-through')
    return [
      {
        ...at,
        code: 'cut-through',
        severity: 'stop',
        message: `A cut runs through ${feature.name}.`,
        fixes: [...clear(operation), ...movedAway(findings, outcome, context)],
      },
    ];
  if (lost && feature.id === frame.datum)
    return [
      {
        ...at,
        code: 'datum-lost',
        severity: 'stop',
        message: `${feature.name} is what every measurement is given from, and it is ${reason}.`,
        fixes: [...otherDatums(findings, feature.x), ...advise('Cut somewhere else.')],
      },
    ];
  if (status === 'lost' && !factsOf(feature.kind).bracket)
    return [
      {
        ...at,
        code: 'feature-lost',
        severity: 'note',
        message: `${feature.name} goes with the steel that is taken out.`,
        fixes: [],
      },
    ];
  if (status === 'lost')
    return [
      {
        ...at,
        code: 'feature-lost',
        severity: feature.movable === 'no' ? 'stop' : 'warn',
        message: `${feature.name} is ${reason}${feature.movable === 'no' ? ' and cannot be moved' : ''}.`,
        fixes: [...movedAway(findings, outcome, context), ...advise('Cut somewhere else.')],
      },
    ];
  if ((status === 're-drill' || status === 're-weld') && feature.movable === 'no')
    return [
      {
        ...at,
        builtX: builtXOf(outcome),
        code: 'not-movable',
        severity: 'stop',
        message: `${feature.name} was entered as not movable, but the plan moves it.`,
        fixes: [
          ...(operation === null ? [] : [{ say: 'Leave it where it is', edit: { do: 'drop', operation } } as const]),
          {
            say: 'It can be moved: new holes',
            edit: { do: 'movable', feature: feature.id, movable: 're-drill' },
          },
          { say: 'It can be moved: welded again', edit: { do: 'movable', feature: feature.id, movable: 're-weld' } },
        ],
      },
    ];
  return [];
}

/**
 * Features that the plan cuts, loses, or moves though they cannot be.
 *
 * @param findings The evaluated plan, before its conflicts are known.
 * @param context Sections, rules and how lengths are written.
 */
export const statusesOfFeatures: Finder = (findings, context) =>
  findings.features
    .filter((outcome) => !undisturbed(outcome))
    .flatMap((outcome) => conflictsOfFeature(outcome, findings, context));
