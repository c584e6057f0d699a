import type { PlanResult, Section } from '@splay/core';
import type { Strip, View } from '../client/picture-props.ts';
import { Rails } from './steel.tsx';

interface SteelStripsProps {
  readonly shown: PlanResult;
  readonly view: View;
  readonly side: Strip;
  readonly plan: Strip;
  readonly section: (id: string) => Section;
}

/** The rails of a frame in both strips: the left one from outside, both from above. */
export function SteelStrips({ shown, view, side, plan, section }: SteelStripsProps) {
  const steel = { pieces: shown.pieces, view, section };
  return (
    <>
      <g clipPath="url(#clip-side)" data-rails="side">
        <Rails {...steel} across={side.across} what="side" />
      </g>
      <g clipPath="url(#clip-plan)" data-rails="plan">
        <Rails {...steel} across={plan.across} what="plan" />
      </g>
    </>
  );
}
