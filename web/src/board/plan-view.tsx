import type { ViewProps } from './side-view.tsx';
import { Steel } from './steel.tsx';

/** Where the centre line lies in a plan view, px. */
export const planZero = (top: number, height: number): number => top + height / 2;

/** The rails from above, front at the left, left rail on top. */
export function PlanView({ top, height, ...shown }: Omit<ViewProps, 'job' | 'datum' | 'selected'>) {
  return (
    <g clipPath="url(#clip-plan)">
      <Steel {...shown} across={{ zero: planZero(top, height), sign: 1 }} what="plan" />
    </g>
  );
}
