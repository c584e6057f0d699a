import { type Feature, type LengthFormat, type PlanResult, SIDES, type Vec3 } from '@splay/core';
import { memo } from 'react';
import { alike, near } from '../ui/memoized.ts';
import { FeatureMark } from './feature-mark.tsx';
import type { Across } from '../client/picture-props.ts';
import { acrossPx } from './strips.ts';
import type { View } from '../client/picture-props.ts';
import { toPx } from './view.ts';

interface FeatureLayerProps {
  readonly shown: PlanResult;
  readonly view: View;
  readonly side: Across;
  readonly plan: Across;
  readonly datum: number;
  readonly format: LengthFormat;
  readonly selected: string | null;
  readonly pointed: string | null;
  /** Ids of the clip paths of both views. */
  readonly clips?: readonly [side: string, plan: string];
  readonly onSelect: (id: string) => void;
}

/** Room for a symbol beyond the edge of a picture, px. */
const EDGE = 30;

/** True when a feature reaches into what a view shows, on either rail. */
function isInSight(view: View, { ahead, behind }: Feature, places: PlanResult['features'][number]['places']): boolean {
  return SIDES.some((on) => {
    const at = places[on]?.built;
    return at && toPx(view, at.x + behind) > -EDGE && toPx(view, at.x - ahead) < view.width + EDGE;
  });
}

const samePlace = (a?: Vec3 | null, b?: Vec3 | null): boolean =>
  a && b ? near(a.x, b.x) && near(a.y, b.y) && near(a.z, b.z) : !a === !b;

/** True when nothing that is drawn has changed: a drag evaluates the plan again but seldom moves a feature. */
function sameDrawing({ shown, ...a }: FeatureLayerProps, { shown: before, ...b }: FeatureLayerProps): boolean {
  return (
    alike(a, b) &&
    shown.features.length === before.features.length &&
    shown.features.every(({ feature, places }, index) => {
      const other = before.features[index];
      return feature === other?.feature && SIDES.every((on) => samePlace(places[on]?.built, other.places[on]?.built));
    })
  );
}

/** Everything that hangs on the rails, in both views: a drawing of its own, redrawn only when something in it moves. */
export const FeatureLayer = memo(function FeatureLayer({
  shown,
  view,
  side,
  plan,
  datum,
  format,
  selected,
  pointed,
  clips = ['clip-side', 'clip-plan'],
  onSelect,
}: FeatureLayerProps) {
  const chosen = (id: string) => selected === id || pointed === id;
  const common = { format, onSelect };
  // What lies beside the picture is not drawn: a close-up has a few of a hundred.
  const inSight = shown.features.filter(({ feature, places }) => isInSight(view, feature, places));
  return (
    <>
      <g clipPath={`url(#${clips[0]})`} className="pointer-events-auto">
        {inSight.map(({ feature, places }) => {
          const at = places.left?.built ?? places.right?.built;
          if (!at) return null;
          return (
            <FeatureMark
              key={feature.id}
              feature={feature}
              x={toPx(view, at.x)}
              y={acrossPx(side, at.z)}
              fromDatum={at.x - datum}
              width={(feature.ahead + feature.behind) * view.scale}
              chosen={chosen(feature.id)}
              {...common}
            />
          );
        })}
      </g>
      <g clipPath={`url(#${clips[1]})`} className="pointer-events-auto">
        {inSight.flatMap(({ feature, places }) =>
          SIDES.map((on) => {
            const at = places[on]?.built;
            if (!at) return null;
            const inboard = feature.face === 'web-outside' ? 0 : (on === 'left' ? 1 : -1) * 5;
            return (
              <FeatureMark
                key={feature.id + on}
                feature={feature}
                side={on}
                x={toPx(view, at.x)}
                y={acrossPx(plan, at.y) + inboard}
                fromDatum={at.x - datum}
                width={Math.min((feature.ahead + feature.behind) * view.scale, 14)}
                chosen={chosen(feature.id)}
                {...common}
              />
            );
          }),
        )}
      </g>
    </>
  );
}, sameDrawing);
