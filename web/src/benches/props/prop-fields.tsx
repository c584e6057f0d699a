import {
  datumStation,
  dotted,
  type Prop,
  PROP_FACTS,
  PROP_KINDS,
  PROP_SIDES,
  type PropStep,
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
import { hold, holdsUp, propsUnder, ties, useAtHand, withoutProp, withProp } from './at-hand.ts';

const HALF_YARD = 457.2;

interface PropFieldsProps {
  readonly bench: BenchProps;
  readonly prop: Prop;
  readonly steps: readonly PropStep[];
}

export const stepChoices = (steps: readonly PropStep[]): readonly (readonly [value: string, name: string])[] => [
  ['', 'all along'],
  ...steps.map(
    ({ operation, letters, name }) =>
      [operation.id, `for ${letters.length > 0 ? `cut ${dotted(letters)}` : name.toLowerCase()}`] as const,
  ),
];

/** One prop: what it is, where it is, how high; and what it was set to at the frame. */
export function PropFields({ bench, prop, steps }: PropFieldsProps) {
  const { store, job, canWrite, onSelect, records } = bench;
  const { parts, step } = useAtHand(bench);
  const over = step?.cuts.find(({ donorX }) => donorX !== null)?.donorX ?? prop.x;
  const facts = PROP_FACTS[prop.kind];
  const datum = datumStation(job.donor);
  const put = (label: string, changes: Partial<Prop>) => hold(store, label, withProp(prop.id, changes));
  const [under] = propsUnder(parts).filter((each) => each.prop.id === prop.id);
  const height = under?.stands[0]?.height ?? null;
  const set = standing(records, 'prop-set').findLast(({ body }) => body.prop === prop.id);
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
                hold(store, `Took a ${facts.name.toLowerCase()} away`, withoutProp(prop.id));
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
      {holdsUp(prop) && (
        <p className="mb-2 flex items-baseline justify-between" role="status">
          <span className="text-sm text-pencil">floor to the steel{height === null ? '' : ', plumb both ways'}</span>
          {height === null ? (
            <span className="text-sm">say how high the datum plane is</span>
          ) : (
            <Length mm={height - prop.shim} format={job.display} className="heading text-2xl" />
          )}
        </p>
      )}
      {ties(prop) && (
        <p className="mb-2 flex items-baseline justify-between" role="status">
          <span className="text-sm text-pencil">cut it to</span>
          <Length mm={tieLength(prop)} format={job.display} className="heading text-2xl" />
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
          value={prop.kind}
          choices={PROP_KINDS.map((kind) => [kind, PROP_FACTS[kind].name])}
          disabled={!canWrite}
          onChange={(kind) =>
            put(`Made it ${PROP_FACTS[kind].name.toLowerCase()}`, {
              kind,
              ...(prop.side === 'middle' && !PROP_FACTS[kind].middle ? { side: 'both' as const } : {}),
              // A tie begins over the cut at hand, half a yard on each side of it.
              ...(PROP_FACTS[kind].does === 'ties' && prop.to === prop.x
                ? { x: over - HALF_YARD, to: over + HALF_YARD }
                : {}),
            })
          }
        />
        <Choice
          list
          label="Side"
          value={prop.side}
          choices={PROP_SIDES.filter((side) => side !== 'middle' || facts.middle).map((side) => [side, side])}
          disabled={!canWrite}
          onChange={(side) => put('Changed its side', { side })}
        />
        <LengthField
          label="From the datum"
          mm={prop.x - datum}
          format={job.display}
          disabled={!canWrite}
          onChange={(mm) => put('Moved it', { x: mm + datum })}
        />
        {ties(prop) ? (
          <>
            <LengthField
              label="To, from the datum"
              mm={prop.to - datum}
              format={job.display}
              disabled={!canWrite}
              onChange={(mm) => put('Moved its other end', { to: mm + datum })}
            />
            <LengthField
              label="Other end higher by"
              mm={prop.rise}
              format={job.display}
              disabled={!canWrite}
              onChange={(rise) => put('Changed its rise', { rise })}
            />
          </>
        ) : (
          <>
            <LengthField
              label="Shim on it"
              mm={prop.shim}
              format={job.display}
              disabled={!canWrite}
              check={(mm) => (mm < 0 ? 'A shim is 0 or more: lower the stand by the others instead.' : null)}
              onChange={(shim) => put('Shimmed it', { shim })}
            />
            <LengthField
              label="Floor higher here by"
              mm={prop.floor}
              format={job.display}
              disabled={!canWrite}
              onChange={(floor) => put('Set the floor', { floor })}
            />
          </>
        )}
        <Choice
          list
          label="It is there"
          value={prop.step ?? ''}
          choices={stepChoices(steps)}
          disabled={!canWrite}
          onChange={(step) => put('Changed when it is there', { step: step === '' ? null : step })}
        />
      </div>
    </section>
  );
}
