import { builtOf, datumStation, donorOf, type Job, type Place, type PlanResult } from '@splay/core';
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

/** A place along the frame, from the datum hole, with its other number beside it. */
export function PlaceField({ label, place, job, result, disabled, onChange }: PlaceFieldProps) {
  const donorDatum = datumStation(job.donor);
  const builtDatum = builtOf(result.tape, donorDatum) ?? donorDatum;
  const datum = place.on === 'donor' ? donorDatum : builtDatum;
  const other = place.on === 'donor' ? builtOf(result.tape, place.x) : donorOf(result.tape, place.x);
  const otherDatum = place.on === 'donor' ? builtDatum : donorDatum;
  const flip = () => {
    if (other !== null) onChange({ x: other, on: place.on === 'donor' ? 'built' : 'donor' });
  };
  return (
    <div>
      <LengthField
        label={`${label}, from the ${place.on === 'donor' ? 'datum hole' : 'datum hole, built frame'}`}
        mm={place.x - datum}
        format={job.display}
        disabled={disabled}
        onChange={(mm) => onChange({ ...place, x: mm + datum })}
      />
      <p className="mt-0.5 flex justify-between text-xs text-pencil">
        <span>
          {place.on === 'donor' ? 'built: ' : 'donor: '}
          {other === null ? 'not there' : <Length mm={other - otherDatum} format={job.display} />}
        </span>
        <button
          type="button"
          className="underline disabled:no-underline"
          disabled={disabled || other === null}
          onClick={flip}
        >
          {place.on === 'donor' ? 'give it on the built frame' : 'give it on the donor'}
        </button>
      </p>
    </div>
  );
}
