import type { CutEnd, Joint, LengthFormat, OperationOutcome } from '@splay/core';
import type { KeyboardEvent, PointerEvent } from 'react';
import type { View } from '../../client/picture-props.ts';
import { toPx } from '../../board/view.ts';
import { TagLetter } from '../../board/tag-letter.tsx';
import { sliderRole } from '../../ui/slider-role.ts';
import { eachByKey } from '../../ui/each-by-key.ts';
import { memoized } from '../../ui/memoized.ts';

const marksOf = (joints: readonly Joint[], cutEnds: readonly CutEnd[]) =>
  [
    ...joints.map((joint) => ({
      ...joint,
      free: false,
      color: joint.verdict === 'meets' || joint.verdict === 'dress' ? 'var(--color-layout)' : 'var(--color-oxide)',
    })),
    ...cutEnds.map((end) => ({ ...end, free: true, color: 'var(--color-oxide)' })),
  ].sort((a, b) => a.builtX - b.builtX);

/** A tag stays that of its operation, whatever its letter becomes: a hand or the keys may be at it. */
const operationOf = ({ operation }: { readonly operation: string }): string => operation;

/** Tags closer than their width hang one below the other, three deep. */
const tagLevels = (xs: readonly number[]): number[] =>
  xs.reduce<number[]>((levels, x, index) => {
    const close = index > 0 && x - (xs[index - 1] ?? 0) < 24;
    return [...levels, close ? ((levels[index - 1] ?? 0) + 1) % 3 : 0];
  }, []);

interface CutLinesProps {
  readonly joints: readonly Joint[];
  readonly cutEnds: readonly CutEnd[];
  readonly view: View;
  /** The steel and the tape that they run through, px. */
  readonly through: readonly (readonly [top: number, bottom: number])[];
  readonly selected: string | null;
}

/** The lines of the cuts, through steel and tape only. */
export function CutLines({ joints, cutEnds, view, through, selected }: CutLinesProps) {
  return eachByKey(marksOf(joints, cutEnds), operationOf).map(([name, mark]) => (
    <path
      key={name}
      transform={`translate(${toPx(view, mark.builtX)})`}
      d={through.map(([top, bottom]) => `M0 ${top}V${bottom}`).join('')}
      stroke={mark.color}
      strokeWidth={selected === mark.operation ? 2 : 1.3}
    />
  ));
}

interface CutTagsProps {
  readonly joints: readonly Joint[];
  readonly cutEnds: readonly CutEnd[];
  readonly operations: readonly OperationOutcome[];
  readonly view: View;
  /** The steel that it cuts, in the side and in the plan view, px. */
  readonly steel: readonly (readonly [top: number, bottom: number])[];
  /** Where the tape ends and the tags hang, px. */
  readonly tapeY: number;
  readonly tagY: number;
  /** Station of the datum hole on this frame, mm, and how lengths are written. */
  readonly datum: number;
  readonly format: LengthFormat;
  readonly selected: string | null;
  readonly describe: (operation: string) => string;
  readonly onSelect: (operation: string) => void;
  readonly onDragStart: (operation: string, event: PointerEvent<SVGGElement>) => void;
  readonly onKey: (operation: string, event: KeyboardEvent<SVGGElement>) => void;
}

/** Lettered tags hung on the tape, one for each joint and cut end, with a line through both views: drag or nudge to move the cut. */
export function CutTags({
  joints,
  cutEnds,
  operations,
  view,
  steel,
  tapeY,
  tagY,
  datum,
  format,
  selected,
  describe,
  onSelect,
  onDragStart,
  onKey,
}: CutTagsProps) {
  const marks = eachByKey(marksOf(joints, cutEnds), operationOf);
  const firstOf = new Map(operations.map((outcome) => [outcome.operation.id, outcome.letters[0]]));
  const levels = tagLevels(marks.map(([, mark]) => toPx(view, mark.builtX)));
  return (
    <g>
      {marks.map(([name, mark], index) => {
        const y = tagY + (levels[index] ?? 0) * 25;
        const chosen = selected === mark.operation;
        const handle = firstOf.get(mark.operation) === mark.letter;
        return (
          <g
            key={name}
            transform={`translate(${toPx(view, mark.builtX)})`}
            className="pointer-events-auto cursor-ew-resize touch-none"
            data-handle="cut"
            {...sliderRole(
              `${mark.letter}: ${describe(mark.operation)}${chosen ? ', selected' : ''}`,
              mark.builtX - datum,
              format,
            )}
            tabIndex={handle ? 0 : -1}
            onPointerDown={(event) => {
              onSelect(mark.operation);
              onDragStart(mark.operation, event);
            }}
            onKeyDown={(event) => (event.key === 'Enter' ? onSelect(mark.operation) : onKey(mark.operation, event))}
          >
            <TagShape {...{ steel, tapeY, y, chosen }} letter={mark.letter} free={mark.free} color={mark.color} />
          </g>
        );
      })}
    </g>
  );
}

interface TagShapeProps extends Pick<CutTagsProps, 'steel' | 'tapeY'> {
  /** Where the tag hangs, px. */
  readonly y: number;
  readonly letter: string;
  readonly free: boolean;
  readonly color: string;
  readonly chosen: boolean;
}

/** What is moved by its tag as it is. */
const TagShape = memoized(function TagShape({ steel, tapeY, y, letter, free, color, chosen }: TagShapeProps) {
  return (
    <>
      <path d={steel.map(([top, bottom]) => `M0 ${top}V${bottom}`).join('')} stroke="transparent" strokeWidth={11} />
      <path d={`M0 ${tapeY}V${y}`} stroke={color} strokeWidth={chosen ? 2.2 : 1.4} />
      <rect className="touch-target" x={-24} y={y - 15} width={48} height={48} fill="transparent" />
      <path
        d={free ? `M0 ${y - 7}l11 14l-11 14l-11 -14Z` : `M0 ${y - 7}l10 8v17h-20v-17Z`}
        className="focus-ring"
        fill={color}
        stroke={chosen ? 'var(--color-graphite)' : 'none'}
        strokeWidth={2}
      />
      <TagLetter y={free ? y + 7 : y + 10.5}>{letter}</TagLetter>
    </>
  );
});
