import {
  acceptedText,
  angleText,
  cautionsOf,
  type Conflict,
  evaluatePlan,
  hoursText,
  type Job,
  type JudgedOption,
  type LengthFormat,
  type Plan,
  type PlanResult,
  type PlanSummary,
  ratioText,
  summaryOf,
  weighPlan,
} from '@splay/core';
import type { ReactNode } from 'react';
import { Length } from '../../ui/length.tsx';
import { MassOf } from '../../ui/quantity.tsx';
import { Verdict } from '../../ui/verdict.tsx';
import { VERDICT_WORDS } from './verdict-words.ts';

/** One plan, evaluated. */
export interface Candidate {
  readonly plan: Plan;
  readonly result: PlanResult;
  readonly summary: PlanSummary;
  /** What it costs in work, and what is weighed against it. */
  readonly work: JudgedOption;
  /** Cautions that its cutting and welding ask for. */
  readonly cautions: number;
}

/**
 * A plan of a job, with everything that it is held against others by.
 *
 * @param job The job; validated.
 * @param plan One of its plans.
 */
export function candidateOf(job: Job, plan: Plan): Candidate {
  const own = { ...job, plan };
  const result = evaluatePlan(own);
  const cautions = (['cutting', 'welding'] as const).flatMap((step) => cautionsOf(own, result, step));
  return {
    plan,
    result,
    summary: summaryOf(result),
    work: weighPlan(own),
    cautions: new Set(cautions.map(({ id }) => id)).size,
  };
}

/** A row of the comparison: how it is shown for a plan, and whether it tells plans apart. */
export interface ComparisonLine {
  readonly name: string;
  readonly show: (of: Candidate) => ReactNode;
  readonly differs: (candidates: readonly Candidate[]) => boolean;
}

type Figure = (of: Candidate) => number | null | undefined;
type Words = (of: Candidate) => string;

/** Masses that are shown alike are the same, kg: to a tenth. */
const SAME_MASS = 0.05;
/** No tape tells this, mm. */
const SAME_LENGTH = 0.1;

const wordsDiffer =
  (words: Words) =>
  (candidates: readonly Candidate[]): boolean =>
    new Set(candidates.map(words)).size > 1;

const figuresDiffer =
  (figure: Figure, within: number) =>
  (candidates: readonly Candidate[]): boolean => {
    const figures = candidates.map((candidate) => figure(candidate) ?? null);
    const known = figures.filter((value) => value !== null);
    return (known.length > 0 && known.length < figures.length) || Math.max(...known) - Math.min(...known) > within;
  };

const reasons = (conflicts: readonly Conflict[]) => conflicts.map(({ message }) => message);

/** Working angles of the drive line's joints, front to rear. */
function shaftAngles({ result }: Candidate): string {
  const joints = result.driveLine.after?.joints ?? [];
  return joints.length === 0 ? '–' : joints.map(({ angle }) => (angle === null ? '–' : angleText(angle))).join(', ');
}

/** The joint that carries least of the bare rail. */
function weakest({ result }: Candidate): string {
  const ratios = result.splices.map(({ joint, worst }) => ({
    letter: joint.letter,
    ratio: worst.strength?.ratio ?? null,
  }));
  if (ratios.length === 0) return '–';
  const [least] = ratios.toSorted((a, b) => (a.ratio ?? -1) - (b.ratio ?? -1));
  return least?.ratio == null
    ? `${least?.letter ?? ''} cannot be calculated`
    : `${least.letter} ${ratioText(least.ratio)}`;
}

/** In how many pieces the drive shaft is. */
function shafts({ result }: Candidate): string {
  const count = result.driveLine.after?.shafts.length ?? 0;
  return count === 0 ? '–' : count === 1 ? 'one piece' : `${count} pieces`;
}

const listed = (names: readonly string[]) => (names.length === 0 ? 'nothing' : names.join(', '));

/** What plans of a job are held against each other by. */
export function comparisonLines({ display }: Job): ComparisonLine[] {
  const length = (name: string, of: Figure): ComparisonLine => ({
    name,
    show: (candidate) => {
      const mm = of(candidate);
      return mm === null || mm === undefined ? '–' : <Length mm={mm} format={display} />;
    },
    differs: figuresDiffer(of, SAME_LENGTH),
  });
  const words = (name: string, of: Words): ComparisonLine => ({ name, show: of, differs: wordsDiffer(of) });
  const degrees = (radians: number | null) => (radians === null ? '–' : angleText(radians));
  const mass = (name: string, of: Figure, rating?: Figure): ComparisonLine => ({
    name,
    show: (candidate) => {
      const [kg, may] = [of(candidate), rating?.(candidate)];
      if (kg === null || kg === undefined) return '–';
      return <MassOf kg={kg} rating={may ?? null} unit={display.unit} />;
    },
    differs: figuresDiffer(of, SAME_MASS),
  });
  const axle = (name: string, role: 'front' | 'rear') =>
    mass(
      name,
      ({ result }) => result.laden.after?.[role].load,
      ({ result }) => result.laden.after?.[role].rating,
    );
  return [
    {
      name: 'Joints',
      differs: wordsDiffer(({ summary }) => `${summary.joints} ${summary.worstJoint?.verdict}`),
      show: ({ summary: { joints, worstJoint } }) => {
        if (!worstJoint) return 'none';
        const [kind, said] = VERDICT_WORDS[worstJoint.verdict];
        return (
          <Verdict kind={kind}>
            {joints === 1 ? '' : `${joints}; the worst: `}
            {worstJoint.letter} {said}
          </Verdict>
        );
      },
    },
    {
      name: 'Stops',
      show: ({ summary }) => <Reasons kind="stop" reasons={reasons(summary.stops)} />,
      differs: wordsDiffer(({ summary }) => reasons(summary.stops).join(' ')),
    },
    {
      name: 'To decide',
      show: ({ summary }) => <Reasons kind="warn" reasons={reasons(summary.decisions)} />,
      differs: wordsDiffer(({ summary }) => reasons(summary.decisions).join(' ')),
    },
    {
      name: 'Cuts, level from the datum',
      show: ({ result }) => <CutPlaces result={result} display={display} />,
      differs: (candidates) => {
        const [first, ...rest] = candidates.map(({ result }) => cutsOf(result));
        return rest.some(
          (cuts) =>
            cuts.length !== first?.length ||
            cuts.some(({ x, letter }, at) => letter !== first[at]?.letter || Math.abs(x - first[at].x) > SAME_LENGTH),
        );
      },
    },
    {
      name: 'Accepted',
      show: ({ result }) => <Reasons kind="note" reasons={acceptedIn(result)} />,
      differs: wordsDiffer(({ result }) => acceptedIn(result).join(' ')),
    },
    words('Hours of work', ({ work }) => hoursText(work.hours)),
    words('Weighed against it', ({ work }) => hoursText(work.weighed)),
    words('Weakest joint, of the bare rail', weakest),
    words('Shaft', shafts),
    words('Cautions', ({ cautions }) => `${cautions}`),
    words('Removed or lost', ({ summary }) => listed(summary.gone)),
    words('Re-drilled or re-welded', ({ summary }) => listed(summary.remade)),
    length('Rail cut away', ({ summary }) => summary.cutAway),
    length('New rail', ({ summary }) => summary.newRail),
    words('Operations', ({ summary }) => `${summary.operations}`),
    length('Wheelbase', ({ result }) => result.measures.after.wheelbase),
    length('Cab to axle', ({ result }) => result.measures.after.cabToAxle),
    length('Axle to end of frame', ({ result }) => result.measures.after.axleToEnd),
    length('Overall length', ({ result }) => result.measures.after.overallLength),
    length('Widest', ({ result }) => result.measures.after.widest),
    length('Lowest over the ground', ({ result }) => result.measures.after.lowest?.clearance),
    words('Departure', ({ result }) => degrees(result.measures.after.departure)),
    words('Shaft joint angles', shaftAngles),
    mass('Mass of the frame', ({ result }) => result.measures.after.mass),
    axle('Front axle, laden', 'front'),
    axle('Rear axle, laden', 'rear'),
  ];
}

const acceptedIn = ({ conflicts }: PlanResult): string[] =>
  conflicts.flatMap(({ message, accepted }) => (accepted ? [`${message} ${acceptedText(accepted)}`] : []));

/** Where a plan cuts the donor, level from the datum hole, front to rear; where it cuts new steel, on the built frame. */
const cutsOf = ({ joints, cutEnds, datum }: PlanResult): { readonly letter: string; readonly x: number }[] =>
  [...joints, ...cutEnds]
    .map(({ letter, donorX, builtX }) => ({
      letter,
      x: donorX === null ? builtX - datum.built : donorX - datum.donor,
    }))
    .sort((a, b) => a.x - b.x);

function CutPlaces({ result, display }: { readonly result: PlanResult; readonly display: LengthFormat }) {
  const cuts = cutsOf(result);
  if (cuts.length === 0) return 'none';
  return (
    <span className="flex flex-wrap gap-x-3">
      {cuts.map(({ letter, x }) => (
        <span key={letter} className="whitespace-nowrap">
          <b className="heading text-layout">{letter}</b> <Length mm={x} format={display} />
        </span>
      ))}
    </span>
  );
}

function Reasons({ kind, reasons }: { readonly kind: 'stop' | 'warn' | 'note'; readonly reasons: readonly string[] }) {
  if (reasons.length === 0) return 'nothing';
  return (
    <ul className="space-y-1">
      {reasons.map((reason) => (
        <li key={reason}>
          <Verdict kind={kind}>{reason}</Verdict>
        </li>
      ))}
    </ul>
  );
}
