import {
  type HeldPart,
  type Job,
  type Shore,
  SHORE_FACTS,
  type ShoringFinding,
  type Shoring,
  shoringOf,
  type ShoringStep,
  type StandUnder,
} from '@splay/core';
import type { BenchProps } from '../../client/bench-props.ts';
import { change, type CutMoment, preview, useJobState, type JobStore } from '../../client/job-store.ts';

/** What the bench looks at: a cut, at one of its moments. */
export interface Selection {
  readonly steps: readonly ShoringStep[];
  /** Undefined where the plan cuts nothing. */
  readonly step: ShoringStep | undefined;
  readonly moment: CutMoment;
  /** What is to be said of it: worked out when it is asked for. */
  readonly findings: readonly ShoringFinding[];
  /** The parts at that moment: the whole frame until it is through. */
  readonly parts: readonly HeldPart[];
  /** The shore that is picked. */
  readonly shore: Shore | undefined;
}

/** The cut at hand, by what was asked for, else the picked shore's own, else the first. */
export function useSelection({ store, job, selected }: Pick<BenchProps, 'store' | 'job' | 'selected'>): Selection {
  const { step: asked, moment } = useJobState(store, ({ shoring }) => shoring);
  const shores = shoringOf(job);
  const { steps } = shores;
  const shore = job.plan.shoring.shores.find(({ id }) => id === selected);
  const find = (id: string | null | undefined) => steps.find(({ operation }) => operation.id === id);
  const step = find(asked) ?? find(shore?.step) ?? steps[0];
  const whole = moment === 'standing' || moment === 'half cut';
  return {
    steps,
    step,
    moment,
    get findings() {
      return shores.findings.filter(({ operation }) => operation === step?.operation.id);
    },
    parts: step ? (whole ? [step.whole] : step.loose) : [],
    shore,
  };
}

export const lookAt = (store: JobStore, step: string, moment: CutMoment): void =>
  store.setState({ shoring: { step, moment } });

type Edit = (old: Shoring) => Shoring;
const editing =
  (edit: Edit) =>
  (old: Job): Job => ({ ...old, plan: { ...old.plan, shoring: edit(old.plan.shoring) } });

/** Changes how the frame is held, as one step of undo. */
export const hold = (store: JobStore, label: string, edit: Edit): void => change(store, label, editing(edit));
/** Shows such a change without making it. */
export const holdPreview = (store: JobStore, edit: Edit): void => preview(store, editing(edit));

export const withShore =
  (id: string, changes: Partial<Shore>): Edit =>
  (old) => ({ ...old, shores: old.shores.map((shore) => (shore.id === id ? { ...shore, ...changes } : shore)) });
export const withoutShore =
  (id: string): Edit =>
  (old) => ({ ...old, shores: old.shores.filter((shore) => shore.id !== id) });

/** What holds the frame up at a moment, one for each shore: both stands of a pair together. */
export interface ShoreUnder {
  readonly shore: Shore;
  readonly stands: readonly StandUnder[];
  /** What it carries, N; null where nobody knows. */
  readonly load: number | null;
  readonly part: HeldPart;
}

/** The shores under some parts, front to rear. */
export const shoresUnder = (parts: readonly HeldPart[]): readonly ShoreUnder[] =>
  parts
    .flatMap((part) => {
      const shores = [...new Set(part.stands.map(({ shore }) => shore))];
      return shores.map((shore): ShoreUnder => {
        const stands = part.stands.filter((each) => each.shore === shore);
        const loads = stands.map(({ load }) => load);
        return {
          shore,
          stands,
          part,
          load: loads.some((load) => load === null) ? null : loads.reduce<number>((sum, load) => sum + (load ?? 0), 0),
        };
      });
    })
    .sort((a, b) => a.shore.x - b.shore.x);

export const holdsUp = ({ kind }: Shore): boolean => SHORE_FACTS[kind].does === 'up';
export const ties = ({ kind }: Shore): boolean => SHORE_FACTS[kind].does === 'ties';
