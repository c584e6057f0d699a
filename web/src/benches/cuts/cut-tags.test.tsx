import { evaluatePlan, inches, type PlanResult, shiftOperation, withOperation } from '@splay/core';
import { expect, it, vi } from 'vitest';
import { demoJob } from '../../../test/demo.ts';
import { act, fireEvent, render, screen } from '../../../test/page.ts';
import { fitView, reachOf } from '../../board/view.ts';
import { CutTags } from './cut-tags.tsx';

const { job } = demoJob('parcel-van');
const stretch = job.plan.operations.find(({ kind }) => kind === 'lengthen')!;
/** The flagship with its stretch moved by mm. */
const moved = (mm: number) => evaluatePlan({ ...job, plan: withOperation(job.plan, shiftOperation(stretch, mm)) });
const view = fitView(1000, reachOf(moved(0)));
const asked = { onSelect: vi.fn(), onDragStart: vi.fn(), onKey: vi.fn() };

const Tags = ({ of: { joints, cutEnds, operations } }: { readonly of: PlanResult }) => (
  <svg>
    <CutTags
      {...{ joints, cutEnds, operations, view, ...asked }}
      steel={[[40, 90]]}
      tapeY={170}
      tagY={230}
      datum={0}
      format={{ unit: 'in', division: 16 }}
      selected="stretch"
      describe={(operation) => operation}
    />
  </svg>
);
const tag = (name: RegExp) => screen.getByRole('slider', { name });

it('a tag is taken hold of, picked and nudged as its operation; one a cut can be reached by Tab', () => {
  render(<Tags of={moved(0)} />);
  fireEvent.pointerDown(tag(/^B: stretch/));
  expect(asked.onSelect).toHaveBeenLastCalledWith('stretch');
  expect(asked.onDragStart).toHaveBeenLastCalledWith('stretch', expect.anything());
  fireEvent.keyDown(tag(/^C: tail/), { key: 'ArrowLeft' });
  expect(asked.onKey).toHaveBeenLastCalledWith('tail', expect.anything());
  fireEvent.keyDown(tag(/^C: tail/), { key: 'Enter' });
  expect(asked.onSelect).toHaveBeenLastCalledWith('tail');
  expect(screen.getAllByRole('slider').map((each) => each.getAttribute('tabindex'))).toEqual(['0', '-1', '0']);
  expect(tag(/^A: stretch/).getAttribute('aria-label')).toContain('selected');
  // Its station is spoken in the job's own unit.
  expect(tag(/^A: stretch/).getAttribute('aria-valuetext')).toMatch(/^\d+( \d+\/\d+)? in$/);
});

it('the keys stay with the operation whose tag they were at, and never come to another that gets its letter', () => {
  const { rerender } = render(<Tags of={moved(0)} />);
  const tail = tag(/^C: tail/);
  act(() => tag(/^A: stretch/).focus());
  // Off the frame: nothing is cut there, and the tail's end is lettered A now.
  rerender(<Tags of={moved(inches(400))} />);
  expect(tag(/^A: tail/)).toBe(tail);
  expect(document.activeElement).toBe(document.body);
  // Behind the tail's letters, and back: the same tag.
  act(() => tail.focus());
  rerender(<Tags of={moved(inches(-10))} />);
  expect(document.activeElement).toBe(tag(/^C: tail/));
});
