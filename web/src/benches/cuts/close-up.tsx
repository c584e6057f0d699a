import { dotted, type OperationOutcome } from '@splay/core';
import { useMemo, useState } from 'react';
import { Dimension } from '../../board/dimension.tsx';
import { FeatureLayer } from '../../board/feature-layer.tsx';
import { Rails } from '../../board/steel.tsx';
import { planNote, closeSideStrip, closestScale, planStrip } from '../../board/strips.ts';
import { useHeld } from '../../board/use-held.ts';
import { ViewNames } from '../../board/view-names.tsx';
import { toMm, toPx } from '../../board/view.ts';
import { useJobState } from '../../client/job-store.ts';
import type { PictureProps, View } from '../../client/picture-props.ts';
import { memoized } from '../../ui/memoized.ts';
import { Handle } from './close-up-handle.tsx';
import { ReworkMark } from './rework-mark.tsx';

/** Frame that is drawn ahead of and behind an operation, mm. */
const AROUND = 330;

interface CloseUpProps extends PictureProps {
  readonly outcome: OperationOutcome;
  readonly span: readonly [number, number];
  readonly width: number;
}

/** Room that a joint keeps to the edge of a held close-up, px. */
const MARGIN = 40;

/**
 * The view of a close-up. While something is dragged it stays where it was, so that the joint moves with the hand and
 * not the steel under it; a joint that comes to its edge is brought back to its middle.
 */
function useHeldView(dragging: boolean, span: readonly [number, number], fresh: () => View): View {
  const [held, setHeld] = useState<View | null>(null);
  const inSight = (view: View) => span.every((x) => toPx(view, x) > MARGIN && toPx(view, x) < view.width - MARGIN);
  if (dragging && held && inSight(held)) return held;
  const view = fresh();
  const same = held && view.from === held.from && view.scale === held.scale && view.width === held.width;
  if (!same) setHeld(view);
  return same ? held : view;
}

/** The steel round an operation in both views, true to scale, with its joints and what is near. */
export function CloseUp(props: CloseUpProps) {
  const { job, result, donor, section, outcome, span, width, tray, selected, datum, showBefore, onSelect } = props;
  const { operation } = outcome;
  const { height } = tray;
  const sideHeight = Math.round(height * 0.6);
  const [front, rear] = [span[0] - AROUND, span[1] + AROUND];
  const frame = showBefore ? donor : result;
  const dragging = useJobState(props.store, ({ preview: moved }) => moved !== null);
  const shown = useHeldView(dragging, span, () => {
    const scale = Math.min(1.2, width / (rear - front), closestScale(sideHeight, frame, section, span));
    return { scale, width, from: (span[0] + span[1]) / 2 - width / 2 / scale };
  });
  const laidBy = useHeld(frame, dragging);
  const side = useMemo(
    () => closeSideStrip(sideHeight, shown, laidBy, section, [toMm(shown, 0), toMm(shown, width)]),
    [sideHeight, shown, laidBy, section, width],
  );
  const plan = useMemo(
    // Rails that are widened or narrowed, and where they were, both fit.
    () =>
      planStrip(
        sideHeight,
        height - sideHeight,
        shown,
        { ...laidBy, pieces: [...laidBy.pieces, ...donor.pieces] },
        section,
      ),
    [sideHeight, height, shown, laidBy, donor, section],
  );
  const px = (x: number) => toPx(shown, x);
  const joints = [...result.joints, ...result.cutEnds]
    .filter((each) => each.operation === operation.id)
    .sort((a, b) => a.builtX - b.builtX);
  const [first, last] = [joints[0], joints.at(-1)];
  const draws = [
    { what: 'side', across: side.across },
    { what: 'plan', across: plan.across },
  ] as const;
  const taken = result.removed.filter((piece) => piece.operation === operation.id);
  return (
    <svg
      width={width}
      height={height}
      className="shrink-0"
      role="img"
      aria-label={`${dotted(outcome.letters)} close up`}
    >
      <CloseClips width={width} height={height} sideHeight={sideHeight} />
      <path d={`M0 ${sideHeight}H${width}`} stroke="var(--color-rule)" />
      {draws.map(({ what, across }) => {
        const common = { what, view: shown, across, section };
        return (
          <g key={what} clipPath={`url(#close-${what})`}>
            {!showBefore && <Rails pieces={donor.pieces} ink="donor ghost" {...common} />}
            <Rails pieces={frame.pieces} {...common} />
            {showBefore && <Rails pieces={taken} ink="cut away" {...common} />}
          </g>
        );
      })}
      {!showBefore &&
        result.reworks.map((rework) => (
          <ReworkMark key={rework.operation.id} {...{ rework, result, section }} view={shown} across={side.across} />
        ))}
      <FeatureLayer
        shown={frame}
        view={shown}
        side={side.across}
        plan={plan.across}
        datum={datum}
        format={job.display}
        selected={selected}
        pointed={null}
        clips={['close-side', 'close-plan']}
        onSelect={onSelect}
      />
      {!showBefore &&
        joints.map((joint, index) => (
          <Handle
            key={joint.letter}
            {...props}
            letter={joint.letter}
            x={px(joint.builtX)}
            scale={shown.scale}
            last={index > 0 && index === joints.length - 1}
            steel={[
              [24, side.foot + 8],
              [sideHeight + 20, height - 8],
            ]}
            bad={'verdict' in joint && joint.verdict !== 'meets' && joint.verdict !== 'dress'}
          />
        ))}
      {!showBefore && first && last && first !== last && (
        <Dimension
          from={px(first.builtX)}
          to={px(last.builtX)}
          y={sideHeight - 14}
          mm={last.builtX - first.builtX}
          format={job.display}
          strong
          className="text-layout"
        />
      )}
      <ViewNames
        side="Side"
        sideY={16}
        plan="Plan"
        planY={height - 6}
        smaller={side.across.scale < shown.scale * 0.97}
        note={planNote(plan.across, shown.scale)}
      />
    </svg>
  );
}

interface CloseClipsProps {
  readonly width: number;
  readonly height: number;
  /** Where the side view ends and the plan view begins, px. */
  readonly sideHeight: number;
}

/** What keeps each view in its part of the close-up. */
const CloseClips = memoized(function CloseClips({ width, height, sideHeight }: CloseClipsProps) {
  return (
    <>
      <clipPath id="close-side">
        <rect x={0} y={0} width={width} height={sideHeight} />
      </clipPath>
      <clipPath id="close-plan">
        <rect x={0} y={sideHeight} width={width} height={height - sideHeight} />
      </clipPath>
    </>
  );
});
