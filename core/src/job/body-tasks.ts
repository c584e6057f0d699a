import { type Body, wheelbaseOf } from '../body/index.ts';
import { lengthText, type LengthFormat } from '../units/index.ts';
import type { MeasuringTask } from './measuring-tasks.ts';

/** One thing to measure on a body. */
export interface BodyTask extends Pick<MeasuringTask, 'what' | 'where' | 'answers' | 'state'> {
  readonly id: 'openings' | 'mounts' | 'underside' | 'boxes' | 'fenders' | 'weights' | 'outline';
}

const counted = (count: number, one: string): string => (count === 1 ? `1 ${one}` : `${count} ${one}s`);

/**
 * What to measure on a body, in the order it is best done, and what is still missing for which answer.
 *
 * @param body The body; validated.
 * @param display How lengths are written.
 */
export function bodyGuide(body: Body, display: LengthFormat): readonly BodyTask[] {
  const { openings, mounts, underside, boxes, fenders, points, masses, outline } = body;
  const wheelbase = wheelbaseOf(body);
  const rough = openings.filter(({ z, radius }) => z === undefined || radius === undefined);
  const bare = mounts.filter(({ hole, thickness }) => hole === undefined || thickness === undefined);
  const state = (count: number, whole: boolean): MeasuringTask['state'] =>
    count === 0 ? 'missing' : whole ? 'there' : 'partly';
  return [
    {
      id: 'openings',
      what: 'Wheel openings: middle, height, radius',
      where:
        openings.length === 0
          ? 'hang the tape at one end of the body; plumb down from the middle of each opening'
          : rough.length > 0
            ? `height or radius to measure: ${rough.map(({ name }) => name).join(', ')}`
            : wheelbase === null
              ? `${counted(openings.length, 'opening')} entered`
              : `${lengthText(wheelbase, display, true)} apart`,
      answers: 'what wheelbase it asks for, and whether the tire rubs',
      state: state(openings.length, rough.length === 0),
    },
    {
      id: 'mounts',
      what: 'Mounts: station, from the middle, underside, hole, bracket',
      where:
        mounts.length === 0
          ? 'every one, left and right, from the same tape and the same level line'
          : bare.length > 0
            ? `hole or bracket to measure: ${counted(bare.length, 'mount')}`
            : `${counted(mounts.length, 'mount')} entered`,
      answers: 'how high each mount must be, and what bracket it becomes',
      state: state(mounts.length, bare.length === 0),
    },
    {
      id: 'underside',
      what: 'Floor: the lowest of it, front to rear',
      where: underside.length < 2 ? 'from the level line down, wherever it steps' : `${underside.length} points`,
      answers: 'whether it comes down on a rail or a crossmember',
      state: underside.length < 2 ? 'missing' : 'there',
    },
    {
      id: 'boxes',
      what: 'What must stay clear: humps, tubs, sills, tunnels, steps',
      where:
        boxes.length === 0 ? 'a box round each: front, rear, left, right, low, high' : counted(boxes.length, 'part'),
      answers: 'what clashes, and how deep',
      state: boxes.length === 0 ? 'missing' : 'there',
    },
    {
      id: 'fenders',
      what: 'Fenders, steps, what hangs low',
      where:
        fenders.length + points.length === 0
          ? 'edges of the fenders from the middle; treads; the lowest ahead of and behind the wheels'
          : `${counted(fenders.length, 'fender')}, ${counted(points.length, 'point')}`,
      answers: 'whether tires are covered, step height, approach and departure',
      state:
        fenders.length + points.length === 0
          ? 'missing'
          : fenders.length === 0 || points.length === 0
            ? 'partly'
            : 'there',
    },
    {
      id: 'weights',
      what: 'Weights, and where they balance',
      where: masses.length === 0 ? 'on a scale under each end' : counted(masses.length, 'weight'),
      answers: 'axle loads, and what each mount carries',
      state: masses.length === 0 ? 'missing' : 'there',
    },
    {
      id: 'outline',
      what: 'Outline of its side',
      where: outline.length < 3 ? 'corner by corner; rough is enough' : `${outline.length} corners`,
      answers: 'the drawing only',
      state: outline.length < 3 ? 'missing' : 'there',
    },
  ];
}
