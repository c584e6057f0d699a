import type { BenchProps } from '../../client/bench-props.ts';
import { BoxesDrawer, OpeningsDrawer } from './body-tables.tsx';
import { FloorAcross } from './floor-across.tsx';
import { OpeningEdges } from './opening-edges.tsx';

/** The wheel openings of a body, and their edges as measured. */
export function Openings(bench: BenchProps) {
  return (
    <>
      <OpeningsDrawer {...bench} />
      <OpeningEdges {...bench} />
    </>
  );
}

/** What must stay clear under a body: boxes, and its floor across. */
export function KeepClear(bench: BenchProps) {
  return (
    <>
      <BoxesDrawer {...bench} />
      <FloorAcross {...bench} />
    </>
  );
}
