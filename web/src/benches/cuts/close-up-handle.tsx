import {
  nameOfKind,
  nudgeOf,
  type Operation,
  type OperationOutcome,
  stretchedOperation,
  withOperation,
} from '@splay/core';
import type { PointerEvent } from 'react';
import { change, preview } from '../../client/job-store.ts';
import type { PictureProps } from '../../client/picture-props.ts';
import { TagLetter } from '../../board/tag-letter.tsx';
import { memoized } from '../../ui/memoized.ts';

interface HandleProps extends PictureProps {
  readonly outcome: OperationOutcome;
  readonly letter: string;
  readonly x: number;
  /** Pixels a mm of the close-up. */
  readonly scale: number;
  /** The last of several: dragged, it changes how long the operation is. */
  readonly last: boolean;
  readonly steel: readonly (readonly [top: number, bottom: number])[];
  readonly bad: boolean;
}

/** A joint of the close-up with its letter: dragged, it moves the cut, or the last one its length. */
export function Handle({ outcome, letter, x, scale, last, steel, bad, ...props }: HandleProps) {
  const { job, store, canWrite, startDrag } = props;
  const { operation } = outcome;
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
  return (
    <g
      className={canWrite ? 'pointer-events-auto cursor-ew-resize touch-none' : ''}
      transform={`translate(${x})`}
      data-handle="cut"
      {...(canWrite && { onPointerDown: begin })}
    >
      <HandleShape steel={steel} letter={letter} ink={bad ? 'var(--color-oxide)' : 'var(--color-layout)'} />
    </g>
  );
}

interface HandleShapeProps extends Pick<HandleProps, 'steel' | 'letter'> {
  readonly ink: string;
}

/** What is moved by its handle as it is. */
const HandleShape = memoized(function HandleShape({ steel, letter, ink }: HandleShapeProps) {
  const tagY = steel[0]?.[0] ?? 0;
  const through = steel.map(([top, bottom]) => `M0 ${top}V${bottom}`).join('');
  return (
    <>
      <path d={through} stroke="transparent" strokeWidth={26} />
      <path d={through} stroke={ink} strokeWidth={1.6} />
      <rect x={-10} y={tagY - 4} width={20} height={20} fill={ink} />
      <TagLetter y={tagY + 6}>{letter}</TagLetter>
    </>
  );
});
