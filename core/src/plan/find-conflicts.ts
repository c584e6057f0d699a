import { type FeatureKind, type FrameLine, SIDES, type Vec3 } from '../frame/index.ts';
import { ruleValue } from '../rules/index.ts';
import { axleLoads } from './axle-conflicts.ts';
import { driveLine } from './drive-line-conflicts.ts';
import { type Conflict, NOWHERE } from './conflict.ts';
import { builtXOf, type Finder, type Findings } from './findings.ts';
import { joints, nearJoints, schools, transitions } from './joint-conflicts.ts';
import type { FeatureOutcome } from './feature-outcome.ts';
import { frontTop, rearTop } from './piece.ts';
import { distance } from './pose.ts';
import { builtOf, type Tape } from './tape.ts';

const donorXOf = (outcome: FeatureOutcome): number => outcome.feature.x + outcome.feature.length / 2;

/** A feature that neither the cuts nor the plan's brackets disturb. */
const undisturbed = ({ fate }: FeatureOutcome): boolean => fate === 'stays' || fate === 'moves' || fate === 'new';

/** Features that are only marks in the steel: nothing hangs on them. */
const PLAIN: readonly FeatureKind[] = ['hole', 'rivet', 'weld-seam', 'crack'];

const fatesOfFeatures: Finder = ({ frame, features, tape }) =>
  features
    .filter((outcome) => !undisturbed(outcome))
    .flatMap((outcome): Conflict[] => {
      const { feature, fate, reason, operation } = outcome;
      const at = { operation, donorX: donorXOf(outcome), builtX: builtOf(tape, donorXOf(outcome)), about: feature.id };
      const lost = fate === 'lost' || fate === 'cut-through';
      if (feature.kind === 'identity-stamp' && (lost || fate === 'removed'))
        return [
          {
            ...at,
            code: 'identity-stamp',
            severity: 'stop',
            message: `${feature.name} would be ${fate === 'cut-through' ? 'cut' : 'lost'}: it must never be cut, ground, covered or moved.`,
            waysOut: ['Move the cut well clear of the stamp.'],
          },
        ];
      if (fate === 'cut-through')
        return [
          {
            ...at,
            code: 'cut-through',
            severity: 'stop',
            message: `A cut runs through ${feature.name}.`,
            waysOut: ['Move the cut to clear it.', 'Remove it first and put it back elsewhere.'],
          },
        ];
      if (lost && feature.id === frame.datum)
        return [
          {
            ...at,
            code: 'datum-lost',
            severity: 'stop',
            message: `${feature.name} is what every measurement is given from, and it is ${reason}.`,
            waysOut: ['Pick another hole as the datum.', 'Cut somewhere else.'],
          },
        ];
      if (fate === 'lost' && PLAIN.includes(feature.kind))
        return [
          {
            ...at,
            code: 'feature-lost',
            severity: 'note',
            message: `${feature.name} goes with the steel that is taken out.`,
            waysOut: [],
          },
        ];
      if (fate === 'lost')
        return [
          {
            ...at,
            code: 'feature-lost',
            severity: feature.movable === 'no' ? 'stop' : 'warn',
            message: `${feature.name} is ${reason}${feature.movable === 'no' ? ' and cannot be moved' : ''}.`,
            waysOut: ['Move it to steel that stays.', 'Cut somewhere else.', 'Remove it if it is not needed any more.'],
          },
        ];
      if ((fate === 're-drill' || fate === 're-weld') && feature.movable === 'no')
        return [
          {
            ...at,
            builtX: builtXOf(outcome),
            code: 'not-movable',
            severity: 'stop',
            message: `${feature.name} was entered as not movable, but the plan moves it.`,
            waysOut: ['Leave it where it is.', 'Change how it is fixed in the donor table if that was wrong.'],
          },
        ];
      return [];
    });

const fatesOfCrossmembers: Finder = ({ crossmembers, tape }, { show }) =>
  crossmembers.flatMap(({ crossmember, fate, operation, built, wider }): Conflict[] => {
    const at = {
      operation,
      donorX: crossmember.x,
      builtX: built?.x ?? builtOf(tape, crossmember.x),
      about: crossmember.id,
    };
    if (fate === 'cut-through')
      return [
        {
          ...at,
          code: 'cut-crossmember',
          severity: 'stop',
          message: `A cut runs through ${crossmember.name}.`,
          waysOut: ['Move the cut to clear it.', ...(crossmember.removable ? ['Take the crossmember out first.'] : [])],
        },
      ];
    if (fate === 'lost')
      return [
        {
          ...at,
          code: 'crossmember-lost',
          severity: 'warn',
          message: `${crossmember.name} is on steel that is taken out.`,
          waysOut: ['Move it to steel that stays.', 'Add a crossmember near the joint.'],
        },
      ];
    if (wider !== 0)
      return [
        {
          ...at,
          code: 'crossmember-width',
          severity: 'warn',
          message: `${crossmember.name} must become ${show(Math.abs(wider))} ${wider > 0 ? 'wider' : 'narrower'}: split it or replace it.`,
          waysOut: ['Replace it.', 'Split it in the middle and add or take out the difference.'],
        },
      ];
    return [];
  });

/** Something that belongs to a group, on one side. */
interface Member {
  readonly name: string;
  readonly donor: Vec3;
  readonly built: Vec3 | null;
}

/** The members of every group, one for each side that a feature stands on. */
function membersOf({ features, axles }: Findings): ReadonlyMap<string, Member[]> {
  const members = new Map<string, Member[]>();
  const add = (group: string, member: Member) => {
    const known = members.get(group);
    if (known) known.push(member);
    else members.set(group, [member]);
  };
  for (const { feature, fate, places } of features) {
    if (feature.group === undefined || fate === 'new') continue;
    for (const side of SIDES) {
      const at = places[side];
      if (at?.donor) add(feature.group, { name: `${feature.name}, ${side}`, donor: at.donor, built: at.built });
    }
  }
  for (const { item, donor, built } of axles)
    if (item.group !== undefined) add(item.group, { name: item.name, donor, built });
  return members;
}

/** The pair of members whose distance changes most. */
function worstPair(members: readonly Member[]) {
  let worst = { change: 0, a: '', b: '', x: 0 };
  for (const [index, a] of members.entries())
    for (let other = index + 1; other < members.length; other += 1) {
      const b = members[other] as Member;
      if (!a.built || !b.built) continue;
      const change = distance(a.built, b.built) - distance(a.donor, b.donor);
      if (Math.abs(change) > Math.abs(worst.change) + 1e-9)
        worst = { change, a: a.name, b: b.name, x: (a.donor.x + b.donor.x) / 2 };
    }
  return worst;
}

const groups: Finder = (findings, { rules, show }) => {
  const members = membersOf(findings);
  return findings.frame.groups.flatMap((group): Conflict[] => {
    const worst = worstPair(members.get(group.id) ?? []);
    if (Math.abs(worst.change) <= ruleValue(rules, 'group/moved')) return [];
    const accepted = findings.plan.accepted.find((entry) => entry.group === group.id);
    const by = `${worst.a} to ${worst.b} ${worst.change > 0 ? 'grows' : 'shrinks'} by ${show(Math.abs(worst.change))}`;
    return [
      {
        ...NOWHERE,
        donorX: worst.x,
        builtX: builtOf(findings.tape, worst.x),
        about: group.id,
        code: 'group-split',
        severity: accepted ? 'note' : 'stop',
        message: `${group.name} is split: ${by}.${accepted ? ` Accepted: ${accepted.reason}` : ''}`,
        waysOut: accepted
          ? []
          : ['Cut ahead of the whole group, or behind it.', 'Accept the split, with a reason, and remake the links.'],
      },
    ];
  });
};

const overlaps: Finder = ({ state }) =>
  state.removed
    .filter((piece) => piece.source !== 'donor' && piece.source !== piece.operation)
    .map((piece) => ({
      ...NOWHERE,
      operation: piece.operation,
      code: 'operations-overlap',
      severity: 'warn' as const,
      about: piece.source,
      message: 'This operation takes out steel that an earlier operation put in.',
      waysOut: ['Make one operation of the two.', 'Move one of them.'],
    }));

const loosePieces: Finder = ({ state, crossmembers, joints: all }) =>
  state.pieces.flatMap((piece, index): Conflict[] => {
    if (piece.source !== 'donor' || state.pieces.length === 1) return [];
    if (crossmembers.some((member) => member.piece === index)) return [];
    const ahead = all.find((joint) => joint.piece === index - 1)?.letter;
    const behind = all.find((joint) => joint.piece === index)?.letter;
    const where = ahead && behind ? `between ${ahead} and ${behind}` : ahead ? `behind ${ahead}` : `ahead of ${behind}`;
    return [
      {
        ...NOWHERE,
        donorX: (frontTop(piece) + rearTop(piece)) / 2,
        code: 'no-crossmember',
        severity: 'warn',
        message: `The piece ${where} has no crossmember: its two rails come loose from each other at the cut.`,
        waysOut: ['Tie the two rails with a strongback before the cut.', 'Add a crossmember to this piece.'],
      },
    ];
  });

const lengthOf = (line: FrameLine, tape: Tape): number | null => {
  const [from, to] = [builtOf(tape, line.from), builtOf(tape, line.to)];
  return from === null || to === null ? null : to - from;
};

const lines: Finder = ({ frame, tape }, { show }) =>
  frame.lines.flatMap((line): Conflict[] => {
    const now = lengthOf(line, tape);
    const change = now === null ? null : now - (line.to - line.from);
    if (change !== null && Math.abs(change) < 0.5) return [];
    const at = { ...NOWHERE, donorX: (line.from + line.to) / 2, about: line.id, code: 'line-length' };
    if (change === null)
      return [
        {
          ...at,
          severity: 'note',
          message: `${line.name} ends on steel that is taken out: route it anew.`,
          waysOut: ['Replace it.'],
        },
      ];
    const fits = change > 0 && change <= line.slack;
    return [
      {
        ...at,
        severity: 'note',
        message:
          change < 0
            ? `${line.name} is ${show(-change)} too long.`
            : `${line.name} must reach ${show(change)} farther; it has ${show(line.slack)} to spare.`,
        waysOut:
          change < 0
            ? ['Shorten it, or lay the spare in a loop.']
            : fits
              ? ['Use the slack.']
              : ['Join a piece in, or replace it.'],
      },
    ];
  });

const FINDERS: readonly Finder[] = [
  fatesOfFeatures,
  fatesOfCrossmembers,
  groups,
  joints,
  transitions,
  nearJoints,
  schools,
  overlaps,
  loosePieces,
  lines,
  axleLoads,
  driveLine,
];

/** Everything a builder must know about an evaluated plan besides its refused operations. */
export const findConflicts: Finder = (findings, context) => FINDERS.flatMap((find) => find(findings, context));
