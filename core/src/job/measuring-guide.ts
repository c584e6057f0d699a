import { wheelbaseOf } from '../body/index.ts';
import { datumStation, type FeatureKind, kindsThat } from '../frame/index.ts';
import { lengthText, quantityText } from '../units/index.ts';
import {
  type MeasuringTask,
  axlesTask,
  controlsTask,
  datumTask,
  driveLineTask,
  onlyAssumed,
  presence,
  sectionsTask,
  stateOf,
  stationsTask,
  suspensionTask,
  unitsTask,
} from './measuring-tasks.ts';
import type { Job } from './job.ts';

/**
 * What to measure on the donor, in the order it is best done, and what is still missing for which answer.
 *
 * @param job The job; validated.
 */
export function measuringGuide(job: Job): MeasuringTask[] {
  const { donor, bodies, display } = job;
  const masses = bodies.flatMap((body) => body.masses);
  const wheelbases = bodies.flatMap((body) => wheelbaseOf(body) ?? []);
  const openings = bodies.flatMap((body) => body.openings);
  const datum = datumStation(donor);
  const at = (x: number) => lengthText(x - datum, display, true);
  const of = (...kinds: readonly FeatureKind[]) => donor.features.filter(({ kind }) => kinds.includes(kind));
  const cabBack = donor.points.find(({ kind }) => kind === 'cab-back');
  return [
    datumTask(donor),
    sectionsTask(donor),
    stationsTask(donor, at, (mm) => lengthText(mm, display, true)),
    {
      id: 'both-rails',
      what: 'Left and right apart',
      where:
        donor.rails.kind === 'measured'
          ? 'both rails have tables of their own'
          : 'the right rail is taken as the left one mirrored: measure both at three places at least',
      answers: 'whether the donor is square and flat to begin with',
      state: donor.rails.kind === 'measured' ? 'there' : 'partly',
      part: 'stations',
    },
    axlesTask(donor),
    {
      id: 'crossmembers',
      what: 'Crossmembers: middle, length, depth, how fixed',
      where: donor.crossmembers.length > 0 ? `${donor.crossmembers.length} entered` : 'every one, front to rear',
      answers: 'where a cut is clear, and what holds the rails apart',
      state: stateOf(donor.crossmembers, 2),
      part: 'crossmembers',
    },
    suspensionTask(of(...kindsThat(({ suspension }) => suspension ?? false)), donor, at),
    presence('stamp', 'The VIN stamp', of('identity-stamp'), at, 'where no cut, grinding or plate may come'),
    presence(
      'mounts',
      'Body, cab and bed mounts',
      of('body-mount', 'cab-mount', 'bed-mount'),
      at,
      'what the body can sit on, and what must move',
    ),
    unitsTask(donor),
    presence('tank', 'Tank straps', of('tank-strap'), at, 'which cuts come near fuel'),
    {
      id: 'lines',
      what: 'Lines, harness, cables, pipes: from, to, slack',
      where: donor.lines.length > 0 ? `${donor.lines.length} entered` : 'follow each along the rail, clip by clip',
      answers: 'which get too short or too long',
      state: stateOf(donor.lines, 1),
      part: 'lines',
    },
    driveLineTask(donor),
    {
      id: 'cab-back',
      what: 'Back of the cab',
      where: cabBack
        ? cabBack.origin === 'assumed'
          ? onlyAssumed(['back of cab'])
          : 'entered'
        : 'plumb down to the rail',
      answers: 'cab to axle, and how much of it is usable',
      state: stateOf(cabBack ? [cabBack] : [], 1),
      part: 'lines',
    },
    controlsTask(donor, at),
    {
      id: 'body',
      what: 'The body: its wheel openings',
      where:
        openings.length > 0
          ? wheelbases.map((mm) => `${lengthText(mm, display, true)} apart`).join(', ') || `${openings.length} entered`
          : 'middle of each, from one end of the body, both sides',
      answers: 'how much to add or take out',
      state: openings.length > 0 ? 'there' : 'missing',
      part: 'body',
    },
    {
      id: 'body-weights',
      what: 'What the body weighs and carries, and where that balances',
      where:
        masses.length > 0
          ? `${quantityText(
              'mass',
              masses.reduce((sum, { mass }) => sum + mass, 0),
              display.unit,
            )} in all`
          : 'on a scale under each end: the two readings give the place',
      answers: 'what stands on each axle, against its rating',
      state: masses.length > 0 ? 'there' : 'missing',
      part: 'body',
    },
  ];
}
