import { layLabels, type FinderResult, hoursText, type Lane, LANES, LANE_IDS, type LaneStretch } from '@splay/core';
import { memo, type PointerEvent } from 'react';
import { useBlade } from '../../board/blade.tsx';
import { toMm, toPx } from '../../board/view.ts';
import type { PictureProps, View } from '../../client/picture-props.ts';
import { type Finding, pick, pickedOf, useFinding } from '../../client/finding.ts';
import { BladeCard } from './blade-card.tsx';
import { onBladeGrid } from './blade-grid.ts';
import { lookOf, UnknownHatch } from './lane-looks.tsx';
import { shareOf } from './lane-share.ts';

/** Height of the row of options over the lanes, px. */
const WAYS = 30;

/** What forbids a cut and what it costs along the donor, lane by lane in register with the tape; the blade goes across. */
export function LanesTray(props: PictureProps) {
  const { store, tray, view } = props;
  const finding = useFinding(store);
  const blade = useBlade(props);
  const { found } = finding;
  if (!found)
    return (
      <p className="flex h-full items-center justify-center px-8 text-center text-pencil">
        {finding.state === 'searching'
          ? 'Every place along the frame is being tried.'
          : 'Say what must change: the lanes then show where a cut is kept out, what it costs, and where it is clear.'}
      </p>
    );
  const x = toPx(view, blade);
  const put = (event: PointerEvent<SVGSVGElement>) => {
    const { left } = event.currentTarget.getBoundingClientRect();
    store.setState({ blade: onBladeGrid(toMm(view, event.clientX - left), props.job) });
  };
  return (
    <div className="relative h-full overflow-hidden">
      <svg
        width={tray.width}
        height={tray.height}
        role="group"
        aria-label="Keep-out and cost of a cut along the donor; the same is under All options and at the cursor"
        className="touch-none"
        data-handle="lanes"
        onPointerDown={(event) => {
          event.currentTarget.setPointerCapture(event.pointerId);
          put(event);
        }}
        onPointerMove={(event) => event.buttons === 1 && put(event)}
      >
        <defs>
          <pattern id="hatch-cost" width={6} height={6} patternUnits="userSpaceOnUse" patternTransform="rotate(45)">
            <rect width={6} height={6} fill="var(--color-ochre-wash)" />
            <path d="M0 0V6" stroke="var(--color-ochre)" strokeWidth={2.4} />
          </pattern>
          <UnknownHatch id="hatch-unknown" />
        </defs>
        <Lanes found={found} view={view} height={tray.height} width={tray.width} />
        <CutOptions finding={finding} props={props} />
        <path
          d={`M${x} ${WAYS}V${tray.height}`}
          stroke="var(--color-ochre)"
          strokeWidth={1.8}
          strokeDasharray="10 3 2 3"
        />
      </svg>
      <BladeCard {...props} goal={found.goal} x={blade} left={x} width={tray.width} />
    </div>
  );
}

interface LanesProps {
  readonly found: FinderResult;
  readonly view: View;
  readonly width: number;
  readonly height: number;
}

/** The lanes under each other, their names over their fronts; not drawn again while only the blade goes along. */
const Lanes = memo(function Lanes({ found, view, width, height }: LanesProps) {
  const tall = (height - WAYS - 4) / LANE_IDS.length;
  const { stretches, serves, load, unmeasured } = found.lanes;
  const top = (lane: Lane) => WAYS + LANE_IDS.indexOf(lane) * tall;
  const px = (x: number) => toPx(view, x);
  const foot = top('load') + tall;
  return (
    <g>
      {serves.map(({ from, to }) => (
        <rect
          key={from}
          x={px(from)}
          y={WAYS}
          width={Math.max(0, px(to) - px(from))}
          height={foot - WAYS}
          fill="var(--color-sheet)"
        />
      ))}
      {unmeasured.map(({ lane, measure }) => {
        const [from, to] = [px(found.ends[0]), px(found.ends[1])];
        return (
          <g key={lane} data-name={`${LANES[lane]}: not measured`}>
            <rect
              x={from}
              y={top(lane) + 3}
              width={Math.max(0, to - from)}
              height={tall - 6}
              fill="url(#hatch-unknown)"
            >
              <title>{`Unknown, not clear: measure ${measure}`}</title>
            </rect>
            <text
              x={(Math.max(from, 0) + Math.min(to, width)) / 2}
              y={top(lane) + tall / 2 + 4}
              fontSize={12}
              textAnchor="middle"
              fill="var(--color-graphite)"
              stroke="var(--color-paper)"
              strokeWidth={4}
              paintOrder="stroke"
            >
              not measured
            </text>
          </g>
        );
      })}
      {stretches.map((stretch) => (
        <StretchOf
          key={`${stretch.lane}${stretch.from}`}
          stretch={stretch}
          view={view}
          top={top(stretch.lane)}
          tall={tall}
        />
      ))}
      {load.length > 0 && (
        <path
          d={`M${px(load[0]?.x ?? 0)} ${foot}${load.map(({ x, share }) => `L${px(x)} ${foot - share * (tall - 6)}`).join('')}L${px(load.at(-1)?.x ?? 0)} ${foot}Z`}
          fill="var(--color-rule)"
          stroke="var(--color-graphite)"
          strokeWidth={1.4}
        />
      )}
      {LANE_IDS.map((lane) => (
        <g key={lane}>
          <path d={`M0 ${top(lane) + tall}H${width}`} stroke="var(--color-rule)" />
          <text
            x={6}
            y={top(lane) + tall / 2 + 4}
            fontSize={12.5}
            className="label"
            fill="var(--color-graphite)"
            stroke="var(--color-paper)"
            strokeWidth={4}
            paintOrder="stroke"
          >
            {LANES[lane]}
          </text>
        </g>
      ))}
    </g>
  );
});

function StretchOf({
  stretch: { from, to, state, about, hours },
  view,
  top,
  tall,
}: {
  readonly stretch: LaneStretch;
  readonly view: View;
  readonly top: number;
  readonly tall: number;
}) {
  const [left, right] = [toPx(view, from), toPx(view, to)];
  const forbids = state !== 'costs';
  const assumed = state === 'assumed';
  const high = (tall - 6) * (forbids ? 1 : shareOf(hours));
  return (
    <rect
      x={left}
      y={top + tall - 3 - high}
      width={Math.max(1, right - left)}
      height={high}
      {...lookOf(state, 'url(#hatch-cost)')}
    >
      <title>{`${assumed ? 'Kept clear, assumed' : forbids ? 'Keep-out' : `Costs up to ${hoursText(hours)}`}: ${about.join(', ')}`}</title>
    </rect>
  );
}

/** The options over the lanes: each where its cuts can be, with its rank; a press looks at it. */
function CutOptions({ finding, props }: { readonly finding: Finding; readonly props: PictureProps }) {
  const { store, view } = props;
  const picked = pickedOf(finding);
  const shown = (finding.found?.answers ?? [])
    .slice(0, 5)
    .flatMap((answer, rank) => answer.cuts.map((cut) => ({ answer, cut, rank: rank + 1 })));
  const inOrder = shown.toSorted((a, b) => a.cut.x - b.cut.x);
  const tags = layLabels(
    inOrder.map(({ cut }) => ({ middle: toPx(view, cut.x), width: 14 })),
    1,
    Infinity,
  );
  return (
    <g>
      {inOrder.map(({ answer, cut, rank }, index) => {
        const [from, to] = [toPx(view, cut.from), toPx(view, cut.to)];
        const at = tags[index]?.x ?? toPx(view, cut.x);
        const here = answer === picked;
        return (
          <g
            key={`${answer.id}${cut.x}`}
            role="button"
            tabIndex={0}
            aria-label={`CutOption ${rank}: ${answer.name}`}
            className="focus-ring cursor-pointer"
            onPointerDown={(event) => {
              event.stopPropagation();
              pick(store, answer.id);
              store.setState({ blade: cut.x });
            }}
            onKeyDown={({ key }) => {
              if (key !== 'Enter') return;
              pick(store, answer.id);
              store.setState({ blade: cut.x });
            }}
          >
            <rect className="touch-target" x={at - 24} y={0} width={48} height={48} fill="transparent" />
            <rect
              x={from}
              y={WAYS - 8}
              width={Math.max(3, to - from)}
              height={6}
              fill={here ? 'var(--color-layout)' : 'var(--color-layout-wash)'}
              stroke="var(--color-layout)"
            />
            <path
              d={`M${at - 9} 2h18v13l-9 7l-9 -7Z`}
              fill={here ? 'var(--color-layout)' : 'var(--color-sheet)'}
              stroke="var(--color-layout)"
            />
            <text
              x={at}
              y={14}
              fontSize={13}
              fontWeight={700}
              textAnchor="middle"
              className="font-label"
              fill={here ? 'var(--color-paper)' : 'var(--color-layout)'}
            >
              {rank}
            </text>
          </g>
        );
      })}
    </g>
  );
}
