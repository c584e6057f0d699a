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
    const key = `${line.letters}/${line.kerf}/${line.operation.id}`;
    const known = byKey.get(key) ?? {
      key,
      letters: dotted(line.letters),
      operation: line.operation.id,
      left: null,
      right: null,
    };
    byKey.set(key, { ...known, [line.side]: line });
  }
  const at = ({ left, right }: CutOnBoth) => (left ?? right)?.from.top ?? 0;
  return [...byKey.values()].sort((a, b) => at(a) - at(b));
}
