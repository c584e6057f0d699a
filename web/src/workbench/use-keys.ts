import type { PlanResult } from '@splay/core';
import { useEffect } from 'react';
import type { BenchParts } from '../client/bench.ts';
import { change, type JobStore, redo, undo } from '../client/job-store.ts';
import type { WorkbenchActions } from './actions.ts';
import type { OpenDialog } from './dialogs.tsx';

interface Keys {
  readonly store: JobStore;
  readonly result: PlanResult;
  readonly parts: BenchParts;
  readonly onDialog: (dialog: OpenDialog) => void;
  readonly actions: WorkbenchActions;
}

/** The keys that work everywhere, as the list under `?` tells them. */
export const KEY_LIST: readonly (readonly [keys: string, what: string])[] = [
  ['Ctrl K', 'find anything that a key or a button can do, and anything on the frame'],
  ['B', 'hold: the donor as it was, figures too'],
  ['G', 'go to a station'],
  ['M', 'measure between two things'],
  ['Tab', 'to the drawing; there ← → go along it, Enter picks, + − 0 zoom'],
  ['↑ ↓', 'in a length: one division more or less; Shift eight, Alt a quarter'],
  ['N', 'new operation'],
  ['R', 'new reading'],
  ['Esc', 'puts away what was opened last'],
  ['Ctrl Z', 'undo; with Shift redo'],
  ['?', 'this list'],
];

const typing = (target: EventTarget | null): boolean =>
  target instanceof HTMLElement && /^(INPUT|SELECT|TEXTAREA)$/.test(target.tagName);

/** Focuses an element that a bench has named for a key, after the bench had time to appear. */
const focusNamed = (name: string) =>
  requestAnimationFrame(() =>
    setTimeout(() => document.querySelector<HTMLElement>(`[data-key="${name}"]`)?.focus(), 60),
  );

/** Makes the selected feature the datum hole, when it is a hole. */
function setDatum(store: JobStore): void {
  const { selected, job } = store.getState();
  const hole = job.donor.features.find(({ id, kind }) => id === selected && kind === 'hole');
  if (hole) change(store, 'Chose the datum hole', (old) => ({ ...old, donor: { ...old.donor, datum: hole.id } }));
}

/** Puts away what was opened last: a drawer, a thread, the tape that is measured with. */
function putAway(store: JobStore, { drawers }: BenchParts): void {
  const { drawer, thread, measuring } = store.getState();
  // A link can name a drawer that this bench does not have: nothing is open then.
  if (drawer !== null && drawer in drawers) store.setState({ drawer: null });
  else if (thread !== null) store.setState({ thread: null });
  else if (measuring !== null) store.setState({ measuring: null, measurement: null });
  else store.setState({ measurement: null });
}

export function useKeys({ store, result, parts, onDialog, actions }: Keys): void {
  useEffect(() => {
    const { onHold, onBench, onMeasure } = actions;
    const stepAlong = (by: 1 | -1) => {
      const { selected, job } = store.getState();
      const ids = parts.along({ job, result });
      if (ids.length === 0) return;
      const at = ids.indexOf(selected ?? '');
      const next = at < 0 ? (by === 1 ? 0 : ids.length - 1) : (at + by + ids.length) % ids.length;
      store.setState({ selected: ids[next] ?? null });
    };
    const down = (event: KeyboardEvent) => {
      const key = event.key.toLowerCase();
      const control = event.ctrlKey || event.metaKey;
      if (control && key === 'k') {
        event.preventDefault();
        return onDialog('palette');
      }
      if (control && key === 'z' && !typing(event.target)) {
        event.preventDefault();
        if (event.shiftKey) redo(store);
        else undo(store);
        return;
      }
      if (typing(event.target) || control || event.altKey || event.defaultPrevented) return;
      if (key === 'b' && !event.repeat) onHold(true);
      else if (key === '[') stepAlong(-1);
      else if (key === ']') stepAlong(1);
      else if (key === '?') onDialog('keys');
      else if (key === 'g') onDialog('station');
      else if (key === 'm') onMeasure();
      else if (key === 'escape') putAway(store, parts);
      else if (key === 'd') setDatum(store);
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
