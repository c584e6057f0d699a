import { ruleValue } from '@splay/core';
import { useState } from 'react';
import type { PictureProps } from '../../client/picture-props.ts';
import { JointSheet } from './joint-sheet.tsx';
import { type Timed, useTimed } from './use-timed.ts';
import { useWelding, type WeldingInHand } from './use-welding.ts';
import { PlaceWords } from './weld-words.tsx';
import { passWords, railWords, seamWords, timeWords } from './words.ts';

const SCRUBBER = 46;

/** The joint at hand: both rails laid flat, every stitch where it lies with its number, tinted as warm as it is then. */
export function WeldTray(props: PictureProps) {
  const { job, tray } = props;
  const hand = useWelding(props);
  const timed = useTimed(props, hand);
  const [at, setAt] = useState(0);
  const { joint } = hand;
  if (!joint)
    return (
      <p className="flex h-full items-center justify-center px-8 text-center text-pencil">
        The joint stands here unfolded, stitch by stitch, once it is cut and decided.
      </p>
    );
  const rails = joint.rails.filter(({ rail }) => rail === 'left' || rail === 'right' || joint.joint.of === 'member');
  const run = timed.state === 'there' ? timed.run : null;
  const total = run?.stitches.length ?? 0;
  const step = Math.min(at, total);
  const shown = run?.stitches.slice(0, step).map(({ id }) => id) ?? [];
  const heat = step > 0 ? (run?.heats[step - 1] ?? {}) : {};
  const limit = ruleValue(job.rules, 'weld/interpass');
  const size = { width: tray.width / Math.max(1, rails.length), height: tray.height - SCRUBBER };
  return (
    <div className="flex h-full flex-col">
      <svg
        width={tray.width}
        height={size.height}
        role="img"
        aria-label={`Joint ${joint.joint.letter} unfolded, with every stitch in its order`}
      >
        {rails.map((one, index) => (
          <g key={one.rail} transform={`translate(${index * size.width} 0)`}>
            <JointSheet
              one={one}
              hand={hand}
              size={size}
              laid={new Set([...hand.laid.keys(), ...shown])}
              next={run?.stitches[step]?.id ?? null}
              heat={heat[`${joint.joint.id}:${one.rail}`] ?? null}
              limit={limit}
              unit={job.display.unit}
            />
          </g>
        ))}
      </svg>
      <Scrubber timed={timed} at={step} onGo={setAt} hand={hand} props={props} />
    </div>
  );
}

interface ScrubberProps {
  readonly timed: Timed;
  readonly at: number;
  readonly onGo: (to: number) => void;
  readonly hand: WeldingInHand;
  readonly props: PictureProps;
}

/** Walks through the planned welding, stitch by stitch: what is next, when it starts, and how long it waited. */
function Scrubber({ timed, at, onGo, hand, props: { job } }: ScrubberProps) {
  if (timed.state !== 'there')
    return (
      <p role="status" className="flex h-[46px] items-center border-t border-rule px-3 text-sm text-pencil">
        {timed.state === 'failed' ? timed.message : `Timing the stitches… ${Math.round(timed.share * 100)} %`}
      </p>
    );
  const { stitches } = timed.run;
  const next = stitches[at];
  const stitch = next && hand.passes.find(({ id }) => id === next.id);
  const rail = stitch && hand.joints.find(({ joint }) => joint.id === stitch.seam.joint.id);
  const one = rail?.rails.find((each) => each.rail === stitch?.seam.rail);
  return (
    <label className="flex h-[46px] shrink-0 items-center gap-3 border-t border-rule px-3 text-sm">
      <span className="w-28 shrink-0">
        Planned: {at} of {stitches.length}
      </span>
      <input
        type="range"
        className="min-w-24 flex-1"
        min={0}
        max={stitches.length}
        value={at}
        aria-valuetext={`${at} of ${stitches.length} stitches laid as planned`}
        onChange={({ target }) => onGo(Number(target.value))}
      />
      <span className="w-[46%] shrink-0 leading-tight" role="status">
        {next && stitch && one ? (
          <>
            <b>Next {stitch.seam.joint.letter}</b>, {railWords(stitch.seam.rail)}, {seamWords(stitch.seam)},{' '}
            {passWords(stitch)}, <PlaceWords stitch={stitch} section={one.steel.section} format={job.display} />: at{' '}
            {timeWords(next.start)}
            {next.wait >= 1 && `, after a wait of ${timeWords(next.wait)}`}
          </>
        ) : (
          <>All laid after {timeWords(timed.run.seconds)}</>
        )}
      </span>
    </label>
  );
}
