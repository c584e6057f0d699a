import type { MemberCopy, MemberOutcome, PlanResult } from '../plan/index.ts';
import { isAt } from '../units/index.ts';
import type { MemberMark } from './marks.ts';

const NONE = { from: null, length: null, wedge: null } as const;

/** What is done to one copy that is re-fitted: its new length, what comes out or goes in, and both ends turned. */
function refitMarks({ refit }: MemberCopy): Omit<MemberMark, 'name' | 'side'>[] {
  if (!refit) return [];
  const { before, after, out, front, rear, cutAt } = refit;
  const turned = (end: 'front' | 'rear', wedge: number) =>
    wedge > 0.1 ? [{ ...NONE, what: `${end} end turned by a sideways pie cut`, wedge }] : [];
  return [
    { ...NONE, what: 'along its axis it was', length: before },
    ...(isAt(out, 0)
      ? []
      : [
          {
            ...NONE,
            what: out < 0 ? 'cut here, so much goes in' : 'cut here, so much comes out',
            from: cutAt,
            length: Math.abs(out),
          },
        ]),
    { ...NONE, what: 'cut to, along its axis', length: after },
    ...turned('front', front.wedge.plan.symmetric),
    ...turned('rear', rear.wedge.plan.symmetric),
  ];
}

/** Where one copy is cut through with the rails, and what new member fills a gap. */
function cutMarks(copy: MemberCopy, { joints }: PlanResult): Omit<MemberMark, 'name' | 'side'>[] {
  const letter = (piece: number) => joints.find((joint) => joint.piece === piece)?.letter ?? '';
  return [
    ...copy.cuts.map(({ along, piece, end }) => ({
      ...NONE,
      what: `cut at ${letter(piece)}, keep what is ${end === 'ahead' ? 'ahead' : 'behind'}`,
      from: along,
    })),
    ...copy.meetings.flatMap(({ fill, pieces }) =>
      pieces[1] - pieces[0] > 1 && fill > 0.1
        ? [{ ...NONE, what: `new piece between ${letter(pieces[0])} and ${letter(pieces[1] - 1)}`, length: fill }]
        : [],
    ),
  ];
}

/** Lengths that nobody tells apart on a tape, mm. */
const APART = 0.1;

/** Whether two copies are marked alike. */
const alike = (left: readonly MemberMark[], right: readonly MemberMark[]): boolean =>
  left.length === right.length &&
  left.every((mark, index) => {
    const other = right[index];
    return (
      mark.what === other?.what &&
      (['from', 'length', 'wedge'] as const).every((key) => Math.abs((mark[key] ?? 0) - (other[key] ?? 0)) < APART)
    );
  });

function marksOf(outcome: MemberOutcome, result: PlanResult): MemberMark[] {
  const { member, status, copies } = outcome;
  const named = (copy: MemberCopy) => ({
    name: member.name,
    side: member.copies === 'pair' ? copy.side : null,
  });
  if (status === 'removed') return copies.map((copy) => ({ ...NONE, ...named(copy), what: 'comes out' }));
  const marks = copies.map((copy) =>
    (copy.refit ? refitMarks(copy) : cutMarks(copy, result)).map((mark) => ({ ...named(copy), ...mark })),
  );
  const [left, right] = marks;
  return left && right && alike(left, right) ? left.map((mark) => ({ ...mark, side: 'each' as const })) : marks.flat();
}

/**
 * What is marked on members beside the rails and on braces.
 *
 * @param result What the plan gives.
 */
export const memberMarks = (result: PlanResult): MemberMark[] => [
  ...result.members.flatMap((outcome) => marksOf(outcome, result)),
  ...result.braces.flatMap(({ brace: { name }, status, built }): MemberMark[] => {
    if (status === 'removed') return [{ ...NONE, name, side: null, what: 'comes off' }];
    return status === 'remade' && built
      ? [{ ...NONE, name, side: null, what: 'remade between its ends', length: built.length }]
      : [];
  }),
];
