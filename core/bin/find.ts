import {
  GOAL_NAMES,
  GOAL_MEASURES,
  type Answer,
  type GoalMeasure,
  baseOf,
  datumStation,
  evaluatePlan,
  type FinderGoal,
  hoursText,
  type JobFile,
  lengthText,
  parseLength,
  suggestedGoals,
  whereToCut,
} from '../src/index.ts';
import { type Result, UsageError } from './result.ts';

type Options = Readonly<Partial<Record<GoalMeasure | 'as' | 'tail', string>>>;

/** The goal: as the call says, else as the bodies or the plan do. */
function askOf({ job }: JobFile, options: Options): FinderGoal {
  const given = GOAL_MEASURES.filter((of) => options[of] !== undefined);
  if (given.length > 1)
    throw new UsageError(`Ask for one thing at a time: ${given.map((of) => `--${of}`).join(' or ')}.`);
  const [of] = given;
  if (of === undefined) {
    const [first] = suggestedGoals(job, evaluatePlan(job));
    if (first) return first.goal;
    throw new UsageError(`Say the goal: ${GOAL_MEASURES.map((each) => `--${each} LENGTH`).join(', ')}.`);
  }
  const read = parseLength(options[of] ?? '', job.display.unit);
  if (!read.ok) throw new UsageError(`--${of}: ${read.problem.message}`);
  const { now } = baseOf(job, { of });
  if (now === null) throw new UsageError(`--${of}: this frame lacks what that is measured between.`);
  if (Math.abs(read.value - now) < 0.5) throw new UsageError(`--${of}: it is that already.`);
  return { of, by: read.value - now, ...tailAsked(job, of, options) };
}

/** What is done at the rear end besides, where the call says what overhang is wanted. */
function tailAsked(job: JobFile['job'], of: GoalMeasure, { tail }: Options): Pick<FinderGoal, 'tail'> {
  if (tail === undefined) return {};
  const read = parseLength(tail, job.display.unit);
  if (!read.ok) throw new UsageError(`--tail: ${read.problem.message}`);
  if (of === 'rear-overhang') throw new UsageError('--tail: that is the rear overhang itself.');
  const { now } = baseOf(job, { of: 'rear-overhang' });
  if (now === null) throw new UsageError('--tail: this frame has no rear axle.');
  return { tail: read.value - now };
}

/** Where to cut: ranked options with what each costs, and the obvious places that lost. */
export function find(file: JobFile, options: Options): Result {
  const { job } = file;
  const goal = askOf(file, options);
  const found = whereToCut(job, goal);
  const code = found.answers.length > 0 ? 0 : 1;
  if (options.as === 'json') return { code, output: `${JSON.stringify(found, null, 2)}\n` };
  const datum = datumStation(job.donor);
  const at = (x: number) => lengthText(x - datum, job.display);
  const length = (mm: number) => lengthText(mm, job.display, true);
  const places = ({ cuts }: Answer) =>
    cuts.map(({ x, from, to }) => `${at(x)} (the same from ${at(from)} to ${at(to)})`).join(' and ') || 'the end';
  const now = found.now ?? 0;
  const lines = [
    `${job.name}: ${GOAL_NAMES[goal.of].toLowerCase()} ${length(now)} → ${length(now + goal.by)}. Stations from the datum hole.`,
    ...found.answers
      .slice(0, 8)
      .flatMap((answer, index) => [
        `${index + 1}. at ${places(answer)}: ${hoursText(answer.judged.hours)} of work, ${answer.judged.score.toFixed(1)} with what is weighed`,
        `   ${answer.says}`,
        ...answer.judged.costs
          .filter(({ hours }) => hours >= 0.05)
          .map(
            ({ hours, counts, says }) =>
              `   ${hours.toFixed(2).padStart(6)} h ${counts === 'work' ? ' ' : '~'} ${says}`,
          ),
      ]),
    ...(found.answers.length === 0 ? ['There is no such place.'] : []),
    ...found.obvious.map(({ name, x, rank, says }) => `${name}, ${at(x)}${rank ? ` (way ${rank})` : ''}: ${says}`),
    `${found.counted.places} places and ${found.counted.pairs} pairs of places were looked at. ~ is weighed as hours, not work.`,
    'A planning aid, not an approval.',
  ];
  return { code, output: `${lines.join('\n')}\n` };
}
