import { lengthText, nudgeOf, onFrame, type SeatOutcome } from '@splay/core';
import { profilePath } from '../../board/body-over.tsx';
import { acrossPx } from '../../board/strips.ts';
import { toPx } from '../../board/view.ts';
import type { PictureProps } from '../../client/picture-props.ts';
import { memoized } from '../../ui/memoized.ts';
import { isBad } from './mount-words.ts';
import { place, selectedSeat, showAt } from './selected-seat.ts';

/** A body seen from above, as far as its ends and its width are measured. */
function FromAbove({ seat, picture }: { readonly seat: SeatOutcome; readonly picture: PictureProps }) {
  const { body, pose, onDonor } = seat;
  const { view, plan, showBefore } = picture;
  const { front, rear, width } = body;
  if (front === undefined || rear === undefined || width === undefined) return null;
  const [a, b] = [front, rear].map((x) => toPx(view, onFrame(showBefore ? onDonor : pose, { x, z: 0 }).x)) as [
    number,
    number,
  ];
  const [top, foot] = [acrossPx(plan.across, -width / 2), acrossPx(plan.across, width / 2)];
  return (
    <rect
      x={Math.min(a, b)}
      y={Math.min(top, foot)}
      width={Math.abs(b - a)}
      height={Math.abs(foot - top)}
      fill="var(--color-ochre-wash)"
      fillOpacity={0.3}
      stroke="var(--color-ochre)"
      strokeDasharray="10 4"
    />
  );
}

/** Under the steel: every body's side, the one at hand filled. */
export function MatchUnder(props: PictureProps) {
  const { result, showBefore, view, side } = props;
  const hand = selectedSeat(result, props);
  return (
    <>
      <g clipPath="url(#clip-plan)">{hand && <FromAbove seat={hand} picture={props} />}</g>
      <g clipPath="url(#clip-side)">
        {result.seats.map(({ body, pose, onDonor }) => {
          const drawn = { pose: showBefore ? onDonor : pose, view, across: side.across };
          const here = body.id === hand?.body.id;
          return (
            <g key={body.id} stroke="var(--color-ochre)" strokeWidth={here ? 1.8 : 1.2}>
              {body.outline.length > 2 && (
                <path
                  d={`${profilePath(body.outline, drawn)}Z`}
                  fill={here ? 'var(--color-ochre-wash)' : 'none'}
                  fillOpacity={0.45}
                />
              )}
              {body.underside.length > 1 && <path d={profilePath(body.underside, drawn)} fill="none" strokeWidth={3} />}
              {body.openings.map(({ id, x, z, radius }) => {
                if (z === undefined || radius === undefined) return null;
                const at = onFrame(drawn.pose, { x, z });
                return (
                  <ellipse
                    key={id}
                    cx={toPx(view, at.x)}
                    cy={acrossPx(side.across, at.z)}
                    rx={radius * view.scale}
                    ry={radius * side.across.scale}
                    fill="none"
                    strokeDasharray="10 4"
                  />
                );
              })}
            </g>
          );
        })}
      </g>
    </>
  );
}

interface LegProps {
  readonly name: string;
  readonly bad: boolean;
  /** From the mount to the rail, down, px. */
  readonly long: number;
}

const Leg = memoized(function Leg({ name, bad, long }: LegProps) {
  return (
    <g stroke={bad ? 'var(--color-oxide)' : 'var(--color-ochre)'} strokeWidth={1.8}>
      <title>{name}</title>
      <path d={`M0 0V${long}`} strokeDasharray={bad ? '3 2' : undefined} />
      <path d="M-5 0h10" strokeWidth={2.4} />
    </g>
  );
});

/** What a body is taken hold of by, about its middle. */
const Grip = memoized(function Grip({ name }: { readonly name: string }) {
  return (
    <>
      <title>{`Drag ${name}`}</title>
      <rect x={-24} y={-24} width={48} height={48} className="touch-target" fill="transparent" />
      <rect
        className="focus-ring"
        x={-14}
        y={-14}
        width={28}
        height={28}
        fill="var(--color-sheet)"
        stroke="var(--color-ochre)"
        strokeWidth={1.8}
      />
      <path
        d="M0 -9v18M-9 0h18M-3 -6l3 -3l3 3M-3 6l3 3l3 -3M-6 -3l-3 3l3 3M6 -3l3 3l-3 3"
        fill="none"
        stroke="var(--color-ochre)"
        strokeWidth={1.6}
      />
    </>
  );
});

/** Over it: a plumb leg from each mount to the rail, what clashes, mounts in the plan, and the body to take hold of. */
export function MatchOver(props: PictureProps) {
  const { result, store, job, showBefore, canWrite, view, side, plan, startDrag } = props;
  const seat = selectedSeat(result, props);
  if (!seat || showBefore) return null;
  const { body, pose, mounts, clashes } = seat;
  const px = (x: number) => toPx(view, x);
  const pz = (z: number) => acrossPx(side.across, z);
  const step = nudgeOf(job.display);
  const snapped = (mm: number) => Math.round(mm / step) * step;
  const grip = onFrame(pose, { x: gripX(body), z: gripZ(body) });
  // Wherever the body is, its grip is in sight.
  const [gx, gy] = [within(px(grip.x), 24, view.width - 24), within(pz(grip.z), side.top + 24, side.foot - 20)];
  return (
    <>
      <g clipPath="url(#clip-side)">
        {mounts
          .filter((mount) => mount.side === 'left' && mount.up !== null)
          .map(({ mount, at, up, way }) => {
            const bad = isBad(way);
            return (
              <g key={mount.id} transform={`translate(${px(at.x)} ${pz(at.z)})`}>
                <Leg name={mount.name} bad={bad} long={pz(at.z - (up ?? 0)) - pz(at.z)} />
              </g>
            );
          })}
        {clashes.map(({ part, withName, from, to, deep }) => (
          <rect
            key={part.id + withName}
            x={px(from) - 3}
            y={side.foot - 34}
            width={Math.max(6, px(to) - px(from) + 6)}
            height={6}
            fill="url(#hatch-cut)"
            stroke="var(--color-oxide)"
          >
            <title>{`${part.name}: ${withName}, ${lengthText(deep, job.display, true)} deep`}</title>
          </rect>
        ))}
      </g>
      <g clipPath="url(#clip-plan)" fill="var(--color-sheet)" strokeWidth={1.6}>
        {[true, false].map((bad) => (
          <path
            key={String(bad)}
            d={mounts
              .filter(({ way }) => isBad(way) === bad)
              .map(({ at }) => `M${px(at.x) - 4} ${acrossPx(plan.across, at.y) - 4}h8v8h-8Z`)
              .join('')}
            stroke={bad ? 'var(--color-oxide)' : 'var(--color-ochre)'}
          />
        ))}
      </g>
      {canWrite && (
        <g
          className="pointer-events-auto cursor-move touch-none"
          transform={`translate(${gx} ${gy})`}
          data-handle="body"
          role="slider"
          tabIndex={0}
          aria-label={`${body.name}: along the frame and in height`}
          aria-valuenow={Math.round(pose.x)}
          aria-valuetext={`${lengthText(pose.x, job.display, true)} along, ${lengthText(pose.z, job.display, true)} up`}
          onPointerDown={(event) => {
            event.stopPropagation();
            startDrag(
              event,
              (dx, dy) =>
                showAt(store, seat, {
                  x: pose.x + snapped(dx / view.scale),
                  z: pose.z - snapped(dy / side.across.scale),
                }),
              (moved) => {
                const shown = store.getState().preview?.plan.seats.find((one) => one.body === body.id);
                if (moved && shown) place(store, 'Dragged the body', seat, shown);
              },
            );
          }}
          onKeyDown={(event) => {
            const by = step * (event.shiftKey ? 8 : event.altKey ? 0.25 : 1);
            const [dx, dz] =
              { ArrowLeft: [-by, 0], ArrowRight: [by, 0], ArrowUp: [0, by], ArrowDown: [0, -by] }[event.key] ?? [];
            if (dx === undefined || dz === undefined) return;
            event.preventDefault();
            event.stopPropagation();
            place(store, 'Nudged the body', seat, { x: pose.x + dx, z: pose.z + dz });
          }}
        >
          <Grip name={body.name} />
        </g>
      )}
    </>
  );
}

const within = (value: number, least: number, most: number): number => Math.max(least, Math.min(most, value));

/** Where a hand takes hold of a body: the middle of it, a little over its floor. */
const xsOf = ({ outline, mounts, openings }: Parameters<typeof selectedSeat>[1]['job']['bodies'][number]) =>
  [...outline, ...mounts, ...openings].map(({ x }) => x);
const gripX = (body: Parameters<typeof xsOf>[0]): number => {
  const xs = xsOf(body);
  return xs.length > 0 ? (Math.min(...xs) + Math.max(...xs)) / 2 : 0;
};
const gripZ = ({ outline, underside }: Parameters<typeof xsOf>[0]): number =>
  Math.max(...underside.map(({ z }) => z), Math.min(...outline.map(({ z }) => z), 0)) + 120;
