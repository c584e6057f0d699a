import {
  type BestCut,
  type LengthFormat,
  type PlanResult,
  type QuickAnswer,
  type Section,
  sectionLookup,
} from '@splay/core';
import { useRef } from 'react';
import { Dimension } from '../../board/dimension.tsx';
import { WheelShape, wheelsOf } from '../../board/ground.tsx';
import { halo } from '../../board/halo.ts';
import { Hatches } from '../../board/hatches.tsx';
import { Rails } from '../../board/steel.tsx';
import { acrossPx } from '../../board/strips.ts';
import { useSize } from '../../board/use-size.ts';
import { fitView, reachOfAll, toPx } from '../../board/view.ts';
import type { Across, View } from '../../client/picture-props.ts';

/** One frame of the picture. */
interface FrameRow {
  readonly title: string;
  readonly result: PlanResult;
  readonly wheelbase: number | null;
  readonly top: number;
}

/** Over the rails for names, under the wheels for a dimension, px. */
const [OVER, UNDER] = [34, 22];
/** The most that a frame reaches down from its rail tops, px: both frames and the figures fit on one screen. */
const MOST_UNDER = 56;

/** The frame as it is and as it will be, under each other at one scale. */
export function QuickPicture({ before, answer }: { readonly before: PlanResult; readonly answer: QuickAnswer }) {
  const box = useRef<HTMLDivElement>(null);
  const { width } = useSize(box);
  const { job, result, cut } = answer;
  const format = job.display;
  const section = sectionLookup(job.donor);
  const radius = Math.max(...job.donor.axles.map(({ tireRadius, z }) => tireRadius - z));
  const view = fitView(Math.max(width, 280), reachOfAll([before, result]), MOST_UNDER / radius);
  const row = OVER + radius * view.scale + UNDER;
  const rows: readonly FrameRow[] = [
    { title: 'Now', result: before, wheelbase: answer.lengths[0]?.before ?? null, top: 0 },
    ...(cut.kind === 'found'
      ? [{ title: 'Finished', result, wheelbase: answer.lengths[0]?.after ?? null, top: row }]
      : []),
  ];
  const height = row * rows.length;
  return (
    <div ref={box}>
      <Hatches />
      {width > 0 && (
        <svg
          viewBox={`0 0 ${width} ${height}`}
          className="block w-full"
          role="img"
          aria-label="Side view of the frame now and finished, to one scale"
        >
          {rows.map((each) => (
            <FrameRowPicture
              key={each.title}
              row={each}
              view={view}
              format={format}
              section={section}
              cuts={each.top === 0 && cut.kind === 'found' ? cut.cuts : []}
            />
          ))}
        </svg>
      )}
    </div>
  );
}

interface FrameRowPictureProps {
  readonly row: FrameRow;
  readonly view: View;
  readonly format: LengthFormat;
  readonly section: (id: string) => Section;
  readonly cuts: BestCut['cuts'];
}

function FrameRowPicture({
  row: { title, result, wheelbase, top },
  view,
  format,
  section,
  cuts,
}: FrameRowPictureProps) {
  const across: Across = { zero: top + OVER, sign: -1, scale: view.scale };
  const px = (x: number) => toPx(view, x);
  const py = (z: number) => acrossPx(across, z);
  const wheels = wheelsOf(result);
  const [first, last] = [wheels[0], wheels.at(-1)];
  const ground = Math.max(...wheels.map(({ z, radius }) => py(z - radius)));
  const cabBack = result.points.find(({ item }) => item.kind === 'cab-back')?.built;
  return (
    <g>
      <text x={4} y={top + 16} fontSize={15} fontWeight={600} className="font-label" fill="var(--color-graphite)">
        {title}
      </text>
      <Tank result={result} px={px} py={py} />
      <Springs result={result} px={px} py={py} />
      {cuts.map(({ from, to }) => (
        <g key={from} className="text-layout">
          <rect
            x={px(from)}
            y={py(0) - 12}
            width={Math.max(1, px(to) - px(from))}
            height={6}
            fill="var(--color-layout-wash)"
            stroke="var(--color-layout)"
          />
          <text
            x={(px(from) + px(to)) / 2}
            y={py(0) - 18}
            textAnchor="middle"
            fontSize={13}
            className="font-label"
            fill="currentColor"
            {...halo}
          >
            clear
          </text>
        </g>
      ))}
      <Rails pieces={result.pieces} what="side" view={view} across={across} section={section} />
      {wheels.map((wheel) => (
        <WheelShape
          key={wheel.id}
          {...{ wheel, view, across }}
          stroke="var(--color-graphite)"
          strokeDasharray="7 6"
          strokeWidth={1.4}
        />
      ))}
      {cabBack && (
        <g>
          <path d={`M${px(cabBack.x)} ${py(0)}V${top + 14}`} stroke="var(--color-ochre)" strokeWidth={2} />
          <text
            x={px(cabBack.x) - 5}
            y={top + 22}
            textAnchor="end"
            fontSize={13}
            className="font-label"
            fill="var(--color-ochre)"
            {...halo}
          >
            back of cab
          </text>
        </g>
      )}
      {cuts.map(({ x }) => (
        <path
          key={x}
          d={`M${px(x)} ${py(0) - 14}V${py(0) + 46}`}
          stroke="var(--color-oxide)"
          strokeWidth={2}
          strokeDasharray="6 3"
        />
      ))}
      {first && last && wheelbase !== null && (
        <Dimension
          from={px(first.x)}
          to={px(last.x)}
          y={ground + 12}
          mm={wheelbase}
          format={format}
          before="WB"
          strong
          className={top === 0 ? 'text-graphite' : 'text-layout'}
        />
      )}
    </g>
  );
}

interface OnRow {
  readonly result: PlanResult;
  readonly px: (x: number) => number;
  readonly py: (z: number) => number;
}

/** The box round the tank. */
function Tank({ result, px, py }: OnRow) {
  const [front, rear] = [result.obstacles.rooms[0]?.stations[0], result.obstacles.rooms[0]?.stations.at(-1)];
  if (!front || !rear) return null;
  return (
    <rect
      x={px(front.x)}
      y={py(front.top)}
      width={px(rear.x) - px(front.x)}
      height={py(front.low) - py(front.top)}
      fill="none"
      stroke="var(--color-pencil)"
      strokeDasharray="3 3"
    />
  );
}

/** A leaf between the hangers of each suspension. */
function Springs({ result: { units, features }, px, py }: OnRow) {
  return units.map(({ unit }) => {
    if (unit.kind !== 'front-suspension' && unit.kind !== 'rear-suspension') return null;
    const xs = unit.mounts
      .flatMap(({ id }) => features.find(({ feature }) => feature.id === id)?.places.left?.built?.x ?? [])
      .sort((a, b) => a - b);
    const [from, to] = [xs[0], xs.at(-1)];
    if (from === undefined || to === undefined || to <= from) return null;
    const low = py(-260);
    return (
      <path
        key={unit.id}
        d={`M${px(from)} ${py(-170)}Q${px((from + to) / 2)} ${low + 14} ${px(to)} ${py(-170)}`}
        fill="none"
        stroke="var(--color-graphite)"
        strokeWidth={2}
      />
    );
  });
}
