import {
  fatigueName,
  type Job,
  quantityText,
  type RailSpliceOutcome,
  ruleProblem,
  ruleValue,
  withRule,
} from '@splay/core';
import { PanelHeading } from '../../ui/panel.tsx';
import { QuantityField } from '../../ui/quantity-field.tsx';
import { change, type JobStore } from '../../client/job-store.ts';

/** Cycles as a person says them: `1.2 million`, `340 thousand`. */
export function cyclesText(cycles: number | null): string {
  if (cycles === null) return 'no end';
  if (cycles >= 1e9) return 'over a billion';
  if (cycles >= 1e6) return `${(cycles / 1e6).toPrecision(2)} million`;
  return `${Math.round(cycles / 1000)} thousand`;
}

interface FatigueListProps {
  readonly job: Job;
  readonly one: RailSpliceOutcome;
  /** Where the stress range may be changed. */
  readonly store?: JobStore;
}

/** The details that cracks could begin at, the worst first: to compare joints by, never a promise. */
export function FatigueList({ job, one, store }: FatigueListProps) {
  const range = ruleValue(job.rules, 'fatigue/range');
  return (
    <>
      <PanelHeading>Fatigue, to compare</PanelHeading>
      <ul className="text-sm">
        {one.details.map((detail, index) => (
          <li key={index} className="flex items-baseline gap-2 border-b border-rule/60 py-1">
            <span className="flex-1">{fatigueName(detail)}</span>
            <span className="text-pencil">class {detail.detailClass}</span>
            <b className="w-24 text-right">{cyclesText(detail.cycles)}</b>
          </li>
        ))}
      </ul>
      <p className="mt-1 text-sm text-pencil">
        Cycles at a stress range of {quantityText('stress', range, job.display.unit)} in the flange, less nearer the
        middle. For comparing only: roads, rust and workmanship decide.
      </p>
      {store && (
        <QuantityField
          label="Stress range in the flange"
          of="stress"
          value={range}
          unit={job.display.unit}
          disabled={false}
          check={(value) => ruleProblem('fatigue/range', value)}
          onChange={(value) =>
            change(store, 'Changed a rule', (old) => ({ ...old, rules: withRule(old.rules, 'fatigue/range', value) }))
          }
        />
      )}
    </>
  );
}
