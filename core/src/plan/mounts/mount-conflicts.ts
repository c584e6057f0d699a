import { bracketChecks } from '../../mounting/index.ts';
import { ruleValue } from '../../rules/index.ts';
import { exceeds } from '../../units/index.ts';
import { advise, type Finding, NOWHERE, type SuggestedFix } from '../conflict.ts';
import type { Context } from '../context.ts';
import type { Finder, Findings } from '../findings.ts';
import { seatOf } from '../match/seat-of.ts';
import { donorOf } from '../tape.ts';
import { strongerBrackets } from './stronger.ts';
import { bracketAlong, holds, type MountingOutcome, worstRatio } from './mounting-outcome.ts';

/** Codes of what is found about how mounts are made. */
export const MOUNT_CODES: ReadonlySet<string> = new Set(['mount-made', 'mount-weak', 'mount-at-joint', 'mount-on']);

/** The bracket of a mount made otherwise. */
const remade = ({ mounting }: MountingOutcome, changes: Partial<typeof mounting>, say: string): SuggestedFix => ({
  say,
  edit: { do: 'mount', mountings: [{ ...mounting, ...changes }] },
});

/** An id that no layer of a mount has yet. */
export function freshLayerId({ under, over, hung }: MountingOutcome['mounting']): string {
  const taken = new Set([...under, ...over, ...hung].map(({ id }) => id));
  let count = 1;
  while (taken.has(`layer-${count}`)) count += 1;
  return `layer-${count}`;
}

/** Suggested fixes of a bracket that cannot stand there, as far as the program can do them. */
function fixesToFit(outcome: MountingOutcome, { seats }: Findings, { show }: Context): readonly SuggestedFix[] {
  const { mounting, height } = outcome;
  const { form } = mounting.bracket;
  const seat = seats.find(({ body }) => body.id === outcome.body.id);
  const left = form === 'old' ? outcome.block : height;
  if (left === null || !seat || (form !== 'none' && form !== 'old')) return [];
  const block = mounting.under.find(({ kind, height: high }) => kind === 'block' && high + left > -1e-6);
  if (left < 0 && block) {
    const lower = { ...block, height: block.height + left };
    const under = mounting.under.flatMap((layer) => (layer !== block ? layer : exceeds(lower.height, 0) ? lower : []));
    return [remade(outcome, { under }, `Take ${show(-left)} off the block under it`)];
  }
  if (left < 0)
    return [
      {
        say: `Raise the body by ${show(-left)}`,
        edit: { do: 'seat', seat: seatOf(seat, { z: seat.pose.z - left }) },
      },
    ];
  if (form === 'old' || outcome.seat.sideways !== 0) return [];
  const layer = { id: freshLayerId(mounting), kind: 'block' as const, height: left };
  return [remade(outcome, { under: [...mounting.under, layer] }, `Put a block of ${show(left)} under it`)];
}

const misfit = (
  outcome: MountingOutcome,
  findings: Findings,
  context: Context,
): readonly Omit<Finding, keyof typeof NOWHERE>[] =>
  outcome.problems.slice(0, 1).map((problem) => ({
    code: 'mount-made',
    severity: 'warn',
    message: `${outcome.tag}, ${outcome.seat.mount.name}: ${problem}`,
    fixes: [...fixesToFit(outcome, findings, context), ...advise('Make it another way on the bench Mounts.')],
  }));

/**
 * Ways to make a bracket hold what it is asked, the first of each kind that does.
 *
 * @param outcome How it is made now.
 * @param context Rules and unit.
 */
function strongerFixes(outcome: MountingOutcome, { rules, display, show }: Context): readonly SuggestedFix[] {
  const { mounting, share, reach, contact, seat } = outcome;
  if (share === null || outcome.problems.length > 0) return [];
  const most = ruleValue(rules, 'mount/ratio');
  const found = new Map<string, SuggestedFix>();
  for (const [how, bracket] of strongerBrackets(mounting.bracket, display)) {
    if (found.has(how)) continue;
    const checks = bracketChecks(bracket, { share, reach, contact, hole: seat.mount.hole ?? 0 }, rules);
    if (checks.some(({ ratio }) => ratio > most)) continue;
    const now = 'thickness' in bracket && how === 'Make it of thicker plate' ? `: ${show(bracket.thickness)}` : '';
    const wide = 'along' in bracket && how === 'Make it wider' ? `: ${show(bracket.along)}` : '';
    found.set(how, remade(outcome, { bracket }, `${how}${now}${wide}`));
  }
  return [...found.values()];
}

function weak(outcome: MountingOutcome, context: Context): readonly Omit<Finding, keyof typeof NOWHERE>[] {
  const [worst] = outcome.checks;
  if (!worst || holds(outcome, context) !== false) return [];
  const percent = Math.ceil((worstRatio(outcome) ?? 0) * 100);
  return [
    {
      code: 'mount-weak',
      severity: 'warn',
      message: `The ${outcome.name} at ${outcome.tag} comes to ${percent} % of what is allowed: ${worst.what}.`,
      fixes: [
        ...strongerFixes(outcome, context),
        ...advise('Make its arm shorter or deeper, or spread the load over another mount.'),
      ],
    },
  ];
}

/** What of the frame a bracket would stand on: plates and welds of a joint, other brackets and holes. */
function stoodOn(outcome: MountingOutcome, { splices, features }: Findings, { show }: Context) {
  const half = bracketAlong(outcome) / 2;
  const { side, seat, name, tag, mounting } = outcome;
  const [from, to] = [seat.at.x - half, seat.at.x + half];
  const joints = splices.flatMap(({ joint, rails }) => {
    const rail = rails.find((one) => one.rail === side);
    if (!rail || joint.of !== 'rails') return [];
    const [start, end] = rail.reach.all.map((x) => joint.builtX + x) as [number, number];
    const over = Math.min(to, end) - Math.max(from, start);
    if (over < 0) return [];
    return [
      {
        code: 'mount-at-joint',
        severity: 'warn' as const,
        message: `The ${name} at ${tag} stands over joint ${joint.letter}${over > 0 ? `: ${show(over)} of it on its weld or plates` : ''}.`,
        fixes: advise('Move the mount, end the plate before it, or weld the bracket to the plate on purpose.'),
      },
    ];
  });
  const standing = mounting.bracket.form === 'perch' || mounting.bracket.form === 'old';
  const face = standing ? 'top' : seat.sideways < 0 ? 'web-inside' : 'web-outside';
  const others = features.flatMap(({ feature, places }) => {
    const built = places[side]?.built;
    if (!built || feature.face !== face || feature.attachment === 'hole' || feature.id === seat.serves?.id) return [];
    const over = Math.min(to, built.x + feature.behind) - Math.max(from, built.x - feature.ahead);
    return over > 0 ? [feature.name] : [];
  });
  const [first] = others;
  return [
    ...joints,
    ...(first === undefined
      ? []
      : [
          {
            code: 'mount-on',
            severity: 'warn' as const,
            message: `The ${name} at ${tag} stands where ${others.join(', ')} ${others.length === 1 ? 'is' : 'are'}.`,
            fixes: advise('Take that off or move it on the bench Cuts, or make the bracket narrower.'),
          },
        ]),
  ];
}

/**
 * Mounts that are decided and cannot be made so, are too weak, or stand on something.
 *
 * @param findings The evaluated plan, before its conflicts are known.
 * @param context Sections, rules and how lengths are written.
 */
export const mountConflicts: Finder = (findings, context) =>
  findings.mountings.flatMap((outcome): Finding[] => {
    if (!outcome.decided) return [];
    const { seat } = outcome;
    const about = { about: seat.mount.id, builtX: seat.at.x, donorX: donorOf(findings.tape, seat.at.x) };
    const on = outcome.mounting.bracket.form === 'none' ? [] : stoodOn(outcome, findings, context);
    return [...misfit(outcome, findings, context), ...weak(outcome, context), ...on].map((finding) => ({
      ...NOWHERE,
      ...finding,
      ...about,
    }));
  });
