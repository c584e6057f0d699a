import { advise, type Finding, NOWHERE, type SuggestedFix } from './conflict.ts';
import type { Context } from './context.ts';
import type { Finder } from './findings.ts';
import { railsOf, worstVerdict } from './joint.ts';
import { differences, JOINT_WORDS } from './joint-conflicts.ts';
import { middleOf, type MemberOutcome } from './members/index.ts';
import { builtOf } from './tape.ts';

const refitting = ({ member }: MemberOutcome): SuggestedFix => ({
  say: `Re-fit ${member.name}: cut it to the new distance of its ends and turn it at both`,
  edit: { do: 'refit', member: member.id },
});

/** Cut ends of members that do not meet: one conflict for each member and joint, the worse side told. */
const memberJoints: Finder = ({ members, joints }, context) =>
  members.flatMap((outcome): Finding[] =>
    joints.flatMap((joint): Finding[] => {
      const sides = railsOf(joint).flatMap(([rail, side]) => (rail.startsWith(`${outcome.member.id}/`) ? [side] : []));
      const verdict = worstVerdict(sides.map((side) => side.verdict));
      const worst = sides.find((side) => side.verdict === verdict);
      if (!worst || verdict === 'meets') return [];
      const { severity, words } = JOINT_WORDS[verdict];
      return [
        {
          ...NOWHERE,
          operation: joint.operation,
          donorX: joint.donorX,
          builtX: joint.builtX,
          about: outcome.member.id,
          code: `member-${verdict}`,
          // A member can be re-fitted or made again: its ends alone stop nothing.
          severity: severity === 'stop' ? 'warn' : severity,
          message: `${outcome.member.name} at ${joint.letter}: ${[words, ...differences(worst, joint, context.show)].join(', ')}.`,
          fixes: [refitting(outcome), ...advise('Or remake the member between its ends.')],
        },
      ];
    }),
  );

const partedBy = ({ copies }: MemberOutcome): number =>
  Math.max(0, ...copies.flatMap(({ parted }) => [Math.abs(parted.front), Math.abs(parted.rear)]));

/** Members whose ends have come away from what they are fixed to, or that are gone. */
const memberEnds: Finder = ({ members, tape }, { show }: Context) =>
  members.flatMap((outcome): Finding[] => {
    const { member, status, operation, copies } = outcome;
    const x = member.path[0]?.x ?? 0;
    const at = { ...NOWHERE, operation, donorX: x, builtX: builtOf(tape, x), about: member.id };
    if (status === 'lost')
      return [
        {
          ...at,
          code: 'member-lost',
          severity: 'warn',
          message: `${member.name} goes whole with the steel that is taken out.`,
          fixes: advise('Remake it, or cut somewhere else.'),
        },
      ];
    const parted = partedBy(outcome);
    if (parted < 1e-6 || status === 'removed') return [];
    return [
      {
        ...at,
        code: 'member-parted',
        severity: 'warn',
        message: `${member.name} comes away from what its ends are fixed to: ${show(parted)} at ${copies.length > 1 ? 'each' : 'its'} end.`,
        fixes: [refitting(outcome)],
      },
    ];
  });

/** Braces that are too long or too short between their ends, or have lost one. */
const braces: Finder = ({ braces: all, tape }, { show }: Context) =>
  all.flatMap(({ brace, donor, status, reason, longer, operation }): Finding[] => {
    const { x } = middleOf(donor);
    const at = { ...NOWHERE, operation, donorX: x, builtX: builtOf(tape, x), about: brace.id };
    const remade: SuggestedFix = {
      say: `Remake ${brace.name} to fit between its ends`,
      edit: { do: 'remake-brace', brace: brace.id },
    };
    if (status === 'lost')
      return [
        {
          ...at,
          code: 'brace-lost',
          severity: 'warn',
          message: `${brace.name} has lost an end: ${reason}.`,
          fixes: advise('Put one in again where the rails are tied to each other.'),
        },
      ];
    if (longer === 0) return [];
    return [
      {
        ...at,
        code: 'brace-length',
        severity: 'warn',
        message: `${brace.name} is ${show(Math.abs(longer))} too ${longer > 0 ? 'short' : 'long'} between its ends.`,
        fixes: [remade],
      },
    ];
  });

/**
 * Members and braces that do not fit the built frame as they are.
 *
 * @param findings The evaluated plan, before its conflicts are known.
 * @param context Sections, rules and how lengths are written.
 */
export const memberConflicts: Finder = (findings, context) =>
  [memberJoints, memberEnds, braces].flatMap((find) => find(findings, context));
