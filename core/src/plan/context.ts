import { type Frame, sectionLookup } from '../frame/index.ts';
import type { Rulebook } from '../rules/index.ts';
import type { Section } from '../sections/index.ts';
import { type LengthFormat, lengthText } from '../units/index.ts';

/** What operations and reports need to know besides the frame in work. */
export interface Context {
  readonly section: (id: string) => Section;
  readonly hasSection: (id: string) => boolean;
  /** Of the rails' steel, which members and braces are taken to be of too, kg/mm³. */
  readonly density: number;
  readonly rules: Rulebook;
  /** How lengths are written in messages. */
  readonly display: LengthFormat;
  readonly show: (mm: number) => string;
}

/** What a context is made of; a `PlanInput` is one. */
interface ContextSource {
  readonly donor: Frame;
  readonly rules: Rulebook;
  readonly display: LengthFormat;
}

/** What operations and reports of a plan need to know besides the frame in work. */
export const contextOf = ({ donor, rules, display }: ContextSource): Context => ({
  section: sectionLookup(donor),
  hasSection: (id) => donor.sections.some((named) => named.id === id),
  density: donor.material.density,
  rules,
  display,
  show: (mm) => lengthText(mm, display, true),
});
