import { type KeyboardEvent, useState } from 'react';

interface BoardKeys {
  readonly zoom: (factor: number) => void;
  readonly pan: (px: number) => void;
  readonly fit: () => void;
  readonly onSelect: (id: string) => void;
}

/** How far an arrow key moves a closer view, px. */
const STEP = 80;

/** Everything on the board that can be picked, from left to right. */
function picks(board: HTMLElement): readonly SVGElement[] {
  const left = (element: Element) => element.getBoundingClientRect().left;
  const seen = new Set<string>();
  return [...board.querySelectorAll<SVGElement>('[data-pick]:not([inert] *)')]
    .sort((a, b) => left(a) - left(b))
    .filter(({ dataset: { pick = '' } }) => !seen.has(pick) && seen.add(pick));
}

/**
 * The board under the keys: Tab comes to it as one thing, arrows go along what can be picked on it, Enter picks, plus,
 * minus and 0 zoom. What an arrow is at is ringed, and `said` is for who listens; what handles keys itself (a cut's tag) is left alone.
 */
export function useBoardKeys({ zoom, pan, fit, onSelect }: BoardKeys) {
  const [at, setAt] = useState<string | null>(null);
  const [said, setSaid] = useState('');
  const onKeyDown = (event: KeyboardEvent<HTMLElement>) => {
    const { currentTarget: board, target, key } = event;
    if (target !== board) return;
    if (key === '+' || key === '=') zoom(1.5);
    else if (key === '-') zoom(1 / 1.5);
    else if (key === '0') fit();
    else if (key === 'PageUp' || key === 'PageDown') pan(key === 'PageUp' ? -STEP : STEP);
    else if (key === 'ArrowLeft' || key === 'ArrowRight') {
      const all = picks(board);
      const now = all.findIndex(({ dataset }) => dataset.pick === at);
      const next = all[now < 0 ? (key === 'ArrowRight' ? 0 : all.length - 1) : now + (key === 'ArrowRight' ? 1 : -1)];
      for (const each of all) each.classList.remove('at-key');
      next?.classList.add('at-key');
      if (next) {
        setAt(next.dataset.pick ?? null);
        setSaid(next.querySelector('title')?.textContent ?? next.dataset.name ?? '');
      }
    } else if ((key === 'Enter' || key === ' ') && at !== null) {
      const picked = picks(board).find(({ dataset }) => dataset.pick === at);
      // A conflict goes to its own place when it is picked; a thing is only selected.
      if (picked?.dataset.press) picked.dispatchEvent(new MouseEvent('click', { bubbles: true }));
      else onSelect(at);
    } else return;
    event.preventDefault();
    event.stopPropagation();
  };
  return { keys: { tabIndex: 0, 'data-at': at ?? '', onKeyDown }, said } as const;
}
