import type { PlanResult, Section } from '@splay/core';
import type { Across } from '../../client/picture-props.ts';
import { acrossPx } from '../../board/strips.ts';
import type { View } from '../../client/picture-props.ts';
import { toPx } from '../../board/view.ts';

/** A notch or a boxing plate, drawn on the piece it is in. */
export function ReworkMark({
  rework,
  result,
  view,
  across,
  section,
}: {
  readonly rework: PlanResult['reworks'][number];
  readonly result: PlanResult;
  readonly view: View;
  readonly across: Across;
  readonly section: (id: string) => Section;
}) {
  const piece = result.pieces.find(
    (candidate) =>
      candidate.source === rework.source && candidate.front.x <= rework.from && candidate.rear.x >= rework.to,
  );
  const station =
    piece?.rails.left.filter((candidate) => candidate.x <= (rework.from + rework.to) / 2).at(-1) ??
    piece?.rails.left[0];
  if (!piece || !station) return null;
  const depth = section(station.section).depth;
  const [left, right] = [toPx(view, rework.from + piece.pose.dx), toPx(view, rework.to + piece.pose.dx)];
  const top = acrossPx(across, station.top + piece.pose.dz);
  const { operation } = rework;
  if (operation.kind === 'box')
    return (
      <rect
        x={left}
        y={top}
        width={right - left}
        height={depth * across.scale}
        fill="url(#hatch-boxed)"
        stroke="var(--color-layout)"
        strokeDasharray="5 2"
      />
    );
  const deep = operation.depth * across.scale;
  const y = operation.from === 'below' ? top + depth * across.scale : top;
  const way = operation.from === 'below' ? -1 : 1;
  const [inner, bend] = [y + way * deep, Math.min(deep, (right - left) / 3)];
  // A round notch is one curve; an arch runs flat over the axle between two bends.
  const edge =
    operation.form === 'round'
      ? `C${left} ${y + way * deep * (4 / 3)} ${right} ${y + way * deep * (4 / 3)} ${right} ${y}`
      : `C${left} ${inner} ${left} ${inner} ${left + bend} ${inner}H${right - bend}C${right} ${inner} ${right} ${inner} ${right} ${y}`;
  return <path d={`M${left} ${y}${edge}Z`} fill="url(#hatch-cut)" stroke="var(--color-oxide)" strokeWidth={1.5} />;
}
