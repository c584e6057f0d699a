import type { PlanResult } from '@splay/core';
import { memoized } from '../ui/memoized.ts';
import type { Across, View } from '../client/picture-props.ts';
import { acrossPx } from './strips.ts';
import { toPx } from './view.ts';

interface RoomBoxesProps {
  readonly shown: PlanResult;
  readonly what: 'side' | 'plan';
  readonly view: View;
  readonly across: Across;
  readonly selected: string | null;
  readonly onSelect: (id: string) => void;
}

/** What takes up room on the frame: tank, filler, battery box, as dashed boxes. */
export function RoomBoxes({ shown, what, view, across, selected, onSelect }: RoomBoxesProps) {
  return shown.obstacles.rooms.flatMap(({ id, name, stations }) => {
    const [first, last] = [stations[0], stations.at(-1)];
    if (!first || !last) return [];
    const [a, b] = what === 'side' ? [first.top, first.low] : first.y;
    const [y1, y2] = [acrossPx(across, a), acrossPx(across, b)];
    return [
      <RoomBox
        key={id}
        {...{ id, name, onSelect }}
        x={toPx(view, first.x)}
        y={Math.min(y1, y2)}
        width={(last.x - first.x) * view.scale}
        height={Math.abs(y2 - y1)}
        chosen={selected === id}
      />,
    ];
  });
}

interface RoomBoxProps extends Pick<RoomBoxesProps, 'onSelect'> {
  readonly id: string;
  readonly name: string;
  /** px. */
  readonly x: number;
  readonly y: number;
  readonly width: number;
  readonly height: number;
  readonly chosen: boolean;
}

const RoomBox = memoized(function RoomBox({ id, name, chosen, onSelect, ...at }: RoomBoxProps) {
  return (
    <rect
      className="pointer-events-auto cursor-pointer"
      {...at}
      rx={4}
      fill="var(--color-bench)"
      fillOpacity={0.6}
      stroke={chosen ? 'var(--color-layout)' : 'var(--color-pencil)'}
      strokeDasharray="5 3"
      onClick={() => onSelect(id)}
    >
      <title>{name}</title>
    </rect>
  );
});
