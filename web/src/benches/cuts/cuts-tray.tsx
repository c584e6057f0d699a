import { aboutOf, builtOf, nameOfKind, type Operation, type OperationOutcome, type PlanResult } from '@splay/core';
import { lazyComponent } from '../../client/lazy-component.tsx';
import type { PictureProps } from '../../client/picture-props.ts';
import { useStands } from '../../ui/use-stands.ts';
import { Waits } from '../../ui/waits.tsx';
import { CloseUp } from './close-up.tsx';

/** What the kinds of operation look like one by one is loaded once the joint is drawn. */
const Sketch = lazyComponent(() => import('./sketches/sketch.tsx').then((file) => file.Sketch));

/** The operation at hand: the one that is picked, else the first. */
export const selectedOutcome = ({
  result,
  selected,
}: Pick<PictureProps, 'result' | 'selected'>): OperationOutcome | undefined =>
  result.operations.find(({ operation }) => operation.id === selected) ?? result.operations[0];

/** Width of the column with the figures, px. */
const FIGURES = 276;

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

/** Where an operation works on the built frame, mm: from its first cut or edge to its last; null for nowhere. */
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
  const { tray } = props;
  const stands = useStands();
  const outcome = selectedOutcome(props);
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
          {outcome.refusal?.message ?? `${nameOfKind(outcome.operation.kind)}: the rails are not cut.`}
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
              <Sketch store={props.store} of={outcome.operation.id} />
            </Waits>
          )}
        </div>
      )}
    </div>
  );
}
