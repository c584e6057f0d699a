import { parseQuantity, quantityText, quantityUnit, type Stitch, stepName, type WeldStep } from '@splay/core';
import { useEffect, useState } from 'react';
import type { BenchProps } from '../../client/bench-props.ts';
import { goToBench } from '../../client/go-to-bench.ts';
import { recordNow, useJobState } from '../../client/job-store.ts';
import { FoldOuts } from '../../ui/fold-outs.tsx';
import { PullTable } from './pull-table.tsx';
import { SeamTable } from './seam-table.tsx';
import { type StartsAt, useSteelNow } from './use-steel-now.ts';
import { useWelding, type WeldingInHand } from './use-welding.ts';
import { WeldLog } from './weld-log.tsx';
import { WeldPanel } from './weld-panel.tsx';
import { PlaceWords, WeldWords } from './weld-words.tsx';
import { passWords, railWords, seamWords, timeWords } from './words.ts';

const SLIDES = [
  ['seams', { name: 'Seams', Content: SeamTable }],
  ['pull', { name: 'Readings', Content: PullTable }],
  ['log', { name: 'Log', Content: WeldLog }],
] as const;

/** The welding at the frame: the next stitch of each joint as a card, with its countdown and one key to log it. */
export function FloorWeld(bench: BenchProps) {
  const hand = useWelding(bench);
  const starts = useSteelNow(bench, hand);
  const { open, measure, done } = hand.now;
  return (
    <div className="relative p-3">
      <h2 className="sr-only">Weld</h2>
      {measure && (
        <section aria-label="Measure first" className="mb-4 border-2 border-ochre bg-ochre-wash px-3 py-2">
          <p className="heading text-2xl">Measure first</p>
          <p>
            {measure.reason} Readings after tacking, coupons and ends must be right, or signed for at the hold point.
          </p>
          <button
            type="button"
            className="button button-dark mt-2 min-h-13 w-full text-lg"
            onClick={() => goToBench(bench.store, 'true-up')}
          >
            Go to the readings
          </button>
        </section>
      )}
      {done && (
        <section aria-label="All welded" className="mb-4 border-2 border-graphite bg-sheet px-3 py-2">
          <p className="heading text-2xl">All welded</p>
          <p>Let it cool, then read every measurement again: what the welds pulled comes from that.</p>
          <button
            type="button"
            className="button button-dark mt-2 min-h-13 w-full text-lg"
            onClick={() => goToBench(bench.store, 'true-up')}
          >
            Go to the readings
          </button>
        </section>
      )}
      {open.map((step) => (
        <StitchCard key={step.id} bench={bench} hand={hand} step={step} starts={starts} />
      ))}
      <WeldPanel {...bench} />
      <FoldOuts bench={bench} slides={SLIDES} />
    </div>
  );
}

interface StitchCardProps {
  readonly bench: BenchProps;
  readonly hand: WeldingInHand;
  readonly step: WeldStep;
  readonly starts: readonly StartsAt[];
}

/** The next stitch of a joint. One that is skipped comes again after the others of its step. */
function StitchCard({ bench, hand, step, starts }: StitchCardProps) {
  const { job, store, canRecord, onRecord } = bench;
  const unsent = useJobState(store, (state) => state.unsent);
  const [skipped, setSkipped] = useState<readonly string[]>([]);
  const left = step.stitches.filter(({ id }) => !hand.laid.has(id));
  const stitch = left.find(({ id }) => !skipped.includes(id)) ?? left[0];
  const joint = hand.joints.find((each) => each.joint.id === step.joint?.id);
  const one = joint?.rails.find(({ rail }) => rail === stitch?.seam.rail);
  if (!stitch || !joint || !one) return null;
  const last = [...hand.laid.values()].findLast(({ body }) => step.stitches.some(({ id }) => id === body.stitch));
  const say = (id: string, laid: boolean) =>
    onRecord(
      recordNow(store, 'stitch-welded', { stitch: id, laid, settings: job.plan.welding?.settings ?? null, note: '' }),
    );
  const number = step.stitches.length - left.length + 1;
  return (
    <section
      aria-label={`Next stitch of joint ${joint.joint.letter}`}
      className="mb-4 border-2 border-graphite bg-sheet"
    >
      <div className="flex items-baseline justify-between border-b border-graphite px-3 py-1.5">
        <b className="heading text-xl">{stepName(step)}</b>
        <span className="text-pencil">
          {number} of {step.stitches.length}
        </span>
      </div>
      <div className="px-3 py-2 text-center">
        <p className="heading text-3xl leading-tight">
          {railWords(stitch.seam.rail)}, {seamWords(stitch.seam)}
        </p>
        <p className="mt-1 text-2xl font-semibold">
          <PlaceWords stitch={stitch} section={one.steel.section} format={job.display} />
        </p>
        <p className="text-lg">
          {passWords(stitch)}, {stitch.seam.position} · <WeldWords seam={stitch.seam} format={job.display} />
        </p>
        <Countdown start={starts.find(({ id }) => id === stitch.id)} stitch={stitch} unit={job.display.unit} />
        <div className="mt-2 flex gap-2">
          <button
            type="button"
            className="button min-h-16 flex-1 text-lg"
            disabled={!canRecord || left.length < 2}
            onClick={() => setSkipped((old) => [...old.filter((id) => left.some((each) => each.id === id)), stitch.id])}
          >
            Skip
          </button>
          <button
            type="button"
            className="button button-dark min-h-16 flex-[2] text-2xl"
            disabled={!canRecord}
            onClick={() => say(stitch.id, true)}
          >
            Done
          </button>
        </div>
        {last && (
          <p className="mt-2 text-sm text-pencil">
            Last: {new Date(last.taken).toLocaleTimeString(undefined, { timeStyle: 'short' })}, {last.by}
            {unsent.includes(last.id) && ' · not sent yet'}{' '}
            <button
              type="button"
              className="min-h-8 text-layout underline underline-offset-2"
              disabled={!canRecord}
              onClick={() => say(last.body.stitch, false)}
            >
              Take it back
            </button>
          </p>
        )}
        <Thermometer bench={bench} stitch={stitch} />
      </div>
    </section>
  );
}

interface CountdownProps {
  readonly start: StartsAt | undefined;
  readonly stitch: Stitch;
  readonly unit: 'in' | 'mm';
}

/** How long it has to wait, by the second. */
function Countdown({ start, stitch, unit }: CountdownProps) {
  const [now, setNow] = useState(() => Date.now());
  useEffect(() => {
    const clock = setInterval(() => setNow(Date.now()), 1000);
    return () => clearInterval(clock);
  }, []);
  if (!start)
    return (
      <p className="mt-2 border-y border-rule py-2 text-lg text-pencil" role="status">
        {stitch.pass === 0 ? 'Check the gap, then tack' : 'Working out how warm it is…'}
      </p>
    );
  const left = (start.ready - now) / 1000;
  return (
    <p
      className={`mt-2 py-2 ${left > 0 ? 'bg-ochre-wash' : 'border-y border-rule'}`}
      role="timer"
      aria-label={left > 0 ? `wait ${timeWords(left)}` : 'may start now'}
    >
      {left > 0 ? (
        <span className="heading text-5xl tabular-nums">{timeWords(left)}</span>
      ) : (
        <span className="heading text-3xl text-passed">Cool enough to start</span>
      )}
      <span className="block text-sm text-pencil">
        calculated, {quantityText('temperature', start.temperature, unit)} at its start when last worked out: try a
        crayon or pyrometer
      </span>
    </p>
  );
}

/** A temperature that was read where the stitch starts: kept with the stitch. */
function Thermometer({ bench, stitch }: { readonly bench: BenchProps; readonly stitch: Stitch }) {
  const { job, store, canRecord, onRecord } = bench;
  const [text, setText] = useState('');
  const [said, setSaid] = useState<{ readonly wrong: boolean; readonly text: string } | null>(null);
  const { unit } = job.display;
  const keep = () => {
    const read = parseQuantity('temperature', text, unit);
    if (!read.ok) return setSaid({ wrong: true, text: read.problem.message });
    const { value } = read;
    if (value < -30 || value > 900) {
      const [low, high] = [-30, 900].map((celsius) => quantityText('temperature', celsius, unit));
      return setSaid({
        wrong: true,
        text: `Steel that can be worked on is between ${low} and ${high}: read it again.`,
      });
    }
    onRecord(recordNow(store, 'steel-temperature', { stitch: stitch.id, by: 'pyrometer', celsius: value }));
    setText('');
    setSaid({ wrong: false, text: `Kept: ${quantityText('temperature', value, unit)}` });
  };
  return (
    <div className="mt-2 flex items-end gap-2 text-left">
      <label className="flex-1 text-sm text-pencil">
        Read at its start, {quantityUnit('temperature', unit)}
        <input
          className="field mt-1 h-12 text-center text-lg"
          inputMode="decimal"
          value={text}
          disabled={!canRecord}
          aria-invalid={said?.wrong ?? false}
          onChange={(event) => setText(event.target.value)}
        />
      </label>
      <button type="button" className="button min-h-12 px-4" disabled={!canRecord || text.trim() === ''} onClick={keep}>
        Keep
      </button>
      {said && (
        <p role={said.wrong ? 'alert' : 'status'} className={`flex-1 text-sm ${said.wrong ? 'text-oxide' : ''}`}>
          {said.text}
        </p>
      )}
    </div>
  );
}
