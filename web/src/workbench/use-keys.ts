import type { PlanResult } from '@splay/core';
import { useEffect } from 'react';
import { type JobStore, redo, undo } from '../client/job-store.ts';
import type { BenchId } from '../shared/phases.ts';

interface Keys {
  readonly store: JobStore;
  readonly result: PlanResult;
  readonly onHold: (held: boolean) => void;
  readonly onHelp: () => void;
  readonly onBench: (bench: BenchId) => void;
}

/** The keys that work everywhere, as the list under `?` tells them. */
export const KEY_LIST: readonly (readonly [keys: string, what: string])[] = [
  ['B', 'hold: the donor as it was'],
  ['[ ]', 'previous and next cut along the tape'],
  ['← →', 'move the selected cut by one division; Shift eight, Alt a quarter'],
  ['↑ ↓', 'in a length: one division more or less'],
  ['N', 'new operation'],
  ['R', 'new reading'],
  ['Ctrl Z', 'undo; with Shift redo'],
  ['?', 'this list'],
];

const typing = (target: EventTarget | null): boolean =>
  target instanceof HTMLElement && /^(INPUT|SELECT|TEXTAREA)$/.test(target.tagName);

/** Focuses an element that a bench has named for a key, after the bench had time to appear. */
const focusNamed = (name: string) =>
  requestAnimationFrame(() =>
    setTimeout(() => document.querySelector<HTMLElement>(`[data-key="${name}"]`)?.focus(), 30),
  );

export function useKeys({ store, result, onHold, onHelp, onBench }: Keys): void {
  useEffect(() => {
    const stepAlong = (by: 1 | -1) => {
      const marks = [...result.joints, ...result.cutEnds].sort((a, b) => a.builtX - b.builtX);
      const ids = [...new Set(marks.map((mark) => mark.operation))];
      if (ids.length === 0) return;
      const at = ids.indexOf(store.getState().selected ?? '');
      store.setState({ selected: ids[(at + by + ids.length) % ids.length] ?? null });
    };
    const down = (event: KeyboardEvent) => {
      const key = event.key.toLowerCase();
      if ((event.ctrlKey || event.metaKey) && key === 'z' && !typing(event.target)) {
        event.preventDefault();
        if (event.shiftKey) redo(store);
        else undo(store);
        return;
      }
      if (typing(event.target) || event.ctrlKey || event.metaKey || event.altKey) return;
      if (key === 'b' && !event.repeat) onHold(true);
      else if (key === '[') stepAlong(-1);
      else if (key === ']') stepAlong(1);
      else if (key === '?') onHelp();
      else if (key === 'n') {
        onBench('cuts');
        focusNamed('new-operation');
      } else if (key === 'r') {
        onBench('true-up');
        focusNamed('new-reading');
      } else return;
      event.preventDefault();
    };
    const up = (event: KeyboardEvent) => event.key.toLowerCase() === 'b' && onHold(false);
    const blur = () => onHold(false);
    window.addEventListener('keydown', down);
    window.addEventListener('keyup', up);
    window.addEventListener('blur', blur);
    return () => {
      window.removeEventListener('keydown', down);
      window.removeEventListener('keyup', up);
      window.removeEventListener('blur', blur);
    };
  });
}
