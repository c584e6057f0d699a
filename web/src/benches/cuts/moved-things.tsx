import { factsOf, type FeatureKind, type FeatureOutcome, type PlanResult, type Vec3 } from '@splay/core';
import { FeatureSymbol } from '../../board/feature-symbol.tsx';
import type { Across } from '../../client/picture-props.ts';
import { acrossPx } from '../../board/strips.ts';
import { memoized } from '../../ui/memoized.ts';
import type { View } from '../../client/picture-props.ts';
import { toPx } from '../../board/view.ts';

/** Something that moved: where it was and is, on the frame; its kind when it has a symbol. */
interface Leader {
  readonly id: string;
  readonly from: Vec3;
  readonly to: Vec3;
  readonly kind: FeatureKind | null;
}

/** Something that goes, where it was. */
interface Gone {
  readonly id: string;
  readonly name: string;
  readonly kind: FeatureKind;
  readonly at: Vec3;
  readonly reason: string;
}

interface MovedThingsProps {
  readonly leaders: readonly Leader[];
  readonly gone: readonly Gone[];
  readonly view: View;
  readonly across: Across;
}

/** Moved by the plan on purpose, not just carried along with its piece. */
const onPurpose = ({ status }: { readonly status: FeatureOutcome['status'] }): boolean =>
  status === 're-drill' || status === 're-weld';
const isGone = ({ status }: { readonly status: FeatureOutcome['status'] }): boolean =>
  status === 'lost' || status === 'removed' || status === 'cut-through';

/** What moved and what goes: things that the plan moves on purpose, the axles, and whatever is selected. */
export function movedThings(result: PlanResult, selected: string | null): Pick<MovedThingsProps, 'leaders' | 'gone'> {
  const leaders: readonly Leader[] = [
    ...result.features
      .filter((outcome) => onPurpose(outcome) || outcome.feature.id === selected)
      .flatMap(({ feature, places }): Leader[] => {
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
  const gone = result.features.filter(isGone).flatMap(({ feature: { id, name, kind }, places, reason }): Gone[] => {
    const at = (places.left ?? places.right)?.donor;
    return at ? [{ id, name, kind, at, reason }] : [];
  });
  return { leaders, gone };
}

/** Ghosts at the old places on the donor, with leaders to the new ones; what goes altogether is crossed out. */
export const MovedThings = memoized(function MovedThings({ leaders, gone, view, across }: MovedThingsProps) {
  const place = (at: Vec3) => ({ x: toPx(view, at.x), y: acrossPx(across, at.z) });
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
              <g opacity={0.55}>
                <FeatureSymbol name={factsOf(kind).symbol} {...a} />
              </g>
            ) : (
              <path d={`M${a.x - 4} ${a.y}h8M${a.x} ${a.y - 4}v8`} strokeWidth={1.1} />
            )}
          </g>
        );
      })}
      {gone.map(({ id, name, kind, at, reason }) => {
        const { x, y } = place(at);
        return (
          <g key={id}>
            <title>{`${name}: ${reason}`}</title>
            <g className="text-pencil" opacity={0.6}>
              <FeatureSymbol name={factsOf(kind).symbol} x={x} y={y} />
            </g>
            <path
              d={`M${x - 5} ${y - 5}l10 10M${x + 5} ${y - 5}l-10 10`}
              stroke="var(--color-oxide)"
              strokeWidth={1.6}
            />
          </g>
        );
      })}
    </g>
  );
});
