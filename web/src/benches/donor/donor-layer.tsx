import { type Job, type LengthFormat, nudgeOf, railOf, type Side, SIDES, sideSign, type Station } from '@splay/core';
import { type KeyboardEvent, type PointerEvent, useState } from 'react';
import { Blade } from '../../board/blade.tsx';
import { halo } from '../../board/halo.ts';
import { acrossPx } from '../../board/strips.ts';
import { toPx } from '../../board/view.ts';
import { change, preview } from '../../client/job-store.ts';
import type { Across, PictureProps } from '../../client/picture-props.ts';
import { sliderRole } from '../../ui/slider-role.ts';
import { nudgeStep } from '../../ui/length-field.tsx';
import { editProblems } from '../../ui/check-edit.ts';
import { memoized } from '../../ui/memoized.ts';
import { RailDifference } from './rail-difference.tsx';
import { type PickedStation, stationId, withStation } from './station-ids.ts';

/** Every station that can be picked: those of both rails where they are mirrored, else of each. */
function stationsOf({ job }: PictureProps): readonly PickedStation[] {
  const { rails } = job.donor;
  const sides: readonly (Side | 'both')[] = rails.kind === 'mirrored' ? ['both'] : SIDES;
  return sides.flatMap((side) =>
    railOf(rails, side === 'right' ? 'right' : 'left').map((station, index) => ({ side, index, station })),
  );
}

/** Stations hang from the tape, to be dragged where they are; the blade stands where the tray looks. */
export function DonorOver(props: PictureProps) {
  const { job, shown, view, side, section, datum, tape, plan, store, selected, canWrite, onSelect, startDrag } = props;
  return (
    <>
      {job.donor.rails.kind === 'measured' && (
        <g clipPath="url(#clip-side)">
          <RailDifference
            pieces={shown.pieces}
            format={job.display}
            y={side.top + side.height - 58}
            view={view}
            across={side.across}
            section={section}
            datum={datum}
          />
        </g>
      )}
      {stationsOf(props).map((picked) => {
        const id = stationId(picked.side, picked.index);
        return (
          <StationHandles
            key={id}
            {...{ store, picked, view, tape, datum, canWrite, onSelect, startDrag }}
            side={side.across}
            plan={plan.across}
            chosen={selected === id}
            format={job.display}
          />
        );
      })}
      <Blade
        {...props}
        label="Blade: where the section is shown"
        top={side.top + 24}
        bottom={plan.top + plan.height - 4}
        at={tape.top}
      />
    </>
  );
}

interface StationHandlesProps extends Pick<
  PictureProps,
  'store' | 'view' | 'tape' | 'datum' | 'canWrite' | 'onSelect' | 'startDrag'
> {
  readonly picked: PickedStation;
  readonly side: Across;
  readonly plan: Across;
  readonly chosen: boolean;
  readonly format: LengthFormat;
}

/** A station: its peg on the tape, its height in side view, its half-width from above. */
const StationHandles = memoized(function StationHandles(props: StationHandlesProps) {
  const { picked, store, view, side, plan, tape, datum, chosen, format, canWrite, onSelect, startDrag } = props;
  const { station, index } = picked;
  const id = stationId(picked.side, index);
  const x = toPx(view, station.x);
  const put = (figures: Partial<Station>) => (job: Job) => ({
    ...job,
    donor: withStation(job.donor, picked, figures),
  });
  const snap = nudgeOf(format);
  const step = (mm: number) => Math.round(mm / snap) * snap;
  const [refused, setRefused] = useState('');
  /** What cannot be is not taken: the drawing stays as it stood, and says why. */
  const take = (label: string, made: Job): boolean => {
    const wrong = editProblems(made, '', store.getState().job);
    setRefused(wrong?.elsewhere ?? '');
    if (!wrong) change(store, label, () => made);
    return !wrong;
  };
  const drop = (moved: boolean) => {
    const { preview: made } = store.getState();
    if (!moved || !made) return;
    if (!take('Dragged a station', made)) store.setState({ preview: null });
  };
  const drag = (event: PointerEvent, figures: (px: number, py: number) => Partial<Station>) => {
    onSelect(id);
    setRefused('');
    if (canWrite) startDrag(event, (px, py) => preview(store, put(figures(px, py))), drop);
  };
  const key = (event: KeyboardEvent, figure: 'top' | 'halfWidth' | 'x', by: number) => {
    event.preventDefault();
    onSelect(id);
    take('Nudged a station', put({ [figure]: station[figure] + by * nudgeStep(event, format) })(store.getState().job));
  };
  const onKeyDown = (event: KeyboardEvent) => {
    const way = { ArrowLeft: ['x', -1], ArrowRight: ['x', 1], ArrowUp: ['top', 1], ArrowDown: ['top', -1] } as const;
    if (event.key === 'Enter') onSelect(id);
    else if (event.key in way && canWrite) {
      const [figure, by] = way[event.key as keyof typeof way];
      key(event, figure, by);
    }
  };
  const ink = chosen ? 'var(--color-layout)' : 'var(--color-pencil)';
  const assumed = station.origin === 'assumed';
  const dot = (cx: number, cy: number, onPointerDown: (event: PointerEvent) => void, cursor: string) => (
    <g className={`pointer-events-auto touch-none ${cursor}`} data-handle="station" onPointerDown={onPointerDown}>
      <circle cx={cx} cy={cy} r={9} fill="transparent" className="touch-target" />
      <circle
        cx={cx}
        cy={cy}
        r={chosen ? 5 : 3.4}
        fill={assumed ? 'var(--color-paper)' : ink}
        stroke={ink}
        strokeWidth={1.4}
      />
    </g>
  );
  const sides: readonly Side[] = picked.side === 'both' ? SIDES : [picked.side];
  const topY = acrossPx(side, station.top);
  // The right rail's own stations hang from the lower edge of the tape, so that no peg hides another.
  const up = picked.side === 'right' ? -1 : 1;
  const pegY = picked.side === 'right' ? tape.top + tape.height + 3 : tape.top - 3;
  return (
    <g>
      <path
        d={`M${x} ${topY}V${tape.top}`}
        stroke={ink}
        strokeWidth={0.8}
        strokeDasharray={assumed ? '3 3' : undefined}
      />
      {picked.side !== 'right' &&
        dot(
          x,
          topY,
          (event) => drag(event, (_, py) => ({ top: station.top - step(py / side.scale) })),
          'cursor-ns-resize',
        )}
      {sides.map((each) => (
        <g key={each}>
          {dot(
            x,
            acrossPx(plan, sideSign(each) * station.halfWidth),
            (event) =>
              drag(event, (_, py) => ({
                halfWidth: station.halfWidth + step((sideSign(each) * py) / plan.scale),
              })),
            'cursor-ns-resize',
          )}
        </g>
      ))}
      <g
        className="pointer-events-auto cursor-ew-resize touch-none"
        data-handle="station"
        {...sliderRole(
          `Station ${index + 1}${picked.side === 'both' ? '' : `, ${picked.side}`}${chosen ? ', selected' : ''}`,
          station.x - datum,
          format,
        )}
        onPointerDown={(event) => drag(event, (px) => ({ x: station.x + step(px / view.scale) }))}
        onKeyDown={onKeyDown}
      >
        <circle cx={x} cy={pegY} r={9} fill="transparent" className="touch-target" />
        <path
          className="focus-ring"
          d={`M${x - 5} ${pegY - 6 * up}h10v${5 * up}l-5 ${5 * up}l-5 ${-5 * up}Z`}
          fill={chosen ? ink : 'var(--color-sheet)'}
          stroke={ink}
          strokeWidth={1.3}
        />
      </g>
      {refused && chosen && (
        <text
          role="alert"
          x={x}
          y={tape.top + 11}
          textAnchor={x < view.width / 2 ? 'start' : 'end'}
          fontSize={13}
          fontWeight={600}
          className="font-label"
          fill="var(--color-oxide)"
          {...halo}
        >
          {refused}{' '}
          <tspan x={x} dy={13}>
            Nothing was changed.
          </tspan>
        </text>
      )}
    </g>
  );
});
