import type { Conflict, PlanResult, Section } from '@splay/core';
import type { KeyboardEvent, PointerEvent } from 'react';
import type { BenchProps } from './bench-props.ts';
import type { Look } from './job-store.ts';

/** What part of the frame the board shows: station at the left edge, mm, and pixels per mm. */
export interface View {
  readonly from: number;
  readonly scale: number;
  readonly width: number;
}

/** How heights (side view) or widths (plan view) become pixels. */
export interface Across {
  readonly zero: number;
  /** −1: up is less; 1: down is more. */
  readonly sign: -1 | 1;
  /** Pixels per mm across the frame. */
  readonly scale: number;
  /** What lies nearer to the center line than `at` mm is drawn in `shown` px: the rails are drawn near each other. */
  readonly broken?: { readonly at: number; readonly shown: number };
}

/** A strip of the board: where it lies, px, and how mm across the frame become px in it. */
export interface Strip {
  readonly top: number;
  /** Where the lowest of the rails ends in it, px. */
  readonly foot: number;
  readonly height: number;
  readonly across: Across;
}

/** Begins to follow a pointer: `onMove` gets how far it went, px, `onEnd` whether it went anywhere. */
export type StartDrag = (
  event: PointerEvent,
  onMove: (px: number, py: number) => void,
  onEnd: (moved: boolean) => void,
) => void;

/** What a bench draws with: the frame that is shown, where it lies on the screen, and what can be done with it. */
export interface PictureProps extends BenchProps {
  /** The frame on the strips: the donor, or as built. */
  readonly shown: PlanResult;
  readonly showBefore: boolean;
  /** Station of the datum hole on the frame that is shown, mm. */
  readonly datum: number;
  readonly view: View;
  readonly side: Strip;
  readonly tape: Pick<Strip, 'top' | 'height'>;
  readonly plan: Strip;
  /** The tray's picture, px. */
  readonly tray: { readonly width: number; readonly height: number };
  readonly section: (id: string) => Section;
  readonly look: Look | null;
  readonly startDrag: StartDrag;
  readonly onDragCut: (operation: string, mm: number) => void;
  readonly onDropCut: () => void;
  readonly onNudgeCut: (operation: string, event: KeyboardEvent) => void;
  readonly onPickConflict: (conflict: Conflict) => void;
}
