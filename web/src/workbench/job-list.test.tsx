import { expect, it } from 'vitest';
import { demoJob } from '../../test/demo.ts';
import { render, screen } from '../../test/page.ts';
import { jobCard } from '../shared/job-card.ts';
import { JobRow, type Listed } from './job-list.tsx';

const { job, records } = demoJob('parcel-van');
const card = jobCard(job, records);
const row = { id: 'one', name: job.name, place: 'listed', savedAt: '2026-01-02T10:00:00.000Z' } as const;

it('says what each job is, its wheelbase, how far it has come and what comes next', () => {
  render(<JobRow job={{ ...row, card, outdated: false }} writes />);
  const item = screen.getAllByRole('listitem')[0]!;
  expect(item.textContent).toContain(card.about);
  expect(item.textContent).toMatch(/Wheelbase 141 → 155/);
  expect(screen.getByRole('link', { name: card.next.text }).getAttribute('href')).toBe(`/jobs/one/${card.next.bench}`);
  expect(item.querySelectorAll('path')).toHaveLength(
    card.thumb.pieces.length + [...item.querySelectorAll('button path')].length,
  );
  expect(screen.queryByText(/calculated/)).toBeNull();
});

it('a card of an earlier state says so, and a job that cannot be read how its file is had', () => {
  const jobs: readonly Listed[] = [
    { ...row, card, outdated: true },
    { ...row, id: 'two', name: 'Broken', card: null, outdated: false },
    { ...row, id: 'three', name: 'New', card: null, outdated: true },
  ];
  render(jobs.map((job) => <JobRow key={job.id} job={job} writes={false} />));
  expect(screen.getByText(/as it was before/)).toBeTruthy();
  expect(screen.getByRole('link', { name: 'download its file' }).getAttribute('href')).toBe('/api/jobs/two/export');
  expect(screen.getAllByRole('listitem').at(-1)!.textContent).toBe('Newbeing computed …');
  expect(screen.getAllByText(/cannot be read/)).toHaveLength(1);
  expect(screen.queryByRole('button')).toBeNull();
});
