import { datumStation, type Station } from '@splay/core';
import { Choice } from '../../ui/choice.tsx';
import { LengthField } from '../../ui/length-field.tsx';
import { ORIGIN_CHOICES } from '../../ui/table-columns.ts';
import type { PartProps } from './donor-part.tsx';
import { stationId, stationOf, withStation } from './station-ids.ts';
import { withOneMore } from './survey-stops.ts';

/** The station that is picked: where it is, how wide and how high the rail is there, and what runs on from it. */
export function StationDetail({ job, set, disabled, selected, onSelect }: PartProps) {
  const picked = stationOf(selected ?? '', job.donor);
  if (!picked) return null;
  const { station, side, index } = picked;
  const datum = datumStation(job.donor);
  const put = (figures: Partial<Station>) => set('Edited a station', (frame) => withStation(frame, picked, figures));
  const common = { format: job.display, disabled };
  return (
    <section aria-label={`Station ${index + 1}`} className="space-y-2.5">
      <h3 className="heading text-lg">
        Station {index + 1}
        <span className="font-text text-sm font-normal text-pencil">
          , {side === 'both' ? 'both rails' : `${side} rail`}
        </span>
      </h3>
      <LengthField
        {...common}
        label="From the datum hole"
        mm={station.x - datum}
        onChange={(mm) => put({ x: mm + datum })}
      />
      <LengthField
        {...common}
        label="Half-width, to the outside of the web"
        mm={station.halfWidth}
        onChange={(halfWidth) => put({ halfWidth })}
      />
      <LengthField
        {...common}
        label="Top of the rail over the datum plane"
        mm={station.top}
        onChange={(top) => put({ top })}
      />
      <Choice
        list
        label="Section behind it"
        value={station.section}
        choices={job.donor.sections.map(({ id }) => [id, id] as const)}
        disabled={disabled}
        onChange={(section) => put({ section })}
      />
      <Choice
        list
        label="Where its figures come from"
        value={station.origin ?? ''}
        choices={ORIGIN_CHOICES}
        disabled={disabled}
        onChange={(origin) => put(origin === '' ? {} : { origin: origin as NonNullable<Station['origin']> })}
      />
      <div>
        <button
          type="button"
          className="button"
          disabled={disabled}
          onClick={() => {
            set('Inserted a station', (frame) => withOneMore(frame, side === 'both' ? 'stations' : side, index).frame);
            onSelect(stationId(side, index + 1));
          }}
        >
          Insert a station behind it
        </button>
        <p className="mt-1 text-sm text-pencil">
          Half-way to the next, on the line between them: assumed until one of its figures is typed.
        </p>
      </div>
    </section>
  );
}
