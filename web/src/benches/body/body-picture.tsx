import { type Body, type LengthFormat, openingOver, type ProfilePoint } from '@splay/core';
import { linePath } from '../../board/line-path.ts';
import { Dimension } from '../../board/dimension.tsx';

interface BodyPictureProps {
  readonly body: Body;
  readonly width: number;
  readonly height: number;
  readonly format: LengthFormat;
  readonly selected: string | null;
}

const ROOM = { left: 34, right: 22, top: 26, between: 40, foot: 14 };

/** Everything of a body that has a place, mm. */
function extentOf({ outline, underside, openings, mounts, boxes }: Body) {
  const xs = [
    ...[...outline, ...underside, ...mounts].map(({ x }) => x),
    ...openings.flatMap(({ x, radius = 400 }) => [x - radius, x + radius]),
    ...boxes.flatMap(({ front, rear }) => [front, rear]),
  ];
  const zs = [
    ...[...outline, ...underside, ...mounts].map(({ z }) => z),
    ...openings.flatMap(({ z = 0, radius = 0 }) => [z - radius, z]),
    ...boxes.flatMap(({ low, high }) => [low, high]),
    0,
  ];
  const ys = [...mounts.map(({ y }) => Math.abs(y)), ...boxes.flatMap(({ left, right }) => [-left, right]), 300];
  return {
    x: [Math.min(...xs), Math.max(...xs)] as const,
    z: [Math.min(...zs), Math.max(...zs)] as const,
    y: Math.max(...ys),
  };
}

const path = (points: readonly ProfilePoint[], px: (x: number) => number, pz: (z: number) => number) =>
  linePath(points.map(({ x, z }) => [px(x), pz(z)]));

/** A body by itself, to scale: its side over its plan, from its own tape and level line. */
export function BodyPicture({ body, width, height, format, selected }: BodyPictureProps) {
  const { outline, underside, openings, mounts, boxes } = body;
  if (outline.length + mounts.length + openings.length + boxes.length === 0)
    return (
      <p className="flex h-full items-center justify-center px-8 text-center text-pencil">
        Nothing of {body.name} is measured yet. Begin with its wheel openings and its mounts.
      </p>
    );
  const extent = extentOf(body);
  const long = Math.max(1, extent.x[1] - extent.x[0]);
  const tall = Math.max(1, extent.z[1] - extent.z[0]);
  // Where there is more room beside than below, the plan stands beside the side view, else under it.
  const beside = width > 2 * height;
  const half = beside ? width / 2 : width;
  const scale = Math.min(
    (half - ROOM.left - ROOM.right) / long,
    beside
      ? (height - ROOM.top - ROOM.between) / Math.max(tall, 2 * extent.y)
      : (height - ROOM.top - ROOM.between - ROOM.foot) / (tall + 2 * extent.y),
  );
  const left = (half - long * scale) / 2 + 8;
  const px = (x: number) => left + (x - extent.x[0]) * scale;
  const over = (x: number) => px(x) + (beside ? half - 8 : 0);
  const pz = (z: number) => ROOM.top + (extent.z[1] - z) * scale;
  const middle = beside ? ROOM.top + (tall * scale) / 2 : ROOM.top + tall * scale + ROOM.between + extent.y * scale;
  const py = (y: number) => middle + y * scale;
  const chosen = (id: string) => (id === selected ? 'var(--color-layout)' : 'var(--color-ochre)');
  const [front, rear] = [openingOver(body, 'front'), openingOver(body, 'rear')];
  return (
    <svg width={width} height={height} role="img" aria-label={`${body.name}: side over plan, front to the left`}>
      <text x={10} y={16} className="label" fontSize={12} fill="var(--color-pencil)">
        Side{beside ? '' : ', and from above'} · front to the left
      </text>
      {beside && (
        <text x={half + 10} y={16} className="label" fontSize={12} fill="var(--color-pencil)">
          From above · left on top
        </text>
      )}
      <path
        d={`M${px(extent.x[0])} ${pz(0)}H${px(extent.x[1])}`}
        stroke="var(--color-pencil)"
        strokeDasharray="12 4 3 4"
        strokeWidth={0.8}
      />
      <text x={px(extent.x[0]) - 4} y={pz(0) + 4} textAnchor="end" fontSize={11} fill="var(--color-pencil)">
        level
      </text>
      <g fill="none" stroke="var(--color-ochre)" strokeWidth={1.8}>
        {outline.length > 1 && <path d={`${path(outline, px, pz)}Z`} />}
        {underside.length > 1 && <path d={path(underside, px, pz)} strokeWidth={3} />}
        {openings.map(({ id, x, z, radius }) => (
          <g key={id} stroke={chosen(id)} strokeDasharray={z === undefined || radius === undefined ? '4 3' : undefined}>
            <circle cx={px(x)} cy={pz(z ?? 0)} r={(radius ?? 350) * scale} />
            <path d={`M${px(x) - 5} ${pz(z ?? 0)}h10M${px(x)} ${pz(z ?? 0) - 5}v10`} />
          </g>
        ))}
      </g>
      {boxes.map(({ id, name, front: from, rear: to, left: l, right: r, low, high }) => (
        <g key={id} fill="url(#hatch-boxed)" stroke={chosen(id)} strokeWidth={1.2}>
          <title>{name}</title>
          <rect x={px(from)} y={pz(high)} width={(to - from) * scale} height={(high - low) * scale} />
          <rect x={over(from)} y={py(l)} width={(to - from) * scale} height={(r - l) * scale} />
        </g>
      ))}
      <path
        d={`M${over(extent.x[0])} ${py(0)}H${over(extent.x[1])}`}
        stroke="var(--color-rule)"
        strokeDasharray="12 4 3 4"
      />
      {mounts.map(({ id, name, x, y, z, hole = 0 }) => (
        <g key={id} fill="var(--color-sheet)" stroke={chosen(id)} strokeWidth={1.6}>
          <title>{name}</title>
          <path d={`M${px(x) - 6} ${pz(z)}h12M${px(x)} ${pz(z)}v-8`} />
          <rect x={over(x) - 5} y={py(y) - 5} width={10} height={10} />
          <circle cx={over(x)} cy={py(y)} r={Math.max(1.5, (hole / 2) * scale)} fill={chosen(id)} stroke="none" />
        </g>
      ))}
      {front && rear && (
        <Dimension
          from={px(front.x)}
          to={px(rear.x)}
          y={ROOM.top + tall * scale + 20}
          mm={rear.x - front.x}
          format={format}
          before="openings"
          strong
        />
      )}
    </svg>
  );
}
