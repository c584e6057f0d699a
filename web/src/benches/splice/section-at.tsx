import {
  dotted,
  effectiveSection,
  partsOf,
  type PartShare,
  quantityText,
  ratioText,
  type Slice,
  sliceAt,
  type Splice,
  type Job,
  widthOf,
} from '@splay/core';
import { SolidPart } from '../../board/solid-part.tsx';
import { SvgLength } from '../../board/svg-length.tsx';
import type { Selection } from './selection.ts';

interface SectionAtProps {
  readonly hand: Selection;
  /** From the joint along the rail, mm. */
  readonly x: number;
  readonly job: Job;
  readonly width: number;
  readonly height: number;
}

/** Room for the words under the section, px. */
const WORDS = 92;

/** The section where the blade stands: the rail, what of its wall is in weld, and each part by how far it is fed. */
export function SectionAt({ hand, x, job, width, height }: SectionAtProps) {
  const { one, outcome } = hand;
  const splice = one.made.splice;
  if (!splice) return null;
  const { section } = one.steel;
  const at = effectiveSection(splice, x);
  const slices = at.parts.flatMap((share, index) => {
    const part = splice.parts.filter((each) => sliceAt(each, x) !== null)[index];
    const slice = part && sliceAt(part, x);
    return slice ? [{ share, slice }] : [];
  });
  const ys = [0, widthOf(section), ...slices.flatMap(({ slice }) => slice.y)];
  const zs = [0, section.depth, ...slices.flatMap(({ slice }) => slice.z)];
  const [left, right, low, high] = [Math.min(...ys), Math.max(...ys), Math.min(...zs), Math.max(...zs)];
  const scale = Math.min((width - 60) / (right - left), (height - WORDS - 34) / (high - low));
  const px = (y: number) => width / 2 + (y - (left + right) / 2) * scale;
  const py = (z: number) => 26 + (high - z) * scale;
  const format = job.display;
  const foot = height - WORDS + 14;
  const where = Math.abs(x) < 0.05 ? 'at' : '';
  return (
    <svg width={width} height={height} role="img" aria-label="The section at the cursor" className="block">
      <text x={8} y={16} className="label" fontSize={12} fill="var(--color-pencil)">
        Section at the cursor
      </text>
      {partsOf(section).map((part, index) => (
        <SolidPart key={index} part={part} px={px} py={py} scale={scale} fill="var(--color-pencil)" />
      ))}
      {at.inWeld && (
        <rect
          x={px(0) - 3}
          y={py(at.inWeld[1]) - 1}
          width={widthOf(section) * scale + 6}
          height={(at.inWeld[1] - at.inWeld[0]) * scale + 2}
          fill="url(#hatch-cut)"
          fillOpacity={0.55}
          stroke="var(--color-oxide)"
          strokeDasharray="4 3"
        />
      )}
      {slices.map(({ share, slice }) => (
        <PartAt key={share.name} {...{ share, slice, px, py, scale, splice }} />
      ))}
      <path
        d={`M${px(left) - 14} ${py(at.centroidZ)}H${px(right) + 14}`}
        stroke="var(--color-graphite)"
        strokeDasharray="10 3 2 3"
        strokeWidth={0.9}
      />
      <g className="font-label" fontSize={13} fill="var(--color-graphite)" textAnchor="middle">
        <text
          x={width / 2}
          y={foot}
          fontWeight={600}
          fontSize={22}
          className="heading"
          fill={at.ratio < 1 - 1e-6 ? 'var(--color-oxide)' : 'var(--color-passed)'}
        >
          {ratioText(at.ratio)}
          <tspan fontSize={13} fontWeight={400} fill="var(--color-pencil)">
            {' '}
            of the bare rail
          </tspan>
        </text>
        <text x={width / 2} y={foot + 19}>
          {where ? (
            `at ${dotted(outcome.joint.letter)}`
          ) : (
            <>
              <SvgLength mm={Math.abs(x)} format={format} /> {x < 0 ? 'ahead of' : 'behind'} {outcome.joint.letter}
            </>
          )}
          {`, ${quantityText('moment', at.resisting, format.unit)}`}
        </text>
        <text x={width / 2} y={foot + 37} fill="var(--color-pencil)">
          {partsText(at.parts)}
        </text>
        {at.parts.length > 2 && (
          <text x={width / 2} y={foot + 54} fill="var(--color-pencil)">
            {partsText(at.parts.slice(2))}
          </text>
        )}
      </g>
    </svg>
  );
}

const partsText = (parts: readonly PartShare[]): string =>
  parts
    .slice(0, 2)
    .map(({ name, share }) => `${shortName(name)} ${Math.floor(share * 100 + 1e-6)} %`)
    .join(', ');

const shortName = (name: string): string => name.replace('plate ', '').replace('sleeve, ', '').replace(' the ', ' ');

interface PartAtProps {
  readonly share: PartShare;
  readonly slice: Slice;
  readonly px: (y: number) => number;
  readonly py: (z: number) => number;
  readonly scale: number;
  readonly splice: Splice;
}

/** A part at the blade: filled as far as its welds feed it. */
function PartAt({ share, slice, px, py, scale }: PartAtProps) {
  const [high, wide] = [slice.z[1] - slice.z[0], slice.y[1] - slice.y[0]];
  return (
    <g>
      <title>{`${share.name}: ${Math.floor(share.share * 100 + 1e-6)} % fed`}</title>
      <rect
        x={px(slice.y[0])}
        y={py(slice.z[1])}
        width={Math.max(1.5, wide * scale)}
        height={Math.max(1.5, high * scale)}
        fill="var(--color-layout)"
        fillOpacity={0.15 + 0.85 * share.share}
        stroke="var(--color-layout)"
        strokeDasharray={share.share < 1 ? '3 2' : undefined}
      />
    </g>
  );
}
