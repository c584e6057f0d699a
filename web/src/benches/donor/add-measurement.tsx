import { BETWEEN_KINDS, type ControlEnd, type ControlMeasurement, type ControlPoint, SIDES } from '@splay/core';
import { useState } from 'react';
import { freshId } from '../../client/fresh-id.ts';
import { Choice } from '../../ui/choice.tsx';

const NAMES: Readonly<Record<ControlMeasurement['kind'], string>> = {
  tape: 'tape, pulled straight',
  plumb: 'tape held level, plumbed down',
  rise: 'rise, by a level over both',
  height: 'height over the datum plane',
};

interface AddMeasurementProps {
  readonly points: readonly ControlPoint[];
  readonly disabled: boolean;
  readonly onAdd: (measurement: ControlMeasurement) => void;
}

const keyOf = ({ point, side }: ControlEnd): string => `${point}/${side}`;

/** One measurement of any kind, between any two control points. */
export function AddMeasurement({ points, disabled, onAdd }: AddMeasurementProps) {
  const ends = points.flatMap((point) =>
    SIDES.map((side) => ({ end: { point: point.id, side }, name: `${point.name}, ${side}` })),
  );
  const choices = ends.map(({ end, name }) => [keyOf(end), name] as const);
  const [kind, setKind] = useState<ControlMeasurement['kind']>('plumb');
  const [asked, setAsked] = useState<readonly [from: string, to: string]>(['', '']);
  if (ends.length < 2) return null;
  const find = (key: string, otherwise: number) =>
    (ends.find(({ end }) => keyOf(end) === key) ?? ends[otherwise])?.end as ControlEnd;
  const [from, to] = [find(asked[0], 0), find(asked[1], 1)];
  const same = kind !== 'height' && keyOf(from) === keyOf(to);
  return (
    <div className="mt-2 grid grid-cols-2 items-end gap-2 border-t border-rule pt-2 md:grid-cols-4">
      <Choice
        list
        label="One more"
        value={kind}
        choices={[...BETWEEN_KINDS, 'height' as const].map((each) => [each, NAMES[each]])}
        disabled={disabled}
        onChange={setKind}
      />
      <Choice
        list
        label={kind === 'height' ? 'At' : 'From'}
        value={keyOf(from)}
        choices={choices}
        disabled={disabled}
        onChange={(key) => setAsked([key, asked[1]])}
      />
      {kind !== 'height' && (
        <Choice
          list
          label="To"
          value={keyOf(to)}
          choices={choices}
          disabled={disabled}
          onChange={(key) => setAsked([asked[0], key])}
        />
      )}
      <button
        type="button"
        className="button min-h-9"
        disabled={disabled || same}
        onClick={() =>
          onAdd(kind === 'height' ? { id: freshId('height'), kind, at: from } : { id: freshId(kind), kind, from, to })
        }
      >
        {same ? 'Two different ends' : 'Add it'}
      </button>
    </div>
  );
}
