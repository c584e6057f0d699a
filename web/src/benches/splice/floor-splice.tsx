import type { BenchProps } from '../../client/bench-props.ts';
import { SplicePanel } from './splice-panel.tsx';

/** The joints at the frame. */
export function SpliceFloor(props: BenchProps) {
  return (
    <div className="p-3">
      <SplicePanel {...props} />
    </div>
  );
}
