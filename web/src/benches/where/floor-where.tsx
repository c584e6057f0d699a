import { layLabels, type Lane, LANES, LANE_IDS, type FinderResult, nudgeOf } from '@splay/core';
import { ArrowDown, ArrowUp } from 'lucide-react';
import type { PointerEvent } from 'react';
import { useBlade } from '../../board/blade.tsx';
import type { BenchProps } from '../../client/bench-props.ts';
import { useFinding } from '../../client/finding.ts';
import { FoldOuts } from '../../ui/fold-outs.tsx';
import { THUMB_KEY } from '../../ui/step-card.tsx';
import { PlaceSays } from './blade-card.tsx';
import { onBladeGrid } from './blade-grid.ts';
import { lookOf, UnknownHatch } from './lane-looks.tsx';
import { shareOf } from './lane-share.ts';
import { CostsDrawer } from './costs-drawer.tsx';
import { OptionsDrawer } from './options-drawer.tsx';
import { WherePanel } from './where-panel.tsx';

const SLIDES = [
  ['options', { name: 'All options', Content: OptionsDrawer }],
  ['costs', { name: 'Costs', Content: CostsDrawer }],
] as const;

/** Where to cut, at the frame: the tape upright with its lanes as columns, the blade under the thumb. */
export function FloorWhere(bench: BenchProps) {
  const { found } = useFinding(bench.store);
  return (
    <div className="relative p-3">
      <h2 className="sr-only">Where</h2>
      {found && <UprightLanes bench={bench} found={found} />}
      <WherePanel {...bench} />
      <FoldOuts bench={bench} slides={SLIDES} />
    </div>
  );
}

/** Size of the picture, and room for the names over the columns and for the blade's ranks beside them, px. */
const [WIDE, TALL, OVER, SIDE] = [362, 470, 108, 34];

function UprightLanes({ bench, found }: { readonly bench: BenchProps; readonly found: FinderResult }) {
  const { store, job } = bench;
  const blade = useBlade(bench);
  const { serves, stretches, load, unmeasured } = found.lanes;
  const from = Math.min(...serves.map((each) => each.from), found.ends[1]);
  const to = Math.max(...serves.map((each) => each.to), found.ends[0]);
  const [front, rear] = serves.length > 0 ? [from, to] : found.ends;
  const scale = (TALL - OVER - 8) / Math.max(1, rear - front);
  const y = (x: number) => OVER + (Math.min(rear, Math.max(front, x)) - front) * scale;
  const wide = (WIDE - SIDE - 4) / LANE_IDS.length;
  const left = (lane: Lane) => SIDE + LANE_IDS.indexOf(lane) * wide;
  const ranks = found.answers
    .slice(0, 5)
    .flatMap(({ id, cuts }, index) => cuts.map(({ x }) => ({ id: `${id}/${x}`, x, rank: index + 1 })))
    .toSorted((a, b) => a.x - b.x);
  const tags = layLabels(
    ranks.map(({ x }) => ({ middle: y(x), width: 12 })),
    1,
    Infinity,
  );
  const put = (event: PointerEvent<SVGSVGElement>) => {
    const box = event.currentTarget.getBoundingClientRect();
    const x = front + ((event.clientY - box.top) * (TALL / box.height) - OVER) / scale;
    store.setState({ blade: onBladeGrid(Math.min(rear, Math.max(front, x)), job) });
  };
  const nudge = (by: number) => store.setState({ blade: onBladeGrid(blade + by * nudgeOf(job.display), job) });
  return (
    <section aria-label="The lanes, upright" className="mb-4 border-2 border-graphite bg-paper">
      <svg
        viewBox={`0 0 ${WIDE} ${TALL}`}
        className="block w-full touch-none"
        role="img"
        aria-label="Keep-out and cost of a cut, front of the frame at the top"
        onPointerDown={(event) => {
          event.currentTarget.setPointerCapture(event.pointerId);
          put(event);
        }}
        onPointerMove={(event) => event.buttons === 1 && put(event)}
      >
        <defs>
          <pattern
            id="hatch-cost-upright"
            width={6}
            height={6}
            patternUnits="userSpaceOnUse"
            patternTransform="rotate(45)"
          >
            <rect width={6} height={6} fill="var(--color-ochre-wash)" />
            <path d="M0 0V6" stroke="var(--color-ochre)" strokeWidth={2.4} />
          </pattern>
          <UnknownHatch id="hatch-unknown-upright" />
        </defs>
        <rect x={SIDE} y={OVER} width={WIDE - SIDE - 4} height={TALL - OVER - 8} fill="var(--color-sheet)" />
        {unmeasured.map(({ lane }) => (
          <g key={lane} data-name={`${LANES[lane]}: not measured`}>
            <rect
              x={left(lane) + 1}
              y={OVER}
              width={wide - 2}
              height={TALL - OVER - 8}
              fill="url(#hatch-unknown-upright)"
            />
            <text
              transform={`translate(${left(lane) + wide / 2 + 4} ${TALL - 16}) rotate(-90)`}
              fontSize={12}
              fill="var(--color-graphite)"
            >
              not measured
            </text>
          </g>
        ))}
        {stretches.map(({ lane, from: a, to: b, state, hours }) => (
          <rect
            key={`${lane}${a}`}
            x={left(lane) + 3}
            y={y(a)}
            width={(wide - 6) * (state === 'costs' ? shareOf(hours) : 1)}
            height={Math.max(1, y(b) - y(a))}
            {...lookOf(state, 'url(#hatch-cost-upright)')}
          />
        ))}
        {load.length > 0 && (
          <path
            d={`M${left('load')} ${y(front)}${load
              .filter(({ x }) => x >= front && x <= rear)
              .map(({ x, share }) => `L${left('load') + share * (wide - 4)} ${y(x)}`)
              .join('')}L${left('load')} ${y(rear)}Z`}
            fill="var(--color-rule)"
            stroke="var(--color-graphite)"
          />
        )}
        {LANE_IDS.map((lane) => (
          <g key={lane}>
            <path d={`M${left(lane)} ${OVER}V${TALL - 8}`} stroke="var(--color-rule)" />
            <text
              transform={`translate(${left(lane) + wide / 2 + 4} ${OVER - 6}) rotate(-58)`}
              fontSize={12.5}
              className="label"
              fill="var(--color-graphite)"
            >
              {LANES[lane]}
            </text>
          </g>
        ))}
        {ranks.map(({ id, rank }, index) => {
          const at = tags[index]?.x ?? 0;
          return (
            <g key={id}>
              <path d={`M4 ${at - 9}h18l7 9l-7 9h-18Z`} fill="var(--color-layout)" />
              <text x={13} y={at + 5} fontSize={13} fontWeight={700} textAnchor="middle" fill="var(--color-paper)">
                {rank}
              </text>
            </g>
          );
        })}
        <path
          d={`M${SIDE} ${y(blade)}H${WIDE}`}
          stroke="var(--color-ochre)"
          strokeWidth={2.4}
          strokeDasharray="10 3 2 3"
        />
      </svg>
      <div className="flex border-t border-graphite">
        <button type="button" className={THUMB_KEY} aria-label="Blade forward" onClick={() => nudge(-1)}>
          <ArrowUp aria-hidden="true" />
        </button>
        <button type="button" className={THUMB_KEY} aria-label="Blade rearward" onClick={() => nudge(1)}>
          <ArrowDown aria-hidden="true" />
        </button>
      </div>
      <div className="border-t border-graphite px-3 py-2">
        <PlaceSays job={job} goal={found.goal} x={blade} most={3} />
      </div>
    </section>
  );
}
