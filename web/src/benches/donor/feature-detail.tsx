import { datumStation, type Feature, sidesOf } from '@splay/core';
import { Length } from '../../ui/length.tsx';
import { LengthField } from '../../ui/length-field.tsx';
import { words } from '../../ui/table-columns.ts';
import type { PartProps } from './donor-bench.tsx';

interface FeatureDetailProps extends PartProps {
  readonly feature: Feature;
  readonly index: number;
}

const FACES = words(['top', 'web-outside', 'web-inside', 'bottom']);
const ATTACHMENTS = words(['rivets', 'bolts', 'weld', 'hole']);

/** The feature that is picked: what does not fit in its row, and what the plan makes of it. */
export function FeatureDetail({ job, result, set, disabled, feature, index }: FeatureDetailProps) {
  const put = (next: Feature) =>
    set('Edited a feature', 'features', (frame) => ({
      ...frame,
      features: frame.features.map((other, place) => (place === index ? next : other)),
    }));
  const pick = <K extends 'face' | 'attachment'>(key: K, label: string, choices: readonly (readonly string[])[]) => (
    <label className="text-sm text-pencil">
      {label}
      <select
        className="field mt-1 h-9 text-graphite"
        value={feature[key]}
        disabled={disabled}
        onChange={(event) => put({ ...feature, [key]: event.target.value as Feature[K] })}
      >
        {choices.map(([value, name]) => (
          <option key={value} value={value}>
            {name}
          </option>
        ))}
      </select>
    </label>
  );
  const outcome = result.features.find((candidate) => candidate.feature.id === feature.id);
  const built = outcome && sidesOf(feature).map((side) => outcome.places[side]?.built)[0];
  const least = (what: string) => (mm: number) => (mm >= 0 ? null : `${what} cannot be below 0.`);
  return (
    <section aria-label={feature.name} className="mb-3 border border-layout bg-layout-wash/50 px-3 pt-2 pb-3">
      <h3 className="heading flex flex-wrap items-baseline justify-between gap-x-3 text-lg">
        {feature.name}
        {outcome && (
          <span className="font-text text-sm font-normal text-pencil">
            in the plan: {outcome.reason}
            {built && (
              <>
                , ends up{' '}
                <Length mm={built.x - datumStation(job.donor)} format={job.display} className="font-semibold" /> from
                the datum hole
              </>
            )}
          </span>
        )}
      </h3>
      <div className="mt-1 grid grid-cols-4 items-end gap-2">
        {pick('face', 'Face', FACES)}
        {pick('attachment', 'Fixed by', ATTACHMENTS)}
        <LengthField
          label="Long, along the rail"
          mm={feature.length}
          format={job.display}
          disabled={disabled}
          check={least('The length')}
          onChange={(length) => put({ ...feature, length })}
        />
        <LengthField
          label="Hole (0: none)"
          mm={feature.diameter}
          format={job.display}
          disabled={disabled}
          check={least('The hole')}
          onChange={(diameter) => put({ ...feature, diameter })}
        />
      </div>
    </section>
  );
}
