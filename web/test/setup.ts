import { freezeDocuments } from '@splay/core';
import { afterAll, afterEach, beforeAll } from 'vitest';
import { loadAllLater } from '../src/client/lazy-component.tsx';

freezeDocuments(true);

if (typeof document !== 'undefined') {
  const { cleanup, configure } = await import('@testing-library/react');
  // A busy machine may take its time.
  configure({ asyncUtilTimeout: 120_000 });
  // There is nothing to draw a chart on here: what it shows stands in a table too.
  HTMLCanvasElement.prototype.getContext = () => null;
  // Panels, tables and dialogs are loaded when they are shown, and come once the board is on the screen; here at once.
  beforeAll(async () => void (await loadAllLater()));
  afterEach(cleanup);
  afterAll(() => {
    localStorage.clear();
    sessionStorage.clear();
    document.body.replaceChildren();
  });
}
