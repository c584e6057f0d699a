import type { PlanResult } from '@splay/core';
import { useEffect } from 'react';
import { change, type JobStore, redo, undo } from '../client/job-store.ts';
import type { BenchId } from '../shared/phases.ts';
import type { OpenDialog } from './dialogs.tsx';

interface Keys {
  readonly store: JobStore;
  readonly result: PlanResult;
  readonly onHold: (held: boolean) => void;
  readonly onDialog: (dialog: OpenDialog) => void;
  readonly onBench: (bench: BenchId) => void;
}

/** The keys that work everywhere, as the list under `?` tells them. */
export const KEY_LIST: readonly (readonly [keys: string, what: string])[] = [
  ['B', 'hold: the donor as it was'],
  ['[ ]', 'previous and next cut along the tape; on the Donor bench, the next thing on the rail'],
  ['G', 'go to a station'],
  ['M', 'measure between two things; Escape takes the line away'],
  ['D', 'make the selected hole the datum'],
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

/** Ids of the operations that cut, front to rear. */
function cutsAlong(result: PlanResult): string[] {
  const marks = [...result.joints, ...result.cutEnds].sort((a, b) => a.builtX - b.builtX);
  return [...new Set(marks.map((mark) => mark.operation))];
}

/** Ids of what hangs on the donor, front to rear. */
function thingsAlong(store: JobStore): string[] {
  const { features, crossmembers } = store.getState().job.donor;
  return [...features, ...crossmembers].sort((a, b) => a.x - b.x).map(({ id }) => id);
}

/** Makes the selected feature the datum hole, when it is a hole. */
function setDatum(store: JobStore): void {
  const { selected, job } = store.getState();
  const hole = job.donor.features.find(({ id, kind }) => id === selected && kind === 'hole');
  if (hole) change(store, 'Chose the datum hole', (old) => ({ ...old, donor: { ...old.donor, datum: hole.id } }));
}

export function useKeys({ store, result, onHold, onDialog, onBench }: Keys): void {
  useEffect(() => {
    const stepAlong = (by: 1 | -1) => {
      const ids = store.getState().bench === 'donor' ? thingsAlong(store) : cutsAlong(result);
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
      else if (key === '?') onDialog('keys');
      else if (key === 'g') onDialog('station');
      else if (key === 'm') onDialog('measure');
      else if (key === 'escape') store.setState({ measurement: null });
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
