import { heightOf, isBeside, type LengthFormat, type LoadedLayer, type MountingOutcome, partsOf } from '@splay/core';
import { lengthWidth, SvgLength } from './svg-length.tsx';
import { SolidPart } from './solid-part.tsx';
import { LAYER_WORDS } from '../ui/mounting-words.ts';

interface MountPictureProps {
  readonly outcome: MountingOutcome;
  readonly format: LengthFormat;
  readonly width: number;
  readonly height: number;
}

/** Width of a layer as it is drawn, mm: a washer's, about. */
const PAD = 44;
/** Room under an arm for how far out it reaches, mm. */
const LINE_ROOM = 34;
/** Room for the figures beside the stack, px. */
const FIGURES = 78;

/** One mount from the rear, to scale: the rail cut through, its bracket, its stack with each height, and the body over it. */
export function MountPicture({ outcome, format, width, height }: MountPictureProps) {
  const { rail, seat, side, over, under, top, mounting, height: bracketHeight } = outcome;
  if (!rail || bracketHeight === null)
    return <p className="p-3 text-pencil">There is no rail under {outcome.tag}: nothing can be drawn.</p>;
  const out = Math.abs(seat.at.y);
  // Seen from the rear: the left rail's outside is left.
  const flip = side === 'left' ? -1 : 1;
  const low = rail.underside - (seat.sideways !== 0 ? LINE_ROOM : 0);
  const high = Math.max(seat.at.z, rail.top) + 18;
  const [inner, outer] = [Math.min(rail.inner, out - PAD / 2), Math.max(rail.outer, out + PAD / 2)];
  const scale = Math.min((height - 26) / (high - low), (width - FIGURES - 16) / (outer - inner));
  const left = flip < 0 ? 8 + FIGURES : 8;
  const px = (y: number) => left + (flip < 0 ? outer - y : y - inner) * scale;
  const py = (z: number) => 14 + (high - z) * scale;
  const layersFrom = (layers: readonly LoadedLayer[], base: number) =>
    layers.map((layer, at) => ({ layer, z: base + heightOf(layers.slice(0, at)) }));
  const stacked = [...layersFrom(under, rail.top), ...layersFrom(over, top)];
  const rows = [
    ...stacked.map(({ layer, z }) => ({
      z: z + layer.loaded / 2,
      mm: layer.loaded,
      name: LAYER_WORDS[layer.kind],
      bold: false,
    })),
    ...(mounting.bracket.form === 'none'
      ? []
      : [
          {
            z: Math.max(top - Math.abs(bracketHeight) / 2, low),
            mm: bracketHeight,
            name: isBeside(mounting.bracket) ? `${outcome.name}, its top` : outcome.name,
            bold: true,
          },
        ]),
  ].toSorted((a, b) => b.z - a.z);
  const figures = spread(rows.map(({ z }) => py(z)));
  const textX = flip < 0 ? 4 : width - 4;
  return (
    <svg
      width={width}
      height={height}
      role="img"
      aria-label={`${outcome.tag} from the rear, to scale`}
      className="block"
    >
      {partsOf(rail.section).map((part, index) => (
        <SolidPart
          key={index}
          part={part}
          px={(inward) => px(rail.outer - inward)}
          py={(up) => py(rail.underside + up)}
          scale={scale}
          fill="var(--color-graphite)"
        />
      ))}
      <BracketShape {...{ outcome, px, py, scale }} />
      {stacked.map(({ layer, z }) => (
        <rect
          key={layer.id}
          x={Math.min(px(out - PAD / 2), px(out + PAD / 2))}
          y={py(z + layer.loaded)}
          width={PAD * scale}
          height={Math.max(1.5, layer.loaded * scale)}
          fill={layer.kind === 'bushing' ? 'var(--color-bench)' : 'url(#hatch-new)'}
          stroke="var(--color-layout)"
          rx={layer.kind === 'bushing' ? 3 : 0}
        />
      ))}
      <path
        d={`M${px(out) - (PAD / 2 + 12) * scale} ${py(seat.at.z)}h${(PAD + 24) * scale}`}
        stroke="var(--color-ochre)"
        strokeWidth={5}
      />
      <path
        d={`M${px(out)} ${py(seat.at.z) - 10}V${py(top - 30)}`}
        stroke="var(--color-pencil)"
        strokeDasharray="8 3 2 3"
      />
      <g className="font-label" fontSize={13} textAnchor={flip < 0 ? 'start' : 'end'}>
        {rows.map(({ z, mm, name, bold }, index) => {
          const y = figures[index] ?? py(z);
          return (
            <g key={index}>
              <text x={textX} y={y} fontWeight={600} fontSize={bold ? 16 : 13} fill="var(--color-graphite)">
                <SvgLength mm={mm} format={format} signed={bold && isBeside(mounting.bracket)} />
              </text>
              <text x={textX} y={y + 12} fontSize={12} fill="var(--color-pencil)">
                {name}
              </text>
            </g>
          );
        })}
      </g>
      <Reach {...{ outcome, format, px, py, foot: height - 4 }} />
    </svg>
  );
}

/** Heights for lines of two rows each, none over the other, px. */
function spread(wanted: readonly number[]): readonly number[] {
  const placed: number[] = [];
  for (const y of wanted) placed.push(Math.max(y, 14, (placed.at(-1) ?? -Infinity) + 28));
  return placed;
}

interface ShapeProps {
  readonly outcome: MountingOutcome;
  readonly px: (out: number) => number;
  readonly py: (z: number) => number;
  readonly scale: number;
}

/** The bracket from the rear: a saddle on the rail, an arm from its web, an angle, or a block with the old one on it. */
function BracketShape({ outcome, px, py, scale }: ShapeProps) {
  const { mounting, rail, seat, top, height, block } = outcome;
  const { bracket } = mounting;
  if (!rail || height === null || bracket.form === 'none') return null;
  const ink = { fill: 'var(--color-layout-wash)', stroke: 'var(--color-layout)', strokeWidth: 1.6 } as const;
  const out = Math.abs(seat.at.y);
  const foot = top - height;
  const box = (y1: number, y2: number, z1: number, z2: number, hatched = false) => (
    <rect
      x={Math.min(px(y1), px(y2))}
      y={py(z2)}
      width={Math.abs(px(y2) - px(y1))}
      height={Math.max(1.5, (z2 - z1) * scale)}
      {...ink}
      {...(hatched && { fill: 'url(#hatch-new)' })}
    />
  );
  switch (bracket.form) {
    case 'perch': {
      const middle = (rail.inner + rail.outer) / 2;
      const [a, b] = [middle - bracket.across / 2, middle + bracket.across / 2];
      const t = bracket.thickness;
      return (
        <>
          {box(a, a + t, foot, top)}
          {box(b - t, b, foot, top)}
          {box(a, b, top - t, top)}
        </>
      );
    }
    case 'old':
      return (
        <>
          {block !== null && block > 0 && box(rail.inner, rail.outer, foot, foot + block, true)}
          {box(out - bracket.along / 3, out + bracket.along / 3, foot + Math.max(0, block ?? 0), top)}
        </>
      );
    case 'arm': {
      const face = seat.sideways < 0 ? out + outcome.reach : rail.outer;
      const beyond = bracket.along / 2;
      const end = seat.sideways < 0 ? out - beyond : out + beyond;
      const points = [
        [face, top],
        [end, top],
        [end, top - bracket.tip],
        [face, top - bracket.deep],
      ].map(([y, z]) => `${px(y as number)} ${py(z as number)}`);
      return (
        <>
          <path d={`M${points.join('L')}Z`} {...ink} />
          <path d={`M${px(face)} ${py(top - bracket.thickness)}L${px(end)} ${py(top - bracket.thickness)}`} {...ink} />
        </>
      );
    }
    case 'angle': {
      const face = seat.sideways < 0 ? out + outcome.reach : rail.outer;
      const sign = seat.sideways < 0 ? -1 : 1;
      return (
        <>
          {box(face, face + sign * bracket.thickness, top - bracket.upright, top)}
          {box(face, out + (sign * bracket.along) / 2, top - bracket.thickness, top)}
        </>
      );
    }
  }
}

/** How far the mount stands from the face of the rail, under the drawing. */
function Reach({
  outcome,
  format,
  px,
  py,
  foot,
}: Omit<ShapeProps, 'scale'> & { readonly format: LengthFormat; readonly foot: number }) {
  const { seat, rail } = outcome;
  if (!rail || seat.sideways === 0) return null;
  const out = Math.abs(seat.at.y);
  const face = seat.sideways > 0 ? rail.outer : rail.inner;
  const [a, b] = [Math.min(px(face), px(out)), Math.max(px(face), px(out))];
  const y = Math.min(foot - 18, py(rail.underside) + 10);
  const middle = (a + b) / 2;
  const half = lengthWidth(Math.abs(seat.sideways), format, 13) / 2;
  return (
    <g>
      <path d={`M${a} ${y - 5}v10M${b} ${y - 5}v10M${a} ${y}H${b}`} stroke="var(--color-graphite)" strokeWidth={1} />
      <text
        x={Math.max(middle, half + 2)}
        y={y + 15}
        textAnchor="middle"
        className="font-label"
        fontSize={13}
        fontWeight={600}
        fill="var(--color-graphite)"
      >
        <SvgLength mm={Math.abs(seat.sideways)} format={format} /> {seat.sideways > 0 ? 'outboard' : 'inboard'}
      </text>
    </g>
  );
}
