import type { Job } from '@splay/core';
import { afterEach, beforeEach, expect, it, vi } from 'vitest';
import { demoJob, openStore } from '../../test/demo.ts';
import { act, render } from '../../test/page.ts';
import type { BenchProps } from '../client/bench-props.ts';
import { change, preview } from '../client/job-store.ts';
import { workbenchActions } from './actions.ts';
import { Drawn } from './drawn.ts';
import { useBench } from './use-bench.ts';

const { job } = demoJob('parcel-van');
const server = { onRecord: vi.fn(), onDropRecord: vi.fn() };

beforeEach(() => void vi.useFakeTimers({ toFake: ['setTimeout', 'clearTimeout', 'performance'] }));
afterEach(() => void vi.useRealTimers());

/** A workbench that keeps what was drawn: beside the board, and on it. */
function open(plan = true) {
  const store = openStore(job);
  const actions = workbenchActions(store);
  const beside: BenchProps[] = [];
  const board: BenchProps[] = [];
  const Page = () => {
    const { bench } = useBench(store, server, actions);
    beside.push(bench);
    return (
      <Drawn bench={bench} plan={plan} onPick={actions.onPick}>
        {(drawn) => {
          board.push(drawn);
          return null;
        }}
      </Drawn>
    );
  };
  render(<Page />);
  return { store, beside, board };
}

/** The flagship's new steel, longer by mm. */
const longer = (mm: number) => (of: Job) => ({
  ...of,
  plan: {
    ...of.plan,
    operations: of.plan.operations.map((each) =>
      each.kind === 'lengthen' ? { ...each, length: each.length + mm } : each,
    ),
  },
});
const wheelbase = (bench: BenchProps | undefined) => bench?.result.measures.after.wheelbase ?? NaN;

it('a drag draws the board for every move, and what is beside it once the hand rests', () => {
  const { store, beside, board } = open();
  const [shells, boards] = [beside.length, board.length];
  const before = wheelbase(board.at(-1));
  for (const mm of [10, 20, 30]) act(() => preview(store, longer(mm)));
  expect(beside).toHaveLength(shells);
  expect(board).toHaveLength(boards + 3);
  expect(wheelbase(board.at(-1))).toBeCloseTo(before + 30, 6);
  act(() => void vi.advanceTimersByTime(200));
  expect(wheelbase(beside.at(-1))).toBeCloseTo(before + 30, 6);
});

it('where nothing of the plan is drawn, the board has the donor under the hand, and the plan once the hand rests', () => {
  const { store, board } = open(false);
  const onDonor = () => board.at(-1)?.donor.measures.before.wheelbase ?? NaN;
  const [before, donorBefore] = [wheelbase(board.at(-1)), onDonor()];
  const moved = ({ donor, ...of }: Job): Job => ({
    ...of,
    donor: {
      ...donor,
      axles: donor.axles.map((axle) => (axle.role === 'front' ? { ...axle, x: axle.x - 25 } : axle)),
    },
  });
  act(() => preview(store, moved));
  expect(onDonor()).toBeCloseTo(donorBefore + 25, 6);
  expect(wheelbase(board.at(-1))).toBe(before);
  act(() => void vi.advanceTimersByTime(200));
  expect(wheelbase(board.at(-1))).toBeCloseTo(before + 25, 6);
});

it('what is dropped, and what was dragged nowhere, is the same on the board and beside it', () => {
  const { store, beside, board } = open();
  const before = wheelbase(board.at(-1));
  act(() => preview(store, longer(10)));
  act(() => change(store, 'Longer', () => store.getState().preview ?? job));
  expect(wheelbase(beside.at(-1))).toBeCloseTo(before + 10, 6);
  expect(board.at(-1)?.result).toBe(beside.at(-1)?.result);
  act(() => preview(store, longer(10)));
  act(() => change(store, 'Nothing', (of) => of));
  expect(board.at(-1)?.job).toBe(beside.at(-1)?.job);
  expect(wheelbase(board.at(-1))).toBeCloseTo(before + 10, 6);
});
