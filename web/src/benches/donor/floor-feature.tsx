import { type Feature, FEATURE_KINDS, type FeatureKind } from '@splay/core';
import { words } from '../../ui/table-columns.ts';

const inWords = (kind: FeatureKind): string => {
  const plain = kind.replaceAll('-', ' ');
  return plain.charAt(0).toUpperCase() + plain.slice(1);
};

/** The feature as another kind; a name that only counts its kind, such as `Hole 12`, goes along. */
export function asKind(feature: Feature, kind: FeatureKind): Feature {
  const count = /^(.*) (\d+)$/.exec(feature.name);
  const counted = count?.[1] === inWords(feature.kind);
  return { ...feature, kind, name: counted ? `${inWords(kind)} ${count?.[2]}` : feature.name };
}

interface FloorFeatureProps {
  readonly feature: Feature;
  readonly onChange: (feature: Feature) => void;
}

/** What the thing on the rail is, and on which side: picked with a thumb. */
export function FloorFeature({ feature, onChange }: FloorFeatureProps) {
  return (
    <div className="flex gap-2">
      <select
        className="field h-13 min-w-0 flex-[3] text-base"
        aria-label="What it is"
        value={feature.kind}
        onChange={(event) => onChange(asKind(feature, event.target.value as FeatureKind))}
      >
        {words(FEATURE_KINDS).map(([kind, name]) => (
          <option key={kind} value={kind}>
            {name}
          </option>
        ))}
      </select>
      <select
        className="field h-13 min-w-0 flex-[2] text-base"
        aria-label="On which rail"
        value={feature.side}
        onChange={(event) => onChange({ ...feature, side: event.target.value as Feature['side'] })}
      >
        <option value="both">both rails</option>
        <option value="left">left</option>
        <option value="right">right</option>
      </select>
    </div>
  );
}
