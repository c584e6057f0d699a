import { type Feature, sidesOf, unitOf, type UsualFigure, withFigures, withMount } from '@splay/core';
import { recordNow } from '../../client/job-store.ts';
import { Choice } from '../../ui/choice.tsx';
import { FlangePlace } from '../../ui/flange-place.tsx';
import { Length } from '../../ui/length.tsx';
import { LengthField } from '../../ui/length-field.tsx';
import { PhotoStrip } from '../../ui/photo-strip.tsx';
import { QuantityField } from '../../ui/quantity-field.tsx';
import { type Choice as ChoiceOf, ORIGIN_CHOICES } from '../../ui/table-columns.ts';
import type { PartProps } from './donor-part.tsx';
import { ATTACHMENTS, FACES, MOVABLE } from './feature-choices.ts';

interface FeatureDetailProps extends PartProps {
  readonly feature: Feature;
  readonly index: number;
}

/** The feature that is picked: what does not fit in its row, and what the plan makes of it. */
export function FeatureDetail({
  job,
  store,
  result,
  records,
  canRecord,
  onRecord,
  set,
  disabled,
  feature,
  index,
}: FeatureDetailProps) {
  const put = (next: Feature) =>
    set('Edited a feature', (frame) => ({
      ...frame,
      features: frame.features.map((other, place) => (place === index ? next : other)),
    }));
  const pick = (label: string, value: string, choices: readonly ChoiceOf[], set: (value: string) => Feature) => (
    <Choice list {...{ label, value, choices, disabled }} onChange={(next) => put(set(next))} />
  );
  const units: readonly ChoiceOf[] = [['', 'nothing'], ...job.donor.units.map(({ id, name }) => [id, name] as const)];
  const under = (unit: string) =>
    set('Put a feature under a unit', (frame) => ({
      ...frame,
      units: withMount(frame.units, { kind: 'feature', id: feature.id }, unit === '' ? null : unit),
    }));
  const outcome = result.features.find((candidate) => candidate.feature.id === feature.id);
  const built = outcome && sidesOf(feature).map((side) => outcome.places[side]?.built)[0];
  const called = (label: string, figure: UsualFigure) =>
    feature.usual?.includes(figure) ? `${label}, assumed` : label;
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
                , ends up <Length mm={built.x - result.datum.built} format={job.display} className="font-semibold" />{' '}
                from the datum hole
              </>
            )}
          </span>
        )}
      </h3>
      <div className="mt-1 grid grid-cols-2 items-end gap-2">
        {pick('Face', feature.face, FACES, (face) => ({ ...feature, face: face as Feature['face'] }))}
        <FlangePlace feature={feature} format={job.display} disabled={disabled} onChange={put} />
        {pick(called('Fixed by', 'attachment'), feature.attachment, ATTACHMENTS, (attachment) =>
          withFigures(feature, { attachment: attachment as Feature['attachment'] }),
        )}
        {pick(called('Can be moved', 'movable'), feature.movable, MOVABLE, (movable) =>
          withFigures(feature, { movable: movable as Feature['movable'] }),
        )}
        <Choice
          list
          label="Carries"
          value={unitOf(job.donor, feature.id)?.id ?? ''}
          choices={units}
          disabled={disabled}
          onChange={under}
        />
        {pick('Where its place comes from', feature.origin ?? '', ORIGIN_CHOICES, (origin) => {
          const { origin: _, ...plain } = feature;
          return origin === '' ? plain : { ...plain, origin: origin as NonNullable<Feature['origin']> };
        })}
        <LengthField
          label={called('Reach ahead', 'ahead')}
          mm={feature.ahead}
          format={job.display}
          disabled={disabled}
          check={least('The reach')}
          onChange={(ahead) => put(withFigures(feature, { ahead }))}
        />
        <LengthField
          label={called('Reach behind', 'behind')}
          mm={feature.behind}
          format={job.display}
          disabled={disabled}
          check={least('The reach')}
          onChange={(behind) => put(withFigures(feature, { behind }))}
        />
        <LengthField
          label={called('Hole (0: none)', 'diameter')}
          mm={feature.diameter}
          format={job.display}
          disabled={disabled}
          check={least('The hole')}
          onChange={(diameter) => put(withFigures(feature, { diameter }))}
        />
        <QuantityField
          label={called(feature.side === 'both' ? 'Mass, each side' : 'Mass', 'mass')}
          of="mass"
          value={feature.mass}
          unit={job.display.unit}
          disabled={disabled}
          onChange={(mass) => put(withFigures(feature, { mass }))}
        />
      </div>
      <PhotoStrip
        of={{ kind: 'feature', id: feature.id }}
        name={feature.name}
        records={records}
        disabled={!canRecord}
        onPhoto={(photo) => onRecord(recordNow(store, 'photo', photo))}
      />
    </section>
  );
}
