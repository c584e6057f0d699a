import { createStore, useStore } from 'zustand';
import { PROGRAM, PROGRAM_HEADER } from '../shared/program.ts';

/** True once the server turned out to run another version of the program than this page. */
const renewed = createStore<{ readonly renewed: boolean }>(() => ({ renewed: false }));

/** Compares the version that an answer comes from with that of this page. */
export function heardFrom(response: { readonly headers?: Headers }): void {
  const theirs = response.headers?.get(PROGRAM_HEADER);
  if (theirs && theirs !== PROGRAM) renewed.setState({ renewed: true });
}

export const useRenewed = (): boolean => useStore(renewed, (state) => state.renewed);

/** Takes the page up again, in the version that the server has now. */
export async function takeRenewed(): Promise<void> {
  const waiting = (await navigator.serviceWorker?.getRegistration())?.waiting;
  waiting?.postMessage('take over');
  location.reload();
}

/** Lets the browser keep the program, so that it opens without a connection; only where the browser allows that. */
export function keepProgram(): void {
  if (!('serviceWorker' in navigator)) return;
  const register = () => void navigator.serviceWorker.register('/service-worker.js').catch(() => undefined);
  // What the page itself needs comes first.
  if (document.readyState === 'complete') register();
  else window.addEventListener('load', register, { once: true });
}
