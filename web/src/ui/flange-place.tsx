import type { Feature, LengthFormat } from '@splay/core';
import { MaybeLength } from './maybe-length.tsx';

interface FlangePlaceProps {
  readonly feature: Feature;
  readonly format: LengthFormat;
  readonly disabled: boolean;
  readonly onChange: (feature: Feature) => void;
}

/** Where a hole or bracket on the top or the bottom flange is across it; nothing for those in the web. */
export function FlangePlace({ feature, format, disabled, onChange }: FlangePlaceProps) {
  if (feature.face !== 'top' && feature.face !== 'bottom') return null;
  return (
    <MaybeLength
      label="In from the outside of the web"
      mm={feature.inboard}
      format={format}
      disabled={disabled}
      onChange={(inboard) => {
        if (inboard !== undefined && inboard < 0) return 'It is measured inward: type 0 or more.';
        const { inboard: _, ...rest } = feature;
        onChange(inboard === undefined ? rest : { ...rest, inboard });
        return '';
      }}
    />
  );
}
