import { sectionLookup } from '@splay/core';
import { reachOfAll } from '../../board/view.ts';
import type { BenchProps } from '../../client/bench-props.ts';
import { CutsBench } from './cuts-bench.tsx';
import { selectedOutcome } from './cuts-tray.tsx';
import { PlanStrip } from '../../board/plan-strip.tsx';
import { Sketch } from './sketches/sketch.tsx';

/** The plan at the frame: what goes, the frame as built, and its operations. */
export function CutsFloor(props: BenchProps) {
  const outcome = selectedOutcome(props);
  return (
    <>
      <p className="border-b border-rule bg-ochre-wash px-3 py-2 text-sm">
        At a glance: what goes, and the frame as built. The button at the top opens the whole drawing.
      </p>
      <div className="px-3 pt-3">
        <PlanStrip
          result={props.result}
          section={sectionLookup(props.job.donor)}
          reach={reachOfAll([props.donor, props.result])}
          width={350}
        />
      </div>
      {outcome && (
        <div className="max-w-md px-3">
          <Sketch store={props.store} of={outcome.operation.id} />
        </div>
      )}
      <div className="p-3">
        <CutsBench {...props} />
      </div>
    </>
  );
}
