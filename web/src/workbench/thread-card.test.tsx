import { evaluateJob, judgedReadings, surveyAndMoves } from '@splay/core';
import { expect, it, vi } from 'vitest';
import { demoJob } from '../../test/demo.ts';
import { fireEvent, render, screen, waitFor, within } from '../../test/page.ts';
import { ThreadCard } from './thread-card.tsx';

const { job, records } = demoJob('parcel-van');
const whole = evaluateJob(job, records);
const actions = { onLook: vi.fn(), onSelect: vi.fn(), onThread: vi.fn(), onBench: vi.fn() };

it('the thread of the readings lists every one that was taken, and which of them no other checks', async () => {
  render(<ThreadCard figure="readings-right" job={job} whole={whole} actions={actions} />);
  const taken = judgedReadings(whole.plan.controls, whole.readings, whole.stage, job.rules, job.display);
  const rows = screen.getAllByRole('listitem');
  expect(rows).toHaveLength(taken.length);
  expect(rows.length).toBeGreaterThan(10);
  const { survey } = surveyAndMoves(job, whole.plan, whole.readings, whole.stage);
  const weak = survey.state === 'held' ? survey.weak.map(({ measurement }) => measurement.id) : [];
  const unchecked = taken.filter(({ control }) => weak.includes(control.measurement.id));
  await waitFor(() => expect(screen.queryAllByText('read, weak: no other checks it')).toHaveLength(unchecked.length));
  expect(unchecked.length).toBeGreaterThan(0);
  const [first] = unchecked;
  const row = rows[taken.indexOf(first!)]!;
  expect(row.textContent).toContain(first!.control.name);
  expect(row.textContent).toContain('weak');
  fireEvent.click(within(row).getByRole('button'));
  expect(actions.onSelect).toHaveBeenCalledWith(first!.control.measurement.id);
});

it('a figure that rests on no reading says nothing of weak ones', () => {
  render(<ThreadCard figure="cab-to-axle" job={job} whole={whole} actions={actions} />);
  expect(screen.queryByText(/weak/)).toBeNull();
});
