import type { Rulebook } from '../rules/index.ts';
import type { Section } from '../sections/index.ts';
import type { LengthFormat } from '../units/index.ts';

/** What operations and reports need to know besides the frame in work. */
export interface Context {
  readonly section: (id: string) => Section;
  readonly hasSection: (id: string) => boolean;
  readonly rules: Rulebook;
  /** How lengths are written in messages. */
  readonly display: LengthFormat;
  readonly show: (mm: number) => string;
}
