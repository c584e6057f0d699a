import { factsOf, type FeatureKind } from './feature-kinds.ts';
import type { Feature } from './frame.ts';

/** The figures of a feature that its kind has a usual one for. */
export const USUAL_FIGURES = ['ahead', 'behind', 'diameter', 'attachment', 'movable', 'mass'] as const;
export type UsualFigure = (typeof USUAL_FIGURES)[number];

const figuresOf = (kind: FeatureKind): Pick<Feature, UsualFigure> => {
  const { attachment, reach, hole, movable, mass } = factsOf(kind).usual;
  return { ahead: reach, behind: reach, diameter: hole, attachment, movable, mass };
};

/**
 * A feature with the figures that nobody has measured set to what is usual for its kind.
 *
 * @param feature The feature.
 */
export function asUsual(feature: Feature): Feature {
  const figures = figuresOf(feature.kind);
  const assumed = (feature.usual ?? []).map((figure) => [figure, figures[figure]] as const);
  return { ...feature, ...(Object.fromEntries(assumed) as Partial<Pick<Feature, UsualFigure>>) };
}

/**
 * A feature with figures that somebody has measured or decided: they are no longer assumed.
 *
 * @param feature The feature.
 * @param figures The figures.
 */
export function withFigures(feature: Feature, figures: Partial<Pick<Feature, UsualFigure>>): Feature {
  const { usual = [], ...plain } = { ...feature, ...figures };
  const left = usual.filter((figure) => !(figure in figures));
  return left.length > 0 ? { ...plain, usual: left } : plain;
}
