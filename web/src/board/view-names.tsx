import { memoized } from '../ui/memoized.ts';
import { halo } from './halo.ts';

interface ViewNamesProps {
  /** What each view is, and where that stands, px. */
  readonly side: string;
  readonly sideY: number;
  readonly plan: string;
  readonly planY: number;
  /** Heights are drawn smaller than lengths. */
  readonly smaller: boolean;
  /** How the plan view is drawn across, where not as lengths are: see `planNote`. */
  readonly note: string;
}

/** Which view is which, over everything that is drawn in it. */
export const ViewNames = memoized(function ViewNames({ side, sideY, plan, planY, smaller, note }: ViewNamesProps) {
  return (
    <g className="label pointer-events-none" fontSize={12} fill="var(--color-pencil)" {...halo}>
      <text x={10} y={sideY}>
        {side}
        {smaller && ' · heights drawn smaller'}
      </text>
      <text x={10} y={planY}>
        {plan}
        {note && ` · ${note}`}
      </text>
    </g>
  );
});
