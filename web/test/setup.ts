import { freezeDocuments } from '@splay/core';
import { beforeAll, vi } from 'vitest';
import { loadAllLater } from '../src/client/later.ts';

freezeDocuments(true);

// There is nothing to draw a chart on here: what it shows stands in a table too.
if (typeof HTMLCanvasElement !== 'undefined') HTMLCanvasElement.prototype.getContext = () => null;

// Panels, tables and dialogs are loaded when they are shown, and come once the board is on the screen; here at once.
beforeAll(async () => void (await loadAllLater()));
vi.mock('../src/ui/use-stands.ts', () => ({ useStands: () => true }));
