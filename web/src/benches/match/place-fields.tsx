import {
  axlePlaces,
  floorLevel,
  groundUnder,
  lowestThatClears,
  type OpeningWeights,
  openingOver,
  placedBy,
  PLACING_RULES,
  type PlacingRule,
  type SeatOutcome,
  sectionLookup,
  wheelsUnder,
} from '@splay/core';
import { useMemo, useState } from 'react';
import type { BenchProps } from '../../client/bench-props.ts';
import { AngleField } from '../../ui/angle-field.tsx';
import { CountField } from '../../ui/count-field.tsx';
import { Length } from '../../ui/length.tsx';
import { LengthField } from '../../ui/length-field.tsx';
import { PanelHeading } from '../../ui/panel.tsx';
import { MountWishes } from './mount-wishes.tsx';
import { leaveToRule, place } from './selected-seat.ts';

const RULE_NAMES: Readonly<Record<PlacingRule, string>> = {
  'front-opening': 'Front opening over its axle',
  'rear-opening': 'Rear opening over its axle',
  'both-openings': 'Both, as near as can be',
  'round-wheels': 'Both round their wheels',
  'round-wheels-keep-rake': 'Round their wheels, rake kept',
};

interface PlaceFieldsProps {
  readonly bench: BenchProps;
  readonly seat: SeatOutcome;
}

/** Where it sits: the rules that serve, then along, height and rake to type. */
export function PlaceFields({ bench, seat }: PlaceFieldsProps) {
  const { store, job, result, canWrite } = bench;
  const { body, pose, decided, openings } = seat;
  const axles = useMemo(() => axlePlaces(result.axles, 'built'), [result.axles]);
  const lowest = useMemo(
    () => lowestThatClears(body, pose, { ...result, ...result.obstacles }, sectionLookup(job.donor)),
    [body, pose, result, job.donor],
  );
  const level = useMemo(() => {
    const wheels = wheelsUnder(result.axles);
    return wheels && floorLevel(body, pose, groundUnder(wheels).slope);
  }, [body, pose, result.axles]);
  const [weights, setWeights] = useState<OpeningWeights>({ front: 1, rear: 1 });
  const disabled = !canWrite;
  const rules = PLACING_RULES.flatMap((rule) => {
    const placed = placedBy(rule, body, axles, pose, weights);
    return placed ? [{ rule, placed }] : [];
  });
  const held = openings.find(({ opening }) => opening === (openingOver(body, 'front') ?? openingOver(body, 'rear')));
  const behind = held?.behind ?? null;
  const common = { format: job.display, disabled };
  return (
    <>
      <PanelHeading aside={<span className="text-pencil">{decided ? 'placed here' : 'by the first rule'}</span>}>
        Where it sits
      </PanelHeading>
      <div className="flex flex-wrap gap-1.5">
        {rules.map(({ rule, placed }) => {
          const here = Math.hypot(placed.x - pose.x, placed.z - pose.z) < 0.05;
          return (
            <button
              key={rule}
              type="button"
              className={`button ${here ? 'border-ochre bg-ochre-wash' : ''}`}
              aria-pressed={here}
              disabled={disabled}
              onClick={() => place(store, RULE_NAMES[rule], seat, placed)}
            >
              {RULE_NAMES[rule]}
            </button>
          );
        })}
        {lowest && (
          <button
            type="button"
            className={`button ${Math.abs(lowest.z - pose.z) < 0.05 ? 'border-ochre bg-ochre-wash' : ''}`}
            aria-pressed={Math.abs(lowest.z - pose.z) < 0.05}
            disabled={disabled}
            onClick={() => place(store, 'Lowest that clears', seat, lowest)}
          >
            Lowest that clears
          </button>
        )}
        {level && (
          <button
            type="button"
            className={`button ${Math.abs(level.rake - pose.rake) < 1e-5 ? 'border-ochre bg-ochre-wash' : ''}`}
            aria-pressed={Math.abs(level.rake - pose.rake) < 1e-5}
            disabled={disabled}
            onClick={() => place(store, 'Floor level', seat, level)}
          >
            Floor level
          </button>
        )}
      </div>
      {lowest && Math.abs(lowest.z - pose.z) >= 0.05 && (
        <p className="mt-2 text-sm text-pencil">
          The lowest that clears is{' '}
          <Length mm={Math.abs(lowest.z - pose.z)} format={job.display} className="font-semibold" />{' '}
          {lowest.z > pose.z ? 'higher than it sits: so much more height is asked for' : 'lower than it sits'}.
        </p>
      )}
      {rules.some(({ rule }) => rule === 'both-openings') && (
        <details className="mt-2 text-sm">
          <summary className="min-h-8 cursor-pointer text-pencil">
            Where both cannot be met they count {weights.front} to {weights.rear}
          </summary>
          <div className="grid grid-cols-2 gap-2">
            {(['front', 'rear'] as const).map((end) => (
              <CountField
                key={end}
                label={`${end} opening counts`}
                value={weights[end]}
                least={1}
                most={20}
                disabled={disabled}
                onChange={(count) => setWeights({ ...weights, [end]: count })}
              />
            ))}
          </div>
        </details>
      )}
      <MountWishes bench={bench} seat={seat} onPlace={(placed) => place(store, 'Placed by its mounts', seat, placed)} />
      {seat.floor && (
        <p className="mt-2 text-sm text-pencil">
          Its floor is <Length mm={seat.floor.front} format={job.display} className="font-semibold" /> over the ground
          at the front, <Length mm={seat.floor.rear} format={job.display} className="font-semibold" /> at the rear.
        </p>
      )}
      <div className="mt-2 grid grid-cols-2 gap-2">
        {behind === null ? (
          <LengthField
            {...common}
            label="Its tape’s zero, from the datum hole"
            mm={pose.x - result.datum.built}
            onChange={(mm) => place(store, 'Moved the body', seat, { x: mm + result.datum.built })}
          />
        ) : (
          <LengthField
            {...common}
            label={`${held?.opening.name ?? 'Opening'} behind its axle`}
            mm={behind}
            onChange={(mm) => place(store, 'Moved the body', seat, { x: pose.x + mm - behind })}
          />
        )}
        <LengthField
          {...common}
          label="Level line over the datum plane"
          mm={pose.z}
          onChange={(z) => place(store, 'Raised or lowered the body', seat, { z })}
        />
        <AngleField
          label="Rake, rear up above 0"
          radians={pose.rake}
          signed
          disabled={disabled}
          onChange={(rake) => place(store, 'Raked the body', seat, { rake })}
        />
        {decided && !disabled && (
          <button
            type="button"
            className="self-end pb-2 text-left text-sm text-pencil underline underline-offset-2"
            onClick={() => leaveToRule(store, seat)}
          >
            Leave it to the rule
          </button>
        )}
      </div>
    </>
  );
}
