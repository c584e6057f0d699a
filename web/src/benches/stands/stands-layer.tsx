import { loadText, type Shore, SHORE_FACTS } from '@splay/core';
import type { KeyboardEvent } from 'react';
import { acrossPx } from '../../board/strips.ts';
import { linePath } from '../../board/line-path.ts';
import { toPx } from '../../board/view.ts';
import type { PictureProps } from '../../client/picture-props.ts';
import { nudgeStep } from '../../ui/length-field.tsx';
import { memoized } from '../../ui/memoized.ts';
import {
  type Selection,
  hold,
  holdPreview,
  type ShoreUnder,
  shoresUnder,
  ties,
  useSelection,
  withShore,
} from './selection.ts';
import { Balance } from './balance.tsx';

/** How many times larger than it is the sag of the frame is drawn. */
const TIMES = 50;
/** Half of a stand's foot, px. */
const FOOT = 11;

/** Stands along the side view with what each carries, where each part balances, and the cut; above, their pads. */
export function StandsOver(props: PictureProps) {
  const { job, view, side, plan } = props;
  const hand = useSelection(props);
  const { step, parts, moment } = hand;
  const px = (x: number) => toPx(view, x);
  // Stations are the donor's on this bench; a part whose steel has moved is drawn where it was.
  const off = step ? donorOffset(hand) : 0;
  return (
    <g>
      <Sag {...props} hand={hand} off={off} />
      {step?.cuts.map(({ name, donorX }) =>
        donorX === null ? null : (
          <g
            key={name}
            stroke="var(--color-oxide)"
            strokeWidth={moment === 'standing' ? 1.4 : 2.6}
            clipPath="url(#clip-side)"
          >
            <path
              d={`M${px(donorX)} ${side.across.zero - 10}V${side.foot + 6}`}
              strokeDasharray={moment === 'standing' ? '5 3' : undefined}
            />
          </g>
        ),
      )}
      {shoresUnder(parts).map((under) => (
        <StandMark key={under.shore.id} {...props} under={under} />
      ))}
      {job.plan.shoring.shores.filter(ties).map((shore) => (
        <TieMark key={shore.id} {...props} shore={shore} />
      ))}
      {parts
        .filter(({ removed }) => !removed)
        .map(({ name, center }) => (
          <g key={name}>
            <title>{`${name} balances here`}</title>
            <g clipPath="url(#clip-side)">
              <Balance x={px(center.x - off)} y={acrossPx(side.across, center.z)} r={6} />
            </g>
            <g clipPath="url(#clip-plan)">
              <Balance x={px(center.x - off)} y={acrossPx(plan.across, center.y)} r={6} />
            </g>
          </g>
        ))}
    </g>
  );
}

/** How far the steel under the cut had moved before it, mm: what takes a place of the step back to the donor. */
function donorOffset({ step }: Selection): number {
  const cut = step?.cuts.find(({ donorX }) => donorX !== null);
  return cut && cut.donorX !== null ? cut.x - cut.donorX : 0;
}

/** The frame before the cut as it lies on its stands, its bending drawn larger. */
function Sag({ view, side, hand, off }: PictureProps & { readonly hand: Selection; readonly off: number }) {
  const { step, moment } = hand;
  const rest = step?.cuts[0]?.kerf.before?.rest;
  if (!step || !rest || moment === 'through' || moment === 'apart') return null;
  const { from, to } = step.whole;
  const points = Array.from({ length: 61 }, (_, at) => from + ((to - from) * at) / 60);
  return (
    <path
      d={linePath(points.map((x) => [toPx(view, x - off), side.foot - rest.height(x) * TIMES * side.across.scale]))}
      fill="none"
      stroke="var(--color-graphite)"
      strokeDasharray="5 4"
      clipPath="url(#clip-side)"
    >
      <title>The lower edge of the rail as it sags, drawn 50 times as much</title>
    </path>
  );
}

function StandMark(props: PictureProps & { readonly under: ShoreUnder }) {
  const { store, job, view, side, plan, selected, onSelect, startDrag, canWrite, under } = props;
  const { shore, stands, load } = under;
  const [first] = stands;
  if (!first) return null;
  const here = selected === shore.id;
  const lifts = load !== null && load <= 1e-6;
  const down = SHORE_FACTS[shore.kind].does === 'down';
  const x = toPx(view, shore.x);
  const top = acrossPx(side.across, first.at.z);
  const foot = Math.max(top + 22, side.foot + 24);
  const ink = lifts || load === null ? 'var(--color-oxide)' : 'var(--color-graphite)';
  const name = `${SHORE_FACTS[shore.kind].name}${load === null ? '' : `, carries ${loadText(load, job)}`}`;
  const move = (by: number) =>
    hold(store, `Moved ${SHORE_FACTS[shore.kind].name.toLowerCase()}`, withShore(shore.id, { x: shore.x + by }));
  const onKeyDown = (event: KeyboardEvent) => {
    const way = event.key === 'ArrowLeft' ? -1 : event.key === 'ArrowRight' ? 1 : 0;
    if (way === 0 || !canWrite) return;
    event.preventDefault();
    event.stopPropagation();
    move(way * nudgeStep(event, job.display));
  };
  return (
    <g
      className={`pointer-events-auto ${canWrite ? 'cursor-ew-resize' : 'cursor-pointer'} touch-none`}
      data-pick={shore.id}
      data-name={name}
      onClick={() => onSelect(shore.id)}
      onKeyDown={onKeyDown}
      onPointerDown={(event) => {
        onSelect(shore.id);
        if (!canWrite) return;
        const from = shore.x;
        startDrag(
          event,
          (px) => holdPreview(store, withShore(shore.id, { x: from + px / view.scale })),
          (moved) => {
            const now = store.getState().preview?.plan.shoring.shores.find(({ id }) => id === shore.id);
            if (moved && now) hold(store, 'Moved a stand', withShore(shore.id, { x: now.x }));
          },
        );
      }}
    >
      <title>{name}</title>
      <StandShape
        {...{ x, top, foot, down, lifts, here, ink }}
        pads={stands.map(({ at }) => acrossPx(plan.across, at.y))}
      />
      {!down && (
        <text
          x={x}
          // In a low window the dimension of the wheelbase comes up to it.
          y={Math.min(foot + 13, side.top + side.height - 30)}
          textAnchor="middle"
          fontSize={12}
          fontWeight={here ? 700 : 500}
          fill={ink}
          paintOrder="stroke"
          stroke="var(--color-paper)"
          strokeWidth={3}
          clipPath="url(#clip-side)"
        >
          {load === null ? '?' : lifts ? 'lifts' : loadText(load, job)}
        </text>
      )}
    </g>
  );
}

interface StandShapeProps {
  /** Where it stands, px: along the frame, from the steel to its foot, and its pads from above. */
  readonly x: number;
  readonly top: number;
  readonly foot: number;
  readonly pads: readonly number[];
  readonly down: boolean;
  readonly lifts: boolean;
  readonly here: boolean;
  readonly ink: string;
}

/** A stand, or a strap, from the side and from above. */
const StandShape = memoized(function StandShape({ x, top, foot, pads, down, lifts, here, ink }: StandShapeProps) {
  return (
    <>
      <rect
        className="touch-target"
        x={x - 24}
        y={top - 6}
        width={48}
        height={Math.max(48, foot - top + 20)}
        fill="transparent"
      />
      <g clipPath="url(#clip-side)">
        {down ? (
          <path d={`M${x} ${top}V${foot}`} stroke="var(--color-layout)" strokeWidth={2.4} strokeDasharray="2 2" />
        ) : (
          <path
            d={`M${x} ${top}L${x + FOOT} ${foot}H${x - FOOT}Z`}
            fill={lifts ? 'url(#hatch-cut)' : here ? 'var(--color-layout)' : 'var(--color-steel)'}
            stroke={here ? 'var(--color-layout)' : ink}
            strokeWidth={here ? 2 : 1.5}
            strokeLinejoin="round"
          />
        )}
      </g>
      <g clipPath="url(#clip-plan)">
        {pads.map((y, index) => (
          <rect
            key={index}
            x={x - 5}
            y={y - 5}
            width={10}
            height={10}
            fill={lifts ? 'url(#hatch-cut)' : here ? 'var(--color-layout)' : 'var(--color-graphite)'}
            stroke="var(--color-paper)"
          />
        ))}
      </g>
    </>
  );
});

/** What ties two places, drawn over the rail from one to the other. */
function TieMark({ view, side, selected, onSelect, shore }: PictureProps & { readonly shore: Shore }) {
  const [a, b] = [toPx(view, shore.x), toPx(view, shore.to)];
  const here = selected === shore.id;
  const y = side.across.zero - 16;
  return (
    <g
      className="pointer-events-auto cursor-pointer"
      data-pick={shore.id}
      data-name={SHORE_FACTS[shore.kind].name}
      onClick={() => onSelect(shore.id)}
    >
      <title>{SHORE_FACTS[shore.kind].name}</title>
      <g clipPath="url(#clip-side)">
        <rect
          x={Math.min(a, b)}
          y={y}
          width={Math.max(4, Math.abs(b - a))}
          height={8}
          fill="var(--color-layout-wash)"
          stroke="var(--color-layout)"
          strokeWidth={here ? 2.4 : 1.4}
        />
      </g>
    </g>
  );
}
