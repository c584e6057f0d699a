import {
  aboutOf,
  builtOf,
  dotted,
  nameOfKind,
  nudgeOf,
  type Operation,
  type OperationOutcome,
  type PlanResult,
  stretchedOperation,
  withOperation,
} from '@splay/core';
import { type PointerEvent, useMemo, useState } from 'react';
import { Dimension } from '../../board/dimension.tsx';
import { CutAway, DonorGhost, Steel } from '../../board/steel.tsx';
import { closeSideStrip, closestScale, planStrip } from '../../board/strips.ts';
import { toMm, toPx } from '../../board/view.ts';
import { change, preview, useJobState } from '../../client/job-store.ts';
import { later } from '../../client/later.ts';
import type { PictureProps, View } from '../../client/picture-props.ts';
import { FeatureLayer } from '../../board/feature-layer.tsx';
import { useStands } from '../../ui/use-stands.ts';
import { ReworkMark } from './rework-mark.tsx';
import { Waits } from '../../ui/waits.tsx';

/** What the kinds of operation look like one by one is loaded once the joint is drawn. */
const Sketch = later(() => import('./sketches/sketch.tsx').then((file) => file.Sketch));

/** The operation at hand: the one that is picked, else the first. */
export const atHand = ({ result, selected }: Pick<PictureProps, 'result' | 'selected'>): OperationOutcome | undefined =>
  result.operations.find(({ operation }) => operation.id === selected) ?? result.operations[0];

/** Width of the column with the figures, px. */
const FIGURES = 276;
/** Frame that is drawn ahead of and behind an operation, mm. */
const AROUND = 330;

/** Where the bracket or crossmember that an operation is about stands on the built frame, or stood, mm. */
function placeOf(operation: Operation, { result, donor }: PictureProps): readonly number[] {
  const { brings, names } = aboutOf(operation);
  const id = (brings ?? names)?.id;
  const on = ({ features, crossmembers }: PlanResult) => {
    const feature = features.find((each) => each.feature.id === id);
    const crossmember = crossmembers.find((each) => each.crossmember.id === id);
    return (feature?.places.left ?? feature?.places.right)?.built?.x ?? crossmember?.built?.x;
  };
  const stood = on(donor);
  if (stood === undefined) return [on(result) ?? []].flat();
  // What went out with its steel stood where that is folded away now.
  const fold = result.tape.folds.find(({ donorFrom, donorTo }) => stood >= donorFrom && stood <= donorTo);
  return [on(result) ?? builtOf(result.tape, stood) ?? fold?.builtX ?? []].flat();
}

/** Where an operation works on the built frame, mm: from its foremost cut or edge to its rearmost; null for nowhere. */
function spanOf({ operation }: OperationOutcome, props: PictureProps): readonly [number, number] | null {
  const { result } = props;
  const own = (of: { readonly operation: string }) => of.operation === operation.id;
  const xs = [...result.joints.filter(own), ...result.cutEnds.filter(own)].map(({ builtX }) => builtX);
  for (const { operation: of, from, to, source } of result.reworks) {
    const piece = result.pieces.find((each) => each.source === source && each.front.x <= from && each.rear.x >= to);
    if (of.id === operation.id && piece) xs.push(from + piece.pose.dx, to + piece.pose.dx);
  }
  if (xs.length === 0) xs.push(...placeOf(operation, props));
  return xs.length > 0 ? [Math.min(...xs), Math.max(...xs)] : null;
}

/** The operation at hand as the evaluation has it: close up, to scale, with handles, beside what it comes to. */
export function CutsTray(props: PictureProps) {
  const { job, result, tray } = props;
  const stands = useStands();
  const outcome = atHand(props);
  if (!outcome)
    return (
      <p className="flex h-full items-center justify-center px-8 text-center text-pencil">
        Nothing is planned yet. What you add is drawn here, close up.
      </p>
    );
  const span = spanOf(outcome, props);
  const wide = tray.width > 560 || !span;
  return (
    <div className="flex h-full">
      {span ? (
        <CloseUp {...props} outcome={outcome} span={span} width={wide ? tray.width - FIGURES : tray.width} />
      ) : (
        <p className="flex flex-1 items-center justify-center px-8 text-center text-pencil">
          {outcome.refusal?.message ?? `${nameOfKind(outcome.operation.kind)}: nothing is cut here.`}
        </p>
      )}
      {wide && (
        <div
          className="shrink-0 overflow-y-auto border-l border-rule bg-sheet px-3 pt-1 pb-3"
          style={{ width: FIGURES }}
          tabIndex={0}
          role="group"
          aria-label="Figures of the operation"
        >
          {stands && (
            <Waits>
              <Sketch operation={outcome.operation} job={job} result={result} />
            </Waits>
          )}
        </div>
      )}
    </div>
  );
}

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
function CloseUp(props: CloseUpProps) {
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
  const side = closeSideStrip(sideHeight, shown, frame, section, [toMm(shown, 0), toMm(shown, width)]);
  const plan = useMemo(
    () => planStrip(sideHeight, height - sideHeight, shown, donor, section),
    [sideHeight, height, shown, donor, section],
  );
  const px = (x: number) => toPx(shown, x);
  const joints = [...result.joints, ...result.cutEnds]
    .filter((each) => each.operation === operation.id)
    .sort((a, b) => a.builtX - b.builtX);
  const [foremost, rearmost] = [joints[0], joints.at(-1)];
  const draws = [
    { what: 'side', across: side.across, id: 'close-side', top: 0, high: sideHeight },
    { what: 'plan', across: plan.across, id: 'close-plan', top: sideHeight, high: height - sideHeight },
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
      {draws.map(({ what, across, id, top, high }) => {
        const common = { what, view: shown, across, section };
        return (
          <g key={what}>
            <clipPath id={id}>
              <rect x={0} y={top} width={width} height={high} />
            </clipPath>
            <g clipPath={`url(#${id})`}>
              {!showBefore && <DonorGhost donor={donor} {...common} />}
              <Steel pieces={frame.pieces} {...common} />
              {showBefore && <CutAway pieces={taken} {...common} />}
            </g>
          </g>
        );
      })}
      <path d={`M0 ${sideHeight}H${width}`} stroke="var(--color-rule)" />
      <text x={10} y={16} className="label" fontSize={12} fill="var(--color-pencil)">
        Side{side.across.scale < shown.scale * 0.97 && ' · heights drawn smaller'}
      </text>
      <text x={10} y={height - 6} className="label" fontSize={12} fill="var(--color-pencil)">
        Plan{plan.across.broken && ' · rails drawn nearer each other'}
      </text>
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
      {!showBefore && foremost && rearmost && foremost !== rearmost && (
        <Dimension
          from={px(foremost.builtX)}
          to={px(rearmost.builtX)}
          y={sideHeight - 14}
          mm={rearmost.builtX - foremost.builtX}
          format={job.display}
          strong
          className="text-layout"
        />
      )}
    </svg>
  );
}

interface HandleProps extends PictureProps {
  readonly outcome: OperationOutcome;
  readonly letter: string;
  readonly x: number;
  /** Pixels a mm of the close-up. */
  readonly scale: number;
  /** The rearmost of several: dragged, it changes how long the operation is. */
  readonly last: boolean;
  readonly steel: readonly (readonly [top: number, bottom: number])[];
  readonly bad: boolean;
}

/** A joint of the close-up with its letter: dragged, it moves the cut, or the last one its length. */
function Handle({ outcome, letter, x, scale, last, steel, bad, ...props }: HandleProps) {
  const { job, store, canWrite, startDrag } = props;
  const { operation } = outcome;
  const tagY = steel[0]?.[0] ?? 0;
  const stretched = (mm: number): Operation | null => {
    const step = nudgeOf(job.display);
    return last ? stretchedOperation(operation, Math.round(mm / step) * step) : null;
  };
  const stretches = stretched(0) !== null;
  const begin = (event: PointerEvent) =>
    startDrag(
      event,
      (moved) => {
        const longer = stretched(moved / scale);
        if (longer) preview(store, (of) => ({ ...of, plan: withOperation(of.plan, longer) }));
        else props.onDragCut(operation.id, moved / scale);
      },
      (moved) => {
        const made = store.getState().preview;
        if (moved && made)
          change(store, stretches ? `Changed ${nameOfKind(operation.kind).toLowerCase()}` : 'Moved a cut', () => made);
      },
    );
  const ink = bad ? 'var(--color-oxide)' : 'var(--color-layout)';
  return (
    <g
      className={canWrite ? 'pointer-events-auto cursor-ew-resize touch-none' : ''}
      data-handle="cut"
      {...(canWrite && { onPointerDown: begin })}
    >
      {steel.map(([top, bottom]) => (
        <g key={top}>
          <path d={`M${x} ${top}V${bottom}`} stroke="transparent" strokeWidth={26} />
          <path d={`M${x} ${top}V${bottom}`} stroke={ink} strokeWidth={1.6} />
        </g>
      ))}
      <rect x={x - 10} y={tagY - 4} width={20} height={20} fill={ink} />
      <text
        x={x}
        y={tagY + 6}
        dy="0.34em"
        textAnchor="middle"
        fontSize={14}
        fontWeight={600}
        className="font-label"
        fill="var(--color-sheet)"
      >
        {letter}
      </text>
    </g>
  );
}
