import type { JobStore } from './job-store.ts';

/** Opens a bench at its address, with one of its drawers open if given. */
export function goToBench(store: JobStore, bench: string, drawer: string | null = null): void {
  const { bench: now, id } = store.getState();
  if (bench === now) return store.setState({ thread: null });
  history.pushState(null, '', `/jobs/${id}/${bench}`);
  store.setState({ bench, selected: null, measurement: null, look: null, drawer, thread: null });
}
