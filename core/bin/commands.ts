import {
  datumStation,
  drawParts,
  drawingOf,
  evaluatePlan,
  type FinderAsk,
  frameProfile,
  InputError,
  jobFileJsonSchema,
  JOB_TABLES,
  type JobFile,
  type JobTable,
  lengthText,
  markSheet,
  parseJobFile,
  parseLength,
  placesAlong,
  plansOf,
  readingsIn,
  runsOf,
  sectionLookup,
  spliceParts,
  takeUp,
  writeDxf,
  writeJobFile,
  writeJobTable,
  writeSvg,
} from '../src/index.ts';

export class UsageError extends Error {}

export interface Result {
  readonly code: 0 | 1 | 2;
  readonly output: string;
  readonly problems?: string;
}

export type Options = Readonly<
  Partial<Record<'as' | 'view' | 'table' | 'unit' | 'plan' | 'out' | 'lengthen' | 'shorten', string>>
> & {
  readonly help?: boolean;
};

export const HELP = `splay: a job file without the web

  splay check job.json                        is the file right, and may the plan be cut?
  splay evaluate job.json                     everything the plan gives, as JSON (mm, radians)
  splay schema                                the JSON Schema of a job file
  splay export job.json                       the job file again, in its canonical form
  splay export job.json --as dxf --view side  a drawing: --as dxf or svg, --view side, plan or parts
                                              (plates and sleeves laid flat)
  splay export job.json --table stations      a table as CSV: ${JOB_TABLES.join(', ')}; --unit mm or in
  splay export job.json --as marks            the marks sheet as JSON
  splay find job.json --shorten "23 5/8"      where one cut is best, with what each place costs;
                                              --lengthen for rail let in

  --plan NAME  evaluate a variant as if it were the current plan
  --out FILE   write there and not to the screen
  exit codes   0 good · 1 the plan has something that must stop · 2 the file is not right · 64 the call is not right
`;

const choose = <T extends string>(value: string | undefined, choices: readonly T[], name: string, usual: T): T => {
  const given = value ?? usual;
  const found = choices.find((choice) => choice === given);
  if (!found) throw new UsageError(`--${name} is one of ${choices.join(', ')}, not “${given}”.`);
  return found;
};

/** The job with the current plan that was asked for. */
function withPlan(file: JobFile, name: string | undefined): JobFile {
  if (name === undefined || name === file.job.plan.name) return file;
  const job = takeUp(file.job, name);
  if (job === file.job)
    throw new UsageError(
      `There is no plan “${name}”. There are: ${plansOf(job)
        .map((plan) => `“${plan.name}”`)
        .join(', ')}`,
    );
  return { ...file, job };
}

function check({ job }: JobFile): Result {
  const { conflicts, measures } = evaluatePlan(job);
  const stops = conflicts.filter(({ severity }) => severity === 'stop');
  const show = (mm: number | null) => (mm === null ? '–' : lengthText(mm, job.display, true));
  const lines = [
    `${job.name}: the file is right.`,
    `Plan “${job.plan.name}”${job.variants.length > 0 ? `; kept beside it: ${job.variants.map(({ name }) => `“${name}”`).join(', ')}` : ''}`,
    `Wheelbase ${show(measures.before.wheelbase)} → ${show(measures.after.wheelbase)}`,
    ...conflicts.map(({ severity, message }) => `${severity.padEnd(5)} ${message}`),
    stops.length > 0 ? `${stops.length} must stop this plan.` : 'Nothing stops this plan. That is not an approval.',
  ];
  return { code: stops.length > 0 ? 1 : 0, output: `${lines.join('\n')}\n` };
}

function evaluated({ job }: JobFile): Result {
  const { measures, tape, operations, joints, cutEnds, axles, points, features, crossmembers, controls, ...rest } =
    evaluatePlan(job);
  const { conflicts, pieces, reworks, laden, driveLine } = rest;
  const profile = frameProfile(pieces, sectionLookup(job.donor));
  const frame = { joints, cutEnds, axles, points, features, crossmembers, reworks, profile };
  const result = { plan: job.plan.name, measures, laden, driveLine, tape, operations, ...frame, controls, conflicts };
  return {
    code: conflicts.some(({ severity }) => severity === 'stop') ? 1 : 0,
    output: `${JSON.stringify(result, null, 2)}\n`,
  };
}

function exported(file: JobFile, options: Options): Result {
  const good = (output: string): Result => ({ code: 0, output });
  const { job, records } = file;
  if (options.table !== undefined) {
    const table: JobTable = choose(options.table, JOB_TABLES, 'table', 'stations');
    return good(
      writeJobTable(table, job, readingsIn(records), choose(options.unit, ['mm', 'in'], 'unit', job.display.unit)),
    );
  }
  const view = choose(options.view, ['side', 'plan', 'parts'], 'view', 'side');
  const shapes = () => (view === 'parts' ? drawParts(spliceParts(evaluatePlan(job), job)) : drawingOf(job, view));
  switch (choose(options.as, ['json', 'dxf', 'svg', 'marks'], 'as', 'json')) {
    case 'json':
      return good(writeJobFile(file));
    case 'dxf':
      return good(writeDxf(shapes()));
    case 'svg':
      return good(writeSvg(shapes(), `${job.name}, ${view}`));
    case 'marks':
      return good(`${JSON.stringify(markSheet(job, evaluatePlan(job)), null, 2)}\n`);
  }
}

/** Places for one cut, the best first, each with what it costs, and why the rest is refused. */
function found({ job }: JobFile, options: Options): Result {
  const given = [
    ['lengthen', options.lengthen],
    ['shorten', options.shorten],
  ] as const;
  const asked = given.filter(([, text]) => text !== undefined);
  const [kind, text = ''] = asked[0] ?? ['lengthen'];
  if (asked.length !== 1) throw new UsageError('Say what is to be done: --lengthen LENGTH or --shorten LENGTH.');
  const read = parseLength(text, job.display.unit);
  if (!read.ok) throw new UsageError(`--${kind}: ${read.problem.message}`);
  if (read.value <= 0) throw new UsageError(`--${kind} takes a length above 0.`);
  const ask: FinderAsk = { do: kind, amount: read.value };
  const places = placesAlong(job, ask);
  const runs = runsOf(job, ask, places);
  const datum = datumStation(job.donor);
  const show = (x: number) => lengthText(x - datum, job.display);
  const lines = [
    `${job.name}: ${kind === 'lengthen' ? 'let in' : 'take out'} ${lengthText(ask.amount, job.display, true)} at one place. Stations from the datum hole.`,
    ...runs
      .slice(0, 8)
      .flatMap(({ from, to, best }, at) => [
        `${at + 1}. ${show(best.x)}: ${best.hours === 0 ? 'nothing in the way' : `${best.hours} h`}, the same from ${show(from)} to ${show(to)}`,
        ...best.costs.map(({ hours, says }) => `   ${hours} h  ${says}`),
      ]),
    ...(runs.length === 0 ? ['There is no such place.'] : []),
    `${places.filter(({ refused }) => refused !== null).length} of ${places.length} places are refused: ${[
      ...new Set(places.flatMap(({ refused }) => (refused === null ? [] : [refused.split(':')[0]]))),
    ]
      .slice(0, 6)
      .join('; ')}`,
    'A planning aid, not an approval.',
  ];
  return { code: runs.length > 0 ? 0 : 1, output: `${lines.join('\n')}\n` };
}

/** Carries out one call of the command line. @throws UsageError for a call that is not right. */
export function commands(words: readonly string[], options: Options, read: (path: string) => string): Result {
  const [command, path, ...rest] = words;
  if (options.help || command === undefined || command === 'help') return { code: 0, output: HELP };
  if (command === 'schema') return { code: 0, output: `${JSON.stringify(jobFileJsonSchema(), null, 2)}\n` };
  const actions = {
    check,
    evaluate: evaluated,
    export: (file: JobFile) => exported(file, options),
    find: (file: JobFile) => found(file, options),
  };
  if (!(command in actions)) throw new UsageError(`There is no command “${command}”. Try: splay help`);
  if (path === undefined || rest.length > 0) throw new UsageError(`Name one job file: splay ${command} job.json`);
  try {
    return actions[command as keyof typeof actions](withPlan(parseJobFile(read(path)), options.plan));
  } catch (error) {
    if (!(error instanceof InputError)) throw error;
    const lines = error.problems.map(
      (problem) => `${path}: ${problem.path ? `${problem.path}: ` : ''}${problem.message}`,
    );
    return { code: 2, output: '', problems: `${lines.join('\n')}\n` };
  }
}
