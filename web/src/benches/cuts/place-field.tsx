import { builtOf, donorOf, isOnTape, type Job, type Place, type PlanResult } from '@splay/core';
import { Length } from '../../ui/length.tsx';
import { LengthField } from '../../ui/length-field.tsx';

interface PlaceFieldProps {
  readonly label: string;
  readonly place: Place;
  readonly job: Job;
  readonly result: PlanResult;
  readonly disabled: boolean;
  readonly onChange: (place: Place) => void;
}

/** A place along the frame, level from the datum hole, on the donor or on the built frame, with its other number. */
export function PlaceField({ label, place, job, result, disabled, onChange }: PlaceFieldProps) {
  const { datum, tape } = result;
  const onDonor = place.on === 'donor';
  const other = onDonor ? builtOf(tape, place.x) : donorOf(tape, place.x);
  const [own, others] = onDonor ? [datum.donor, datum.built] : [datum.built, datum.donor];
  // A place without another number, on new steel or on steel that is gone, keeps its figure and is typed over.
  const flip = () => onChange({ x: other ?? place.x - own + others, on: onDonor ? 'built' : 'donor' });
  return (
    <div>
      <LengthField
        label={`${label}, level from the ${onDonor ? 'datum hole' : 'datum hole, built frame'}`}
        mm={place.x - own}
        format={job.display}
        disabled={disabled}
        onChange={(mm) => onChange({ ...place, x: mm + own })}
      />
      <p className="mt-0.5 flex justify-between text-xs text-pencil">
        <span>
          {onDonor ? 'built: ' : 'donor: '}
          {other !== null ? (
            <Length mm={other - others} format={job.display} />
          ) : !isOnTape(tape, place) ? (
            'not on the frame'
          ) : onDonor ? (
            'taken out'
          ) : (
            'new steel'
          )}
        </span>
        <button
          type="button"
          className="underline disabled:no-underline"
          disabled={disabled}
          aria-label={`${label}: ${onDonor ? 'give it on the built frame' : 'give it on the donor'}`}
          onClick={flip}
        >
          {onDonor ? 'give it on the built frame' : 'give it on the donor'}
        </button>
      </p>
    </div>
  );
}
