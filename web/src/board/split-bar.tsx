import { type KeyboardEvent, useState } from 'react';
import type { StartDrag } from '../client/picture-props.ts';
import { memoized } from '../ui/memoized.ts';
import { stripLimits } from './strips.ts';

const KEY = 'splay/strips';

/** Where the bar between strips and tray was dragged to on this device, as a share of their height; null where nobody has. */
function keptShare(): number | null {
  const kept = Number(localStorage.getItem(KEY) ?? NaN);
  return kept > 0 && kept < 1 ? kept : null;
}

/** That share, and how it is changed: kept on the device, for every job and bench. */
export function useSplit(): readonly [number | null, (share: number | null) => void] {
  const [share, setShare] = useState(keptShare);
  const put = (next: number | null) => {
    if (next === null) localStorage.removeItem(KEY);
    else localStorage.setItem(KEY, next.toFixed(4));
    setShare(next);
  };
  return [share, put];
}

interface SplitBarProps {
  /** Height of strips, bar and tray, and of the strips, px. */
  readonly column: number;
  readonly strips: number;
  readonly startDrag: StartDrag;
  readonly onSplit: (share: number | null) => void;
}

/** How far an arrow key moves the bar, px. */
const STEP = 16;

/** The bar between the strips and the tray: dragged, or moved with the arrow keys; Home or a double press puts it back. */
export const SplitBar = memoized(function SplitBar({ column, strips, startDrag, onSplit }: SplitBarProps) {
  const [least, most] = stripLimits(column);
  const put = (height: number) => onSplit(Math.min(most, Math.max(least, height)) / column);
  const keys = (event: KeyboardEvent) => {
    if (event.key === 'Home') onSplit(null);
    else if (event.key === 'ArrowUp') put(strips - STEP);
    else if (event.key === 'ArrowDown') put(strips + STEP);
    else return;
    event.preventDefault();
    event.stopPropagation();
  };
  return (
    <div
      role="slider"
      aria-orientation="vertical"
      aria-label="Height of the drawing over the tray"
      aria-valuemin={least}
      aria-valuemax={most}
      aria-valuenow={strips}
      aria-valuetext={`${Math.round((100 * strips) / column)} %`}
      tabIndex={0}
      title="Drag: more room for the drawing or the tray. Double press: as usual"
      className="absolute inset-x-0 -top-1.5 z-10 flex h-3 cursor-row-resize touch-none items-center justify-center pointer-coarse:inset-x-auto pointer-coarse:-top-8 pointer-coarse:left-1/2 pointer-coarse:h-[48px] pointer-coarse:w-[112px] pointer-coarse:-translate-x-1/2"
      onKeyDown={keys}
      onDoubleClick={() => onSplit(null)}
      onPointerDown={(event) =>
        startDrag(
          event,
          (_, down) => put(strips + down),
          () => undefined,
        )
      }
    >
      <span className="h-1 w-12 rounded bg-graphite/60" aria-hidden="true" />
    </div>
  );
});
