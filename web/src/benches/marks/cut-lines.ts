import { type CutLine, dotted } from '@splay/core';

/** One cut line on both rails; null on a rail that it does not cross. */
export interface CutOnBoth {
  readonly key: string;
  readonly letters: string;
  readonly operation: string;
  readonly left: CutLine | null;
  readonly right: CutLine | null;
}

/** Cut lines of both rails put together, front to rear. */
export function linesByCut(lines: readonly CutLine[]): readonly CutOnBoth[] {
  const byKey = new Map<string, CutOnBoth>();
  for (const line of lines) {
    const key = `${line.letters}/${line.kerf}/${line.operation.id}/${line.part}`;
    const known = byKey.get(key) ?? {
      key,
      letters: dotted(line.letters),
      operation: line.operation.id,
      left: null,
      right: null,
    };
    byKey.set(key, { ...known, [line.side]: line });
  }
  const at = ({ left, right }: CutOnBoth) => (left ?? right)?.from.level ?? 0;
  return [...byKey.values()].sort((a, b) => at(a) - at(b));
}

/**
 * Where a line is measured: along the top edge where it crosses that, else along the web or the bottom edge.
 *
 * @param line The line.
 */
export function mainFigure({ from }: CutLine): { readonly mm: number; readonly along: string } {
  if (from.top !== null) return { mm: from.top, along: 'top edge' };
  if (from.web !== null) return { mm: from.web, along: 'web' };
  return { mm: from.bottom ?? from.level, along: 'bottom edge' };
}
