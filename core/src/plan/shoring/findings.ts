import { ruleValue } from '../../rules/index.ts';
import { SHORE_FACTS } from '../../shoring/index.ts';
import { GRAVITY, lengthText, quantityText } from '../../units/index.ts';
import type { Context } from '../context.ts';
import { dotted } from '../operations/index.ts';
import type { HeldPart, StandUnder } from './held.ts';
import type { ShoringStep } from './steps.ts';

/** Something that must be known of how a frame is held. `stop`: it must not be cut so; `warn`: look again. */
export interface ShoringFinding {
  readonly code: string;
  readonly severity: 'stop' | 'warn' | 'note';
  /** The operation while which it happens, and what it is about. */
  readonly operation: string;
  readonly about: string;
  readonly message: string;
  readonly remedy: string;
}

const OVER_WORDS = { front: 'front down', rear: 'rear down', left: 'over to the left', right: 'over to the right' };

/**
 * How far something springs, to a division that can still be seen: “under 1/64 in” below that.
 *
 * @param mm The amount, mm; its sign does not count.
 * @param display How lengths are written.
 */
export function springText(mm: number, { display }: Pick<Context, 'display'>): string {
  const [least, said] = display.unit === 'in' ? [25.4 / 64, 'under 1/64 in'] : [0.5, 'under 1/2 mm'];
  if (Math.abs(mm) < least) return said;
  return display.unit === 'in'
    ? lengthText(Math.abs(mm), { unit: 'in', division: 64 }, true)
    : lengthText(Math.abs(mm), display, true);
}

/**
 * The load on a stand as a scale under it would read, in the shop's unit.
 *
 * @param newton N.
 * @param context How lengths are written: it says the unit.
 */
export const loadText = (newton: number, { display }: Pick<Context, 'display'>): string =>
  quantityText('mass', newton / GRAVITY, display.unit);

type Said = Omit<ShoringFinding, 'operation' | 'about'>;

function ofPart(part: HeldPart, when: string, datum: number, context: Context): Said[] {
  const { stability, mass, removed, name, heldDown, stands, shared } = part;
  const weight = quantityText('mass', mass, context.display.unit);
  if (removed) {
    if (stability.state === 'stays' || mass <= ruleValue(context.rules, 'stands/by-hand'))
      return stability.state === 'stays'
        ? []
        : [
            {
              code: 'stands/cut-out',
              severity: 'note',
              message: `${name} weighs ${weight} and comes free.`,
              remedy: 'Somebody holds it while the last of it is cut, or clamps hold it.',
            },
          ];
    return [
      {
        code: 'stands/cut-out-heavy',
        severity: 'stop',
        message: `${name} weighs ${weight}: more than is held by hand, and it comes free.`,
        remedy: 'Put a stand or a sling under it.',
      },
    ];
  }
  const up = stands.filter(({ shore }) => SHORE_FACTS[shore.kind].does === 'up');
  if (stability.state === 'falls')
    return [
      {
        code: 'stands/nothing-under',
        severity: 'stop',
        message: `Nothing is under ${lower(name)} ${when}: ${weight} falls.`,
        remedy: 'Put two pairs of stands under it.',
      },
    ];
  if (stability.state === 'tips')
    return [
      {
        code: 'stands/tips',
        severity: 'stop',
        message: `${name} goes ${OVER_WORDS[stability.over ?? 'rear']} ${when}: ${tipWords(part, context)}.${fallWords(part, datum, context)}`,
        remedy: 'Move its stands to both sides of where it balances, or tie it across the cut.',
      },
    ];
  if (stability.state === 'balances')
    return [
      {
        code: 'stands/balances',
        severity: 'stop',
        message: `${name} only balances on its stands ${when}: a touch tips it.`,
        remedy: 'Put a second pair of stands under it.',
      },
    ];
  const findings: Said[] = [];
  const margin = stability.margins?.nearest ?? 0;
  if (heldDown.length > 0)
    findings.push({
      code: 'stands/strapped',
      severity: 'warn',
      message: `${name} stands ${when} only because ${heldDown.join(' and ')} holds it.`,
      remedy: 'A stand farther out holds it without.',
    });
  else if (margin < ruleValue(context.rules, 'stands/margin'))
    findings.push({
      code: 'stands/margin',
      severity: 'warn',
      message: `${name} balances only ${context.show(margin)} inside its stands ${when}.`,
      remedy: `Move a stand: ${context.show(ruleValue(context.rules, 'stands/margin'))} is wanted.`,
    });
  if (up.length > 0 && up.every(({ shore }) => !SHORE_FACTS[shore.kind].trusted))
    findings.push({
      code: 'stands/jack-alone',
      severity: 'stop',
      message: `Only ${[...new Set(up.map(({ shore }) => SHORE_FACTS[shore.kind].name.toLowerCase()))].join(' and ')} holds ${lower(name)} ${when}.`,
      remedy: 'Put stands under it: a jack or a sling is never all that holds it.',
    });
  const lifted = shared ? up.filter(({ load }) => load !== null && load <= 1e-6) : [];
  if (lifted.length > 0)
    findings.push({
      code: 'stands/lifts',
      severity: 'note',
      message: `${lower(name, true)} lifts off ${lifted.length === 1 ? 'a stand' : `${lifted.length} stands`} ${when}.`,
      remedy: 'It carries nothing there: shim it up until it just takes load, or take it out.',
    });
  return findings;
}

const stepName = ({ letters, name }: ShoringStep): string =>
  letters.length > 0 ? `cut ${dotted(letters)}` : name.toLowerCase();

const lower = (name: string, capital = false): string => {
  const text = `the ${name.charAt(0).toLowerCase()}${name.slice(1)}`;
  return capital ? text.charAt(0).toUpperCase() + text.slice(1) : text;
};

function tipWords({ stability, stands, center }: HeldPart, context: Context): string {
  const xs = stands.filter(({ shore }) => SHORE_FACTS[shore.kind].does === 'up').map(({ at }) => at.x);
  const ys = stands.map(({ at }) => at.y);
  switch (stability.over) {
    case 'front':
      return `it balances ${context.show(Math.min(...xs) - center.x)} ahead of its first stand`;
    case 'left':
    case 'right':
      return `it balances ${context.show(Math.max(Math.min(...ys) - center.y, center.y - Math.max(...ys)))} beside its stands`;
    default:
      return `it balances ${context.show(center.x - Math.max(...xs))} behind its last stand`;
  }
}

/**
 * The two stands that a part goes over first, in words: “the stand under both rails at 41 13/16 in”. Empty where fewer are under it.
 *
 * @param part The part on its stands.
 * @param datum Station that the shop measures from, mm.
 * @param context How lengths are written.
 */
export function edgeText(
  { edge }: Pick<HeldPart, 'edge'>,
  datum: number,
  { display }: Pick<Context, 'display'>,
): string {
  if (!edge) return '';
  const [a, b] = edge;
  const named = ({ shore, side }: StandUnder) => `${side} ${SHORE_FACTS[shore.kind].name.toLowerCase()}`;
  const at = ({ shore }: StandUnder) => lengthText(shore.x - datum, display, true);
  const kind = SHORE_FACTS[a.shore.kind].name.toLowerCase();
  if (a.side === b.side && a.shore.kind === b.shore.kind && a.shore.id !== b.shore.id)
    return `the ${a.side} ${kind} at ${at(a)} and the one at ${at(b)}`;
  return a.shore.id === b.shore.id
    ? `the ${kind} under both rails at ${at(a)}`
    : `the ${named(a)} at ${at(a)} and the ${named(b)} at ${at(b)}`;
}

/** Over which stands a part goes, and how far its cut ends move until it lies on the floor. */
function fallWords(part: HeldPart, datum: number, context: Context): string {
  const over = edgeText(part, datum, context);
  const ends = part.freed.map(({ end, moves }) =>
    moves === null
      ? `how far its cut ${end} end moves is not known without the height over the floor`
      : `its cut ${end} end goes ${moves > 0 ? 'up' : 'down'} by ${context.show(Math.abs(moves))} before a rail meets the floor`,
  );
  const said = [over && `it goes over ${over}`, ...ends].filter((each) => each !== '').join('; ');
  return said === '' ? '' : ` ${said.charAt(0).toUpperCase()}${said.slice(1)}.`;
}

/**
 * What must be known of how the frame is held at a step; worst first.
 *
 * @param step The step.
 * @param next The step after it, if one.
 * @param datum Station that the shop measures from, mm.
 * @param context Rules and how lengths are written.
 */
export function shoringFindings(
  step: ShoringStep,
  next: ShoringStep | undefined,
  datum: number,
  context: Context,
): ShoringFinding[] {
  const found: (Said & { readonly about: string })[] = [];
  const say = (about: string, said: readonly Said[]) => found.push(...said.map((each) => ({ ...each, about })));
  say('whole', ofPart(step.whole, 'before the cut', datum, context));
  for (const cut of step.cuts) {
    const { kerf, name, advice } = cut;
    const pinches = Math.abs(kerf.opens ?? 0) / 2;
    if (advice.pinches !== 'neither' && pinches > ruleValue(context.rules, 'stands/pinch'))
      say(name, [
        {
          code: 'stands/pinch',
          severity: 'warn',
          message: `Cut ${name} closes at the ${advice.pinches} by ${springText(pinches, context)} and catches the disc.`,
          remedy: `Begin at the ${advice.begin}, leave the last at the ${advice.last}, and drive a wedge into the kerf; or set the stands so that nothing is in the steel.`,
        },
      ]);
    const drop = Math.max(kerf.front.end?.drop ?? 0, kerf.rear.end?.drop ?? 0);
    if (drop > ruleValue(context.rules, 'stands/drop'))
      say(name, [
        {
          code: 'stands/drop',
          severity: 'warn',
          message: `At cut ${name} a freed end springs down by ${springText(drop, context)}.`,
          remedy: 'Put a stand nearer to the cut under that side.',
        },
      ]);
    if (cut.tied.length > 0 && cut.inTies !== null && Math.abs(cut.inTies) > 0)
      say(name, [
        {
          code: 'stands/in-ties',
          severity: 'note',
          message: `Once cut ${name} is through, ${cut.tied.join(' and ')} holds what the steel held there.`,
          remedy: 'It lets go when that comes off: set the stands for it first.',
        },
      ]);
  }
  for (const { unit, name, holds, ahead, behind } of step.spanning)
    say(unit, [
      {
        code: 'stands/spans',
        severity: holds ? 'note' : 'warn',
        message: `${name} is bolted to both sides of the cut: ${ahead.join(', ')} | ${behind.join(', ')}.`,
        remedy: holds
          ? 'It is counted on to hold both sides: brace its openings before a bolt is slackened.'
          : 'Remove its bolts on one side, remove it, or count on it to hold.',
      },
    ]);
  for (const part of step.loose) say(part.name, ofPart(part, 'once it is cut free', datum, context));
  if (step.weightless.length > 0)
    say('weights', [
      {
        code: 'stands/no-weight',
        severity: 'note',
        message: `No weight is given for ${step.weightless.map((name) => name.toLowerCase()).join(', ')}: nothing of it is in these figures.`,
        remedy: 'Say what it weighs on the Donor bench, with the unit as what carries it; or mark it removed.',
      },
    ]);
  if (next && ruleValue(context.rules, 'stands/one-cut') === 0)
    say('next', [
      {
        code: 'stands/one-cut',
        severity: 'note',
        message: `One cut at a time: fit up and tack ${stepName(step)} before ${stepName(next)}.`,
        remedy: 'While the rest is whole, it is the reference for the joint at hand.',
      },
    ]);
  for (const shore of step.idle)
    say(shore.id, [
      {
        code: 'stands/idle',
        severity: 'warn',
        message: `${SHORE_FACTS[shore.kind].name} at ${context.show(shore.x - datum)} has no steel over it at this cut.`,
        remedy: 'Move it, or say for which cut it is there.',
      },
    ]);
  const order = { stop: 0, warn: 1, note: 2 };
  return found
    .map((each) => ({ ...each, operation: step.operation.id }))
    .sort((a, b) => order[a.severity] - order[b.severity]);
}
