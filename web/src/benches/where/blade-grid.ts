import { datumStation, gridOf, type Job } from '@splay/core';

/** Where the blade stops: on the finder's grid, from the datum, so that what it says is what the search judged. */
export const bladeGrid = ({ donor, display }: Job) => ({ from: datumStation(donor), step: gridOf(display) });

/** A station on that grid, mm. */
export function onBladeGrid(x: number, job: Job): number {
  const { from, step } = bladeGrid(job);
  return from + Math.round((x - from) / step) * step;
}
