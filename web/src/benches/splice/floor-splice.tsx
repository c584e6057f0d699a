import { useRef } from 'react';
import type { BenchProps } from '../../client/bench-props.ts';
import { FoldOuts } from '../../ui/fold-outs.tsx';
import { Length } from '../../ui/length.tsx';
import { AssumptionsDrawer } from './assumptions-drawer.tsx';
import { railName, useSelection } from './selection.ts';
import { CompareDrawer } from './compare-drawer.tsx';
import { FinderDrawer } from './finder-drawer.tsx';
import { PartsDrawer } from './parts-drawer.tsx';
import { SplicePanel } from './splice-panel.tsx';
import { Unfolded } from './unfolded.tsx';
import { unfold } from './unfolding.ts';

/** The drawing, px: along the rail, which runs down the screen, and across it. */
const ALONG = 330;
const ACROSS = 300;
const AROUND = 50;

/** What slides over the tray on a larger screen. */
const SLIDES = [
  ['compare', { name: 'Compare', Content: CompareDrawer }],
  ['sleeves', { name: 'Sleeves', Content: FinderDrawer }],
  ['parts', { name: 'Parts', Content: PartsDrawer }],
  ['assumptions', { name: 'Assumptions', Content: AssumptionsDrawer }],
] as const;

/** The joints at the frame: the rail unfolded upright with its parts to press, and the fields to type in. */
export function SpliceFloor(props: BenchProps) {
  const hand = useSelection(props);
  const fields = useRef<HTMLDivElement>(null);
  const pick = (plate: string) => {
    const found = fields.current?.querySelector<HTMLDetailsElement>(`[data-plate="${plate}"]`);
    if (!found) return;
    found.open = true;
    found.scrollIntoView({ block: 'nearest' });
    found.querySelector('summary')?.focus();
  };
  if (!hand)
    return (
      <div className="relative p-3">
        <h2 className="sr-only">Splice</h2>
        <SplicePanel {...props} />
      </div>
    );
  const { one, outcome } = hand;
  const reach = Math.max(-one.reach.all[0], one.reach.all[1], one.steel.section.depth) + AROUND;
  const scale = ALONG / (2 * reach);
  const to = unfold(one.steel.section, (mm) => (mm + reach) * scale, 20, ACROSS - 40);
  return (
    <div className="relative p-3">
      <h2 className="sr-only">Splice</h2>
      <figure className="mb-3 border border-graphite bg-paper">
        <figcaption className="flex items-baseline justify-between px-2 pt-1 text-sm">
          <span className="label">
            {outcome.joint.letter}, {railName(one.rail)}, from outside
          </span>
          <span>
            <Length mm={-one.reach.all[0]} format={props.job.display} className="font-semibold" /> ahead,{' '}
            <Length mm={one.reach.all[1]} format={props.job.display} className="font-semibold" /> behind
          </span>
        </figcaption>
        <svg
          viewBox={`0 0 ${ACROSS} ${ALONG}`}
          className="mx-auto block max-h-[52dvh] w-full"
          role="img"
          aria-label={`Joint ${outcome.joint.letter} unfolded, front up`}
        >
          <g transform={`translate(${ACROSS} 0) rotate(90)`}>
            <Unfolded
              {...{ hand, to, scale }}
              from={0}
              width={ALONG}
              canWrite={false}
              format={props.job.display}
              startDrag={() => undefined}
              onDrag={() => ({ move: () => undefined, end: () => undefined })}
              onPick={pick}
              holes={[]}
            />
          </g>
          <text x={8} y={14} fontSize={12} className="font-label" fill="var(--color-pencil)">
            front
          </text>
          <text x={8} y={ALONG - 6} fontSize={12} className="font-label" fill="var(--color-pencil)">
            rear
          </text>
        </svg>
      </figure>
      <div ref={fields}>
        <SplicePanel {...props} />
      </div>
      <FoldOuts bench={props} slides={SLIDES} />
    </div>
  );
}
