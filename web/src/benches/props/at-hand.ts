import {
  type HeldPart,
  type Job,
  type Prop,
  PROP_FACTS,
  type PropFinding,
  type Propping,
  propsOf,
  type PropStep,
  type StandUnder,
} from '@splay/core';
import type { BenchProps } from '../../client/bench-props.ts';
import { change, type CutMoment, preview, useJobState, type JobStore } from '../../client/job-store.ts';

/** What the bench looks at: a cut, at one of its moments. */
export interface AtHand {
  readonly steps: readonly PropStep[];
  /** Undefined where the plan cuts nothing. */
  readonly step: PropStep | undefined;
  readonly moment: CutMoment;
  /** What is to be said of it: worked out when it is asked for. */
  readonly findings: readonly PropFinding[];
  /** The parts at that moment: the whole frame until it is through. */
  readonly parts: readonly HeldPart[];
  /** The prop that is picked. */
  readonly prop: Prop | undefined;
}

/** The cut at hand, by what was asked for, else the picked prop's own, else the first. */
export function useAtHand({ store, job, selected }: Pick<BenchProps, 'store' | 'job' | 'selected'>): AtHand {
  const { step: asked, moment } = useJobState(store, ({ propping }) => propping);
  const props = propsOf(job);
  const { steps } = props;
  const prop = job.plan.propping.props.find(({ id }) => id === selected);
  const find = (id: string | null | undefined) => steps.find(({ operation }) => operation.id === id);
  const step = find(asked) ?? find(prop?.step) ?? steps[0];
  const whole = moment === 'standing' || moment === 'half cut';
  return {
    steps,
    step,
    moment,
    get findings() {
      return props.findings.filter(({ operation }) => operation === step?.operation.id);
    },
    parts: step ? (whole ? [step.whole] : step.loose) : [],
    prop,
  };
}

export const lookAt = (store: JobStore, step: string, moment: CutMoment): void =>
  store.setState({ propping: { step, moment } });

type Edit = (old: Propping) => Propping;
const editing =
  (edit: Edit) =>
  (old: Job): Job => ({ ...old, plan: { ...old.plan, propping: edit(old.plan.propping) } });

/** Changes how the frame is held, as one step of undo. */
export const hold = (store: JobStore, label: string, edit: Edit): void => change(store, label, editing(edit));
/** Shows such a change without making it. */
export const holdPreview = (store: JobStore, edit: Edit): void => preview(store, editing(edit));

export const withProp =
  (id: string, changes: Partial<Prop>): Edit =>
  (old) => ({ ...old, props: old.props.map((prop) => (prop.id === id ? { ...prop, ...changes } : prop)) });
export const withoutProp =
  (id: string): Edit =>
  (old) => ({ ...old, props: old.props.filter((prop) => prop.id !== id) });

/** What holds the frame up at a moment, one for each prop: both stands of a pair together. */
export interface PropUnder {
  readonly prop: Prop;
  readonly stands: readonly StandUnder[];
  /** What it carries, N; null where nobody knows. */
  readonly load: number | null;
  readonly part: HeldPart;
}

/** The props under some parts, front to rear. */
export const propsUnder = (parts: readonly HeldPart[]): readonly PropUnder[] =>
  parts
    .flatMap((part) => {
      const props = [...new Set(part.stands.map(({ prop }) => prop))];
      return props.map((prop): PropUnder => {
        const stands = part.stands.filter((each) => each.prop === prop);
        const loads = stands.map(({ load }) => load);
        return {
          prop,
          stands,
          part,
          load: loads.some((load) => load === null) ? null : loads.reduce<number>((sum, load) => sum + (load ?? 0), 0),
        };
      });
    })
    .sort((a, b) => a.prop.x - b.prop.x);

export const holdsUp = ({ kind }: Prop): boolean => PROP_FACTS[kind].does === 'up';
export const ties = ({ kind }: Prop): boolean => PROP_FACTS[kind].does === 'ties';
