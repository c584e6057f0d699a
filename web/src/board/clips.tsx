import { memoized } from '../ui/memoized.ts';

interface ClipsProps {
  readonly width: number;
  /** Heights of both strips, and where the lower one begins, px. */
  readonly side: number;
  readonly planTop: number;
  readonly plan: number;
}

/** What keeps the drawing of each strip in it. */
export const Clips = memoized(function Clips({ width, side, planTop, plan }: ClipsProps) {
  return (
    <>
      <clipPath id="clip-side">
        <rect x={0} y={0} width={width} height={side} />
      </clipPath>
      <clipPath id="clip-plan">
        <rect x={0} y={planTop} width={width} height={plan} />
      </clipPath>
    </>
  );
});
