import type { FeatureOutcome, PlanResult, Vec3 } from '@splay/core';
import { FeatureSymbol, symbolOf } from './feature-symbol.tsx';

interface MovedThingsProps {
  readonly result: PlanResult;
  readonly selected: string | null;
  readonly place: (at: Vec3) => { readonly x: number; readonly y: number };
}

/** Moved by the plan on purpose, not just carried along with its piece. */
const onPurpose = ({ fate }: { readonly fate: FeatureOutcome['fate'] }): boolean =>
  fate === 're-drill' || fate === 're-weld';
const gone = ({ fate }: { readonly fate: FeatureOutcome['fate'] }): boolean =>
  fate === 'lost' || fate === 'removed' || fate === 'cut-through';

/**
 * Ghosts of what moved, at its old place on the donor, with a leader to the new one: things that the plan moves on
 * purpose, the axles, and whatever is selected. What goes altogether is crossed out where it was.
 */
export function MovedThings({ result, selected, place }: MovedThingsProps) {
  const leaders = [
    ...result.features
      .filter((outcome) => onPurpose(outcome) || outcome.feature.id === selected)
      .flatMap(({ feature, places }) => {
        const side = places.left ?? places.right;
        return side?.donor && side.built
          ? [{ id: feature.id, from: side.donor, to: side.built, kind: feature.kind }]
          : [];
      }),
    ...result.crossmembers
      .filter((outcome) => onPurpose(outcome) || outcome.crossmember.id === selected)
      .flatMap(({ crossmember, donor, built }) =>
        donor && built ? [{ id: crossmember.id, from: donor, to: built, kind: null }] : [],
      ),
    ...result.axles.flatMap(({ item, donor, built }) =>
      built ? [{ id: item.id, from: donor, to: built, kind: null }] : [],
    ),
  ];
  return (
    <g>
      {leaders.map(({ id, from, to, kind }) => {
        const [a, b] = [place(from), place(to)];
        if (Math.hypot(b.x - a.x, b.y - a.y) < 3) return null;
        const turn = (Math.atan2(b.y - a.y, b.x - a.x) * 180) / Math.PI;
        return (
          <g key={id} className="text-layout" stroke="currentColor" fill="none">
            <path d={`M${a.x} ${a.y}L${b.x} ${b.y}`} strokeWidth={1.1} strokeDasharray="2 3" />
            <path d="M-11 -3.5L-4 0L-11 3.5" strokeWidth={1.3} transform={`translate(${b.x} ${b.y}) rotate(${turn})`} />
            {kind ? (
              <g transform={`translate(${a.x} ${a.y})`} opacity={0.55}>
                <FeatureSymbol name={symbolOf(kind)} />
              </g>
            ) : (
              <path d={`M${a.x - 4} ${a.y}h8M${a.x} ${a.y - 4}v8`} strokeWidth={1.1} />
            )}
          </g>
        );
      })}
      {result.features.filter(gone).flatMap(({ feature, places, reason }) => {
        const donor = (places.left ?? places.right)?.donor;
        if (!donor) return [];
        const at = place(donor);
        return (
          <g key={feature.id} transform={`translate(${at.x} ${at.y})`}>
            <title>{`${feature.name}: ${reason}`}</title>
            <g className="text-pencil" opacity={0.6}>
              <FeatureSymbol name={symbolOf(feature.kind)} />
            </g>
            <path d="M-5 -5L5 5M5 -5L-5 5" stroke="var(--color-oxide)" strokeWidth={1.6} />
          </g>
        );
      })}
    </g>
  );
}
