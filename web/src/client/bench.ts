import type { FigureId } from '@splay/core';
import type { ComponentType, ReactNode } from 'react';
import type { BenchProps } from './bench-props.ts';
import type { PictureProps } from './picture-props.ts';

/** The phases of the work, in order. */
export const PHASE_NAMES = ['Measure', 'Plan', 'Mark', 'Join', 'Seat'] as const;
export type PhaseName = (typeof PHASE_NAMES)[number];

/** What is known of a bench before its code is here. */
export interface BenchDefinition {
  readonly phase: PhaseName;
  readonly name: string;
  /** What is decided there, as a sentence. */
  readonly sentence: string;
  /** Which frame the strips of the board show. */
  readonly shows: 'donor' | 'built';
  /** Its picture reads nothing of `result`: while something is dragged there, that is worked out when the hand rests. */
  readonly donorAlone?: true;
  /** The figures at the foot: five. */
  readonly figures: readonly FigureId[];
  /** Keys that work there only, as the list tells them. */
  readonly keys: readonly (readonly [keys: string, what: string])[];
  /** Loads its code. */
  readonly load: () => Promise<BenchParts>;
}

/** A table or form that slides over the tray. */
export interface Drawer {
  readonly name: string;
  readonly Content: ComponentType<BenchProps>;
}

/** An entry of the legend: what a fill or line of the bench's layer means. */
export interface LegendEntry {
  readonly name: string;
  readonly draw: ReactNode;
}

/** A bench's own code. */
export interface BenchParts {
  /** What to decide here, with numbers and reasons. */
  readonly Panel: ComponentType<BenchProps>;
  /** The bench's picture, at a scale at which it can be worked on. */
  readonly Tray: ComponentType<PictureProps>;
  /** What the tray says over its picture; the bench's name where nothing else is said. */
  readonly trayTitle?: (props: BenchProps) => string;
  /** The tray draws the rails that the strips draw: these get more room. */
  readonly trayRepeats?: true;
  /** The bench on a phone at the frame. */
  readonly Floor: ComponentType<BenchProps>;
  /** What the bench lays on the strips, under the steel's marks and over them. */
  readonly Under?: ComponentType<PictureProps>;
  readonly Over?: ComponentType<PictureProps>;
  /** Ids of what `[` and `]` go along, front to rear. */
  readonly along: (bench: Pick<BenchProps, 'job' | 'result'>) => readonly string[];
  readonly drawers: Readonly<Record<string, Drawer>>;
  readonly legend: readonly LegendEntry[];
}

/** The layer of another bench that somebody keeps in sight. */
export interface PinnedLayer {
  readonly bench: string;
  readonly name: string;
  readonly parts: BenchParts;
}
