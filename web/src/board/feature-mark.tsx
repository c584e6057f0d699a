import { factsOf, type Feature, type LengthFormat, otherUnitText } from '@splay/core';
import { memoized } from '../ui/memoized.ts';
import { FeatureSymbol } from './feature-symbol.tsx';

interface FeatureMarkProps {
  readonly feature: Feature;
  /** Said behind its name: which side it is on. */
  readonly side?: string;
  /** Where it is, px, and how far from the datum hole, mm. */
  readonly x: number;
  readonly y: number;
  readonly fromDatum: number;
  /** Its extent along the rail, px. */
  readonly width: number;
  readonly chosen: boolean;
  readonly format: LengthFormat;
  readonly onSelect: (id: string) => void;
}

/** One feature on the drawing; redrawn only when it moves. */
export const FeatureMark = memoized(function FeatureMark({
  feature,
  side = '',
  x,
  y,
  fromDatum,
  width,
  chosen,
  format,
  onSelect,
}: FeatureMarkProps) {
  const assumed = feature.origin === 'assumed';
  return (
    <g
      className={`cursor-pointer ${chosen ? 'text-layout' : 'text-graphite'}`}
      data-pick={feature.id}
      data-name={feature.name}
      onClick={() => onSelect(feature.id)}
    >
      <title>{`${feature.name}${side && `, ${side}`}, ${otherUnitText(fromDatum, format)} from the datum hole${assumed ? ', assumed' : ''}`}</title>
      <circle cx={x} cy={y} className="touch-target" fill="transparent" />
      {assumed && <circle cx={x} cy={y} r={7} fill="none" stroke="currentColor" strokeDasharray="2 2" />}
      {chosen && <circle cx={x} cy={y} r={9} fill="none" stroke="var(--color-layout)" strokeWidth={2} />}
      <FeatureSymbol name={factsOf(feature.kind).symbol} {...{ x, y, width }} />
    </g>
  );
});
