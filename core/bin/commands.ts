import { type GoalMeasure } from '../src/index.ts';
import { find } from './find.ts';
import { type Result, UsageError } from './result.ts';
import {
  drawParts,
  drawingOf,
  evaluatePlan,
  frameProfile,
  InputError,
  jobFileJsonSchema,
  lengthText,
  JOB_TABLES,
  type JobFile,
  type JobTable,
  markSheet,
  parseJobFile,
  plansOf,
  readingsIn,
  sectionLookup,
  spliceParts,
  takeUp,
  writeDxf,
  writeJobFile,
  writeJobTable,
  writeSvg,
} from '../src/index.ts';

export type Options = Readonly<
  Partial<Record<'as' | 'view' | 'table' | 'unit' | 'plan' | 'out' | 'tail' | GoalMeasure, string>>
> & {
  readonly help?: boolean;
};

const HELP = `splay: a job file without the web

  splay check job.json                        is the file right, and may the plan be cut?
  splay evaluate job.json                     everything the plan gives, as JSON (mm, radians)
  splay schema                                the JSON Schema of a job file
  splay export job.json                       the job file again, in its canonical form
  splay export job.json --as dxf --view side  a drawing: --as dxf or svg, --view side, plan or parts
                                              (plates and sleeves laid flat)
  splay export job.json --table stations      a table as CSV: ${JOB_TABLES.join(', ')}; --unit mm or in
  splay export job.json --as marks            the marks sheet as JSON
  splay find job.json --wheelbase "133 7/8"   where to cut: ranked options with their reasons; also
                                              --cab-to-axle, --rear-overhang, --width, --height;
                                              --tail L: the rear overhang that is wanted besides;
                                              what the bodies or the plan ask for without any;
                                              --as json for everything as data

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

/** Carries out one call of the command line. @throws UsageError for a call that is not right. */
export function commands(words: readonly string[], options: Options, read: (path: string) => string): Result {
  const [command, path, ...rest] = words;
  if (options.help || command === undefined || command === 'help') return { code: 0, output: HELP };
  if (command === 'schema') return { code: 0, output: `${JSON.stringify(jobFileJsonSchema(), null, 2)}\n` };
  const actions = {
    check,
    evaluate: evaluated,
    export: (file: JobFile) => exported(file, options),
    find: (file: JobFile) => find(file, options),
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
