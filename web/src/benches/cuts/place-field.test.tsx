import { evaluatePlan, inches, type Job, type Place } from '@splay/core';
import { expect, it, vi } from 'vitest';
import { demoJob } from '../../../test/demo.ts';
import { fireEvent, render, screen } from '../../../test/page.ts';
import { PlaceField } from './place-field.tsx';

const { job: van } = demoJob('parcel-van');
const datum = van.donor.features.find(({ id }) => id === van.donor.datum)!.x;

function show(place: Place, job: Job = van) {
  const onChange = vi.fn<(place: Place) => void>();
  const { container } = render(
    <PlaceField label="Where" disabled={false} {...{ place, job, onChange }} result={evaluatePlan(job)} />,
  );
  return { onChange, other: container.querySelector('p span')?.textContent?.trim() };
}
/** A place so many inches behind the datum hole. */
const donor = (from: number): Place => ({ on: 'donor', x: datum + inches(from) });
const built = (from: number): Place => ({ on: 'built', x: datum + inches(from) });

// The flagship is cut 56 in behind its datum hole, 14 3/4 in is let in there, and its tail comes off.
it.each([
  ['ahead of the cut', donor(40), 'built: 40'],
  ['behind it', donor(80), 'built: 94 3⁄4'],
  ['in front of the frame', donor(-400), 'built: not on the frame'],
  ['behind the frame', donor(400), 'built: not on the frame'],
  ['on the tail that comes off', donor(168), 'built: taken out'],
  ['on the new steel', built(60), 'donor: new steel'],
  ['behind the new steel', built(94.75), 'donor: 80'],
  ['behind what is built', built(400), 'donor: not on the frame'],
])('a place %s has its other number, or says why there is none', (_, place, other) => {
  expect(show(place).other).toBe(other);
});

it('is given on the other frame by its other number, and keeps its figure where it has none', () => {
  const { onChange } = show(donor(80));
  fireEvent.click(screen.getByRole('button', { name: 'Where: give it on the built frame' }));
  expect(onChange.mock.lastCall?.[0]).toEqual({ on: 'built', x: expect.closeTo(datum + inches(94.75), 6) as number });
});

it('keeps its figure where it has no other number', () => {
  const { onChange } = show(built(60));
  fireEvent.click(screen.getByRole('button', { name: 'Where: give it on the donor' }));
  expect(onChange.mock.lastCall?.[0]).toEqual({ on: 'donor', x: expect.closeTo(datum + inches(60), 6) as number });
});
