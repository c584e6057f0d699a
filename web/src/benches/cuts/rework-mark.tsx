import { notchOutline, type PlanResult, posed, type Section } from '@splay/core';
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
  const edge = notchOutline(operation, rework, piece.rails, 'left', (id) => section(id).depth);
  const px = edge.map(([x, z]) => {
    const at = posed(piece.pose, x, z);
    return `${toPx(view, at.x).toFixed(1)} ${acrossPx(across, at.z).toFixed(1)}`;
  });
  return <path d={`M${px.join('L')}Z`} fill="url(#hatch-cut)" stroke="var(--color-oxide)" strokeWidth={1.5} />;
}
