import { sectionProblem } from '../frame/index.ts';
import type { Section } from '../sections/index.ts';
import { inches, type LengthFormat, lengthText } from '../units/index.ts';

/** What can be wanted, and what it is called. */
export const QUICK_GOALS = {
  wheelbase: 'Wheelbase',
  'cab-to-axle': 'Cab-to-axle (CA)',
  'body-length': 'Body length',
} as const;
export type QuickGoal = keyof typeof QUICK_GOALS;

/** One figure that is asked for. */
export interface QuickField {
  readonly label: string;
  /** How to measure it, in one line. */
  readonly hint: string;
  /** May be left empty: then nobody has measured it. */
  readonly optional: boolean;
}

/** Every length that is asked for beside what is wanted and the rail size, in walking order from front to rear. */
export const QUICK_FIELDS = {
  wheelbase: {
    label: 'Wheelbase now',
    hint: 'Axle center to axle center.',
    optional: false,
  },
  width: { label: 'Frame width', hint: 'Over the outside of the rails.', optional: false },
  ahead: { label: 'Front overhang', hint: 'Front end to front axle.', optional: false },
  frontHanger: {
    label: 'Front spring, rear hanger',
    hint: 'Behind the front axle.',
    optional: true,
  },
  cabBack: { label: 'Back of cab', hint: 'Behind the front axle.', optional: true },
  tankFront: { label: 'Tank, front', hint: 'Behind the front axle.', optional: true },
  tankRear: { label: 'Tank, rear', hint: 'Behind the front axle.', optional: true },
  rearHangerAhead: {
    label: 'Rear spring, front hanger',
    hint: 'Ahead of the rear axle.',
    optional: true,
  },
  rearHangerBehind: {
    label: 'Rear spring, rear hanger',
    hint: 'Behind the rear axle.',
    optional: true,
  },
  behind: { label: 'Rear overhang (AF)', hint: 'Rear axle to frame end.', optional: false },
} as const satisfies Record<string, QuickField>;
export type QuickFieldId = keyof typeof QUICK_FIELDS;
export const QUICK_FIELD_IDS = Object.keys(QUICK_FIELDS) as readonly QuickFieldId[];

/** What was entered. Lengths in mm, 0 or more; null where nobody has measured it. */
export interface QuickEntries extends Readonly<Record<QuickFieldId, number | null>> {
  readonly display: LengthFormat;
  readonly goal: QuickGoal;
  /** The length that is wanted, mm; null until it is entered. */
  readonly wanted: number | null;
  readonly section: Section;
}

/** Something to put right before there is an answer; `section` and `wanted` are fields too. */
export interface QuickProblem {
  readonly field: QuickFieldId | 'wanted' | 'section';
  readonly message: string;
}

/** The least and the most that an entry can be, mm. */
const LEAST: Readonly<Partial<Record<QuickFieldId, number>>> = { wheelbase: inches(20), width: inches(8) };
const MOST = inches(800);

/** Entries that lie behind one another on the frame, and so must be in this order, mm behind the front axle. */
function inOrder({
  wheelbase,
  frontHanger,
  cabBack,
  tankFront,
  tankRear,
  rearHangerAhead,
}: QuickEntries): QuickProblem[] {
  if (wheelbase === null) return [];
  const problems: QuickProblem[] = [];
  if (tankFront !== null && tankRear !== null && tankFront >= tankRear)
    problems.push({ field: 'tankRear', message: 'The rear of the tank must lie behind its front.' });
  const rearHanger = rearHangerAhead === null ? wheelbase : wheelbase - rearHangerAhead;
  if (frontHanger !== null && frontHanger >= rearHanger)
    problems.push({
      field: 'frontHanger',
      message: 'The front spring ends behind the rear spring’s front hanger. Measure it from the front axle.',
    });
  if (cabBack !== null && cabBack >= wheelbase)
    problems.push({
      field: 'cabBack',
      message: 'The back of the cab lies behind the rear axle. Measure it from the front axle.',
    });
  return problems;
}

/** Entries that are longer than the frame they must lie on. */
function offTheFrame({ wheelbase, behind, tankRear, rearHangerAhead, rearHangerBehind }: QuickEntries): QuickProblem[] {
  if (wheelbase === null || behind === null) return [];
  return [
    ...(tankRear !== null && tankRear > wheelbase + behind
      ? [{ field: 'tankRear', message: 'The tank ends behind the frame. Measure it from the front axle.' } as const]
      : []),
    ...(rearHangerBehind !== null && rearHangerBehind > behind
      ? [
          {
            field: 'rearHangerBehind',
            message: 'The hanger lies behind the end of the frame. Measure it from the rear axle.',
          } as const,
        ]
      : []),
    ...(rearHangerAhead !== null && rearHangerAhead >= wheelbase
      ? [
          {
            field: 'rearHangerAhead',
            message: 'The hanger lies ahead of the front axle. Measure it from the rear axle.',
          } as const,
        ]
      : []),
  ];
}

/** One of a pair without the other. */
function halfGiven(entries: QuickEntries): QuickProblem[] {
  const pairs = [
    ['tankFront', 'tankRear', 'Enter the front and the rear of the tank, or neither.'],
    ['rearHangerAhead', 'rearHangerBehind', 'Enter both hangers of the rear spring, or neither.'],
  ] as const;
  return pairs.flatMap(([a, b, message]): QuickProblem[] => {
    if ((entries[a] === null) === (entries[b] === null)) return [];
    return [{ field: entries[a] === null ? a : b, message }];
  });
}

/**
 * What keeps some entries from having an answer, each with what to enter. Empty where nothing does.
 *
 * @param entries The entries; lengths in mm.
 */
export function quickProblems(entries: QuickEntries): readonly QuickProblem[] {
  const show = (mm: number) => lengthText(mm, entries.display, true);
  const missing = QUICK_FIELD_IDS.filter((id) => {
    const needed = !QUICK_FIELDS[id].optional || (id === 'cabBack' && entries.goal !== 'wheelbase');
    return needed && entries[id] === null;
  }).map((field): QuickProblem => ({ field, message: `Enter ${QUICK_FIELDS[field].label.toLowerCase()}.` }));
  const wrong = QUICK_FIELD_IDS.flatMap((field): QuickProblem[] => {
    const [mm, least] = [entries[field], LEAST[field] ?? 0];
    if (mm === null || (mm >= least && mm <= MOST)) return [];
    return [{ field, message: `${QUICK_FIELDS[field].label} must be from ${show(least)} to ${show(MOST)}.` }];
  });
  const goal = QUICK_GOALS[entries.goal];
  const wanted: QuickProblem[] =
    entries.wanted === null
      ? [{ field: 'wanted', message: `Enter the ${goal.toLowerCase()} that you want.` }]
      : entries.wanted <= 0 || entries.wanted > MOST
        ? [{ field: 'wanted', message: `${goal} must be more than 0 and at most ${show(MOST)}.` }]
        : [];
  const walls = sectionProblem(entries.section, show);
  return [
    ...missing,
    ...wanted,
    ...wrong,
    ...(walls ? [{ field: 'section', message: walls } as const] : []),
    ...halfGiven(entries),
    ...inOrder(entries),
    ...offTheFrame(entries),
  ];
}
