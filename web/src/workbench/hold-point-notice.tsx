import { type HoldPoint, nextHoldPoint } from '@splay/core';

interface HoldPointNoticeProps {
  readonly holdPoints: readonly HoldPoint[];
  readonly onHoldPoint: (holdPoint: HoldPoint['id']) => void;
}

/** What the next hold point waits for, in a line. */
export function HoldPointNotice({ holdPoints, onHoldPoint }: HoldPointNoticeProps) {
  const next = nextHoldPoint(holdPoints);
  if (!next) return null;
  return (
    <button
      type="button"
      className="on-dark w-full shrink-0 truncate bg-oxide-deep px-3 text-left text-sm text-on-night low:hidden"
      onClick={() => onHoldPoint(next.holdPoint.id)}
    >
      {next.holdPoint.name}: {next.check?.name.toLowerCase()}, {next.check?.detail}
    </button>
  );
}
