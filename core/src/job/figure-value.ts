import type { BenchId } from './benches.ts';
import type { JobResult } from './evaluate-job.ts';
import type { Job } from './job.ts';
import type { Support } from './supports.ts';

/** What a figure says: mm, radians, kg or words; null while it cannot be told. */
export type FigureValue =
  | { readonly mm: number; readonly signed?: true }
  | { readonly radians: number }
  | { readonly kg: number }
  | { readonly words: string }
  | null;

/** What a figure is, before and after, and what it rests on. */
export interface FigureChange {
  readonly before: FigureValue;
  readonly after: FigureValue;
  /** What it is about, in few words; empty where its name says it. */
  readonly note: string;
  readonly restsOn: readonly Support[];
}

/** Figures by their ids, each with its name, the bench that settles it, and how it is told. */
export type FigureDefinitions = Readonly<
  Record<string, { readonly name: string; readonly bench: BenchId; readonly compute: (looked: Looked) => FigureChange }>
>;

/** What a figure is told from. */
export interface Looked {
  readonly job: Job;
  readonly whole: JobResult;
}

/**
 * A length as a figure.
 *
 * @param mm The length, mm; null while it cannot be told.
 */
export const length = (mm: number | null): FigureValue => (mm === null ? null : { mm });
/**
 * Words in place of a figure.
 *
 * @param text The words.
 */
export const words = (text: string): FigureValue => ({ words: text });
