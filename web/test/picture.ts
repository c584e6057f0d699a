import { sectionLookup } from '@splay/core';
import { vi } from 'vitest';
import { planStrip, sideStrip } from '../src/board/strips.ts';
import { fitView, reachOf } from '../src/board/view.ts';
import type { BenchProps } from '../src/client/bench-props.ts';
import type { PictureProps } from '../src/client/picture-props.ts';

/** A board of 900 px by 700 px with the whole frame on it, for what a bench draws. */
export function picture(bench: BenchProps): PictureProps {
  const section = sectionLookup(bench.job.donor);
  const view = fitView(900, reachOf(bench.result));
  return {
    ...bench,
    shown: bench.result,
    showBefore: false,
    datum: bench.result.datum.built,
    view,
    side: sideStrip(0, 170, view, bench.donor, section),
    tape: { top: 170, height: 56 },
    plan: planStrip(226, 150, view, bench.donor, section),
    tray: { width: 900, height: 280 },
    section,
    look: null,
    startDrag: vi.fn(),
    onDragCut: vi.fn(),
    onDropCut: vi.fn(),
    onNudgeCut: vi.fn(),
  };
}
