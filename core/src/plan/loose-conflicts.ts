import { isWithin } from '../units/index.ts';
import { advise, type Finding, NOWHERE } from './conflict.ts';
import { cutOf, partingsOf } from './cut-moment.ts';
import type { Finder, Findings } from './findings.ts';
import { frontSpine, frontTop, type Piece, rearSpine, rearTop } from './piece.ts';
import type { PlanStep } from './plan-result.ts';
import type { PlanState } from './state.ts';

/** Something that holds the two rails to each other: from where to where along the steel called `source`, mm. */
interface Tie {
  readonly source: string;
  readonly from: number;
  readonly to: number;
}

/** What ties each state of the frame: asked for before one operation and after another. */
const known = new WeakMap<PlanState, readonly Tie[]>();

function tiesOf(state: PlanState): readonly Tie[] {
  const ties = known.get(state) ?? tiesIn(state);
  known.set(state, ties);
  return ties;
}

/** Crossmembers that stand, and legs and braces that run from one rail to the other. */
function tiesIn({ crossmembers, members, braces }: PlanState): readonly Tie[] {
  const spanned = (xs: readonly number[]): Tie => ({ source: 'donor', from: Math.min(...xs), to: Math.max(...xs) });
  return [
    ...crossmembers
      .filter(({ change }) => change !== 'removed')
      .map(({ item: { x, length }, source }) => ({ source, from: x - length / 2, to: x + length / 2 })),
    ...members
      .filter(({ change }) => change !== 'removed')
      .filter(({ item: { front, rear } }) => [front.on, rear.on].sort().join() === 'other-rail,own-rail')
      .map(({ item: { path } }) => spanned(path.map(({ x }) => x))),
    ...braces
      .filter(({ change, item: { from, to } }) => change !== 'removed' && from.rail !== to.rail)
      .map(({ item: { from, to } }) => spanned([from.x, to.x])),
  ];
}

/** Whether one of the ties has both its ends on these pieces. */
function isTied(pieces: readonly Piece[], ties: readonly Tie[]): boolean {
  const spans = pieces.map((piece) => ({ source: piece.source, from: frontTop(piece), to: rearTop(piece) }));
  return ties.some(({ source, from, to }) => {
    const has = (x: number) => spans.some((span) => span.source === source && isWithin(x, span));
    return has(from) && has(to);
  });
}

/** Whether anything that can hold the rails to each other was added, moved or taken off. */
const tiesChanged = (before: PlanState, after: PlanState): boolean =>
  before.crossmembers !== after.crossmembers || before.members !== after.members || before.braces !== after.braces;

/** Whether a piece between the same two ends is among them, wherever it is. */
const isAmong = (pieces: readonly Piece[], { front, rear }: Piece): boolean =>
  pieces.some((other) => other.front === front && other.rear === rear);

/** The bodies that an operation's cuts leave, front to rear, without what it takes out. */
function bodiesAt(step: PlanStep): readonly (readonly Piece[])[] {
  const { id } = step.outcome.operation;
  const pieces = cutOf(step);
  const taken = (piece: Piece) =>
    step.state.removed.some(
      ({ operation, front, rear }) => operation === id && front === piece.front && rear === piece.rear,
    );
  const ends = [...partingsOf(step), pieces.length - 1];
  return ends
    .map((end, at) => pieces.slice(at === 0 ? 0 : (ends[at - 1] as number) + 1, end + 1))
    .filter((body) => body.length > 0 && !body.every(taken));
}

const middleOf = (piece: Piece): number => (frontTop(piece) + rearTop(piece)) / 2;

const contains = (piece: Piece, { source }: Piece, x: number): boolean =>
  piece.source === source && isWithin(x, { from: frontTop(piece), to: rearTop(piece) });

/** Where a piece of some stage is, by the joints that bound it on the built frame. */
function whereIs(piece: Piece, { state, joints }: Findings): string {
  const index = state.pieces.findIndex((other) => contains(other, piece, middleOf(piece)));
  const [ahead, behind] = [index - 1, index].map((at) => joints.find((joint) => joint.piece === at)?.letter);
  return between(ahead, behind);
}

const between = (ahead: string | undefined, behind: string | undefined): string =>
  ahead && behind
    ? ` between ${ahead} and ${behind}`
    : ahead
      ? ` behind ${ahead}`
      : behind
        ? ` ahead of ${behind}`
        : '';

function loose(piece: Piece, where: string, why: string, step: PlanStep, findings: Findings): Finding {
  const { id } = step.outcome.operation;
  const x = middleOf(piece);
  const built = findings.state.pieces.find((other) => contains(other, piece, x));
  return {
    ...NOWHERE,
    donorX: x,
    builtX: built ? (frontSpine(built).x + rearSpine(built).x) / 2 : null,
    operation: id,
    about: `${id}${where}`,
    code: 'no-crossmember',
    severity: 'warn',
    message: `The piece${where} has no crossmember${why}`,
    fixes: [
      {
        say: 'Add a crossmember to this piece first',
        edit: { do: 'add-crossmember', at: { x, on: 'donor' }, before: id },
      },
      ...advise('Or tie the two rails with a strongback before that.'),
    ],
  };
}

/** The piece of a body that a crossmember would go on: the longest of the donor's. */
const longest = (body: readonly Piece[]): Piece | undefined =>
  body
    .filter(({ source }) => source === 'donor')
    .reduce<Piece | undefined>(
      (most, piece) => (!most || rearTop(piece) - frontTop(piece) > rearTop(most) - frontTop(most) ? piece : most),
      undefined,
    );

/** The letters of what an operation makes, front to rear. */
const lettersOf = ({ outcome }: PlanStep, { joints, cutEnds }: Findings): readonly string[] =>
  [...joints, ...cutEnds]
    .filter(({ operation }) => operation === outcome.operation.id)
    .map(({ letter }) => letter)
    .sort();

/**
 * Rails that nothing holds to each other, each looked for when its operation's turn comes: at a cut, a part without anything across;
 * after an operation, a piece that has lost what it had, and hangs on the tacks of its joints.
 *
 * @param findings The evaluated plan, before its conflicts are known.
 */
export const loosePieces: Finder = (findings) => {
  const told: Piece[] = [];
  const isTold = (pieces: readonly Piece[]): boolean =>
    told.some((piece) => pieces.some((other) => contains(other, piece, middleOf(piece))));
  return findings.steps.flatMap((step): Finding[] => {
    if (step.outcome.status !== 'done') return [];
    const { before, state } = step;
    const found: Finding[] = [];
    const tell = (piece: Piece, where: string, why: string): void => {
      told.push(piece);
      found.push(loose(piece, where, why, step, findings));
    };
    if (partingsOf(step).length > 0) {
      const ties = tiesOf(before);
      const bodies = bodiesAt(step);
      const letters = lettersOf(step, findings);
      if (bodies.length > 1 || isTied(before.pieces, ties))
        for (const [at, body] of bodies.entries()) {
          const piece = longest(body);
          if (!piece || isTied(body, ties) || isTold(body)) continue;
          const last =
            bodies.length === 1 ? undefined : letters[at === bodies.length - 1 ? letters.length - 1 : at - 1];
          const where = between(
            at === 0 ? undefined : last,
            at < bodies.length - 1 || at === 0 ? letters[at] : undefined,
          );
          tell(piece, where, ': its two rails come loose from each other at the cut.');
        }
    }
    // A piece between the same ends is tied as it was, where nothing across was changed.
    const changed = tiesChanged(before, state);
    const looked = changed ? state.pieces : state.pieces.filter((piece) => !isAmong(before.pieces, piece));
    if (state.pieces.length > 1 && looked.length > 0) {
      const ties = tiesOf(state);
      for (const piece of looked)
        if (piece.source === 'donor' && !isTied([piece], ties) && !isTold([piece]))
          tell(
            piece,
            whereIs(piece, findings),
            ' after this: until its joints are fully welded, only tacks hold its two rails to each other.',
          );
    }
    return found;
  });
};
