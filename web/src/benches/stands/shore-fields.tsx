import {
  datumStation,
  dotted,
  type Shore,
  SHORE_FACTS,
  SHORE_KINDS,
  SHORE_SIDES,
  type ShoringStep,
  standing,
  tieLength,
} from '@splay/core';
import { Trash2 } from 'lucide-react';
import type { BenchProps } from '../../client/bench-props.ts';
import { Choice } from '../../ui/choice.tsx';
import { LengthField } from '../../ui/length-field.tsx';
import { Length } from '../../ui/length.tsx';
import { PanelHeading } from '../../ui/panel.tsx';
import { Quantity } from '../../ui/quantity.tsx';
import { hold, holdsUp, shoresUnder, ties, useSelection, withoutShore, withShore } from './selection.ts';

const HALF_YARD = 457.2;

interface ShoreFieldsProps {
  readonly bench: BenchProps;
  readonly shore: Shore;
  readonly steps: readonly ShoringStep[];
}

export const stepChoices = (steps: readonly ShoringStep[]): readonly (readonly [value: string, name: string])[] => [
  ['', 'all along'],
  ...steps.map(
    ({ operation, letters, name }) =>
      [operation.id, `for ${letters.length > 0 ? `cut ${dotted(letters)}` : name.toLowerCase()}`] as const,
  ),
];

/** One shore: what it is, where it is, how high; and what it was set to at the frame. */
export function ShoreFields({ bench, shore, steps }: ShoreFieldsProps) {
  const { store, job, canWrite, onSelect, records } = bench;
  const { parts, step } = useSelection(bench);
  const over = step?.cuts.find(({ donorX }) => donorX !== null)?.donorX ?? shore.x;
  const facts = SHORE_FACTS[shore.kind];
  const datum = datumStation(job.donor);
  const put = (label: string, changes: Partial<Shore>) => hold(store, label, withShore(shore.id, changes));
  const [under] = shoresUnder(parts).filter((each) => each.shore.id === shore.id);
  const height = under?.stands[0]?.height ?? null;
  const set = standing(records, 'prop-set').findLast(({ body }) => body.prop === shore.id);
  return (
    <section aria-label={facts.name} className="border border-graphite bg-paper p-3">
      <PanelHeading
        aside={
          canWrite && (
            <button
              type="button"
              className="button px-1.5"
              aria-label={`Take this ${facts.name.toLowerCase()} away`}
              onClick={() => {
                hold(store, `Took a ${facts.name.toLowerCase()} away`, withoutShore(shore.id));
                onSelect(null);
              }}
            >
              <Trash2 size={15} />
            </button>
          )
        }
      >
        {facts.name} at hand
      </PanelHeading>
      <p className="mb-2 text-sm text-pencil">{facts.sentence}</p>
      {holdsUp(shore) && (
        <p className="mb-2 flex items-baseline justify-between" role="status">
          <span className="text-sm text-pencil">floor to the steel{height === null ? '' : ', plumb both ways'}</span>
          {height === null ? (
            <span className="text-sm">say how high the datum plane is</span>
          ) : (
            <Length mm={height - shore.shim} format={job.display} className="heading text-2xl" />
          )}
        </p>
      )}
      {ties(shore) && (
        <p className="mb-2 flex items-baseline justify-between" role="status">
          <span className="text-sm text-pencil">cut it to</span>
          <Length mm={tieLength(shore)} format={job.display} className="heading text-2xl" />
        </p>
      )}
      {set && (
        <p className="mb-2 text-sm">
          Set by {set.by}, {set.taken.slice(0, 10)}
          {set.body.load !== null && (
            <>
              , carrying <Quantity of="mass" value={set.body.load} unit={job.display.unit} /> by the scale
            </>
          )}
        </p>
      )}
      <div className="grid grid-cols-2 gap-2">
        <Choice
          list
          label="What it is"
          value={shore.kind}
          choices={SHORE_KINDS.map((kind) => [kind, SHORE_FACTS[kind].name])}
          disabled={!canWrite}
          onChange={(kind) =>
            put(`Made it ${SHORE_FACTS[kind].name.toLowerCase()}`, {
              kind,
              ...(shore.side === 'middle' && !SHORE_FACTS[kind].middle ? { side: 'both' as const } : {}),
              // A tie begins over the cut at hand, half a yard on each side of it.
              ...(SHORE_FACTS[kind].does === 'ties' && shore.to === shore.x
                ? { x: over - HALF_YARD, to: over + HALF_YARD }
                : {}),
            })
          }
        />
        <Choice
          list
          label="Side"
          value={shore.side}
          choices={SHORE_SIDES.filter((side) => side !== 'middle' || facts.middle).map((side) => [side, side])}
          disabled={!canWrite}
          onChange={(side) => put('Changed its side', { side })}
        />
        <LengthField
          label="From the datum"
          mm={shore.x - datum}
          format={job.display}
          disabled={!canWrite}
          onChange={(mm) => put('Moved it', { x: mm + datum })}
        />
        {ties(shore) ? (
          <>
            <LengthField
              label="To, from the datum"
              mm={shore.to - datum}
              format={job.display}
              disabled={!canWrite}
              onChange={(mm) => put('Moved its other end', { to: mm + datum })}
            />
            <LengthField
              label="Other end higher by"
              mm={shore.rise}
              format={job.display}
              disabled={!canWrite}
              onChange={(rise) => put('Changed its rise', { rise })}
            />
          </>
        ) : (
          <>
            <LengthField
              label="Shim on it"
              mm={shore.shim}
              format={job.display}
              disabled={!canWrite}
              check={(mm) => (mm < 0 ? 'A shim is 0 or more: lower the stand by the others instead.' : null)}
              onChange={(shim) => put('Shimmed it', { shim })}
            />
            <LengthField
              label="Floor higher here by"
              mm={shore.floor}
              format={job.display}
              disabled={!canWrite}
              onChange={(floor) => put('Set the floor', { floor })}
            />
          </>
        )}
        <Choice
          list
          label="It is there"
          value={shore.step ?? ''}
          choices={stepChoices(steps)}
          disabled={!canWrite}
          onChange={(step) => put('Changed when it is there', { step: step === '' ? null : step })}
        />
      </div>
    </section>
  );
}
