import {
  acrossFlange,
  datumStation,
  describeSection,
  type Feature,
  type LengthFormat,
  lengthText,
  partsOf,
  profileAt,
  railAt,
  type RailHere,
  railOf,
  type Section,
  type Side,
  SIDES,
  sidesOf,
  sideSign,
  widthOf,
} from '@splay/core';
import { Dimension } from '../../board/dimension.tsx';
import { SolidPart } from '../../board/solid-part.tsx';
import { SvgLength } from '../../board/svg-length.tsx';
import type { PictureProps } from '../../client/picture-props.ts';
import { Length } from '../../ui/length.tsx';
import { memoized } from '../../ui/memoized.ts';
import { useBlade } from '../../board/blade.tsx';

/** What hangs within this of the blade is listed beside the section, mm. */
const NEAR = 305;
/** Width of the list, px. */
const LIST = 264;

interface Near {
  readonly id: string;
  readonly name: string;
  readonly side: string;
  readonly x: number;
}

/** What hangs near the blade, the nearest first. */
function nearBlade({ job: { donor } }: PictureProps, blade: number): readonly Near[] {
  const things: readonly Near[] = [
    ...donor.features.map(({ id, name, side, x }) => ({ id, name, side, x })),
    ...donor.crossmembers.map(({ id, name, x }) => ({ id, name, side: 'across', x })),
  ];
  return things
    .filter(({ x }) => Math.abs(x - blade) <= NEAR)
    .sort((a, b) => Math.abs(a.x - blade) - Math.abs(b.x - blade));
}

/** The section at the cursor, both rails seen from behind, and what hangs near it. */
export function DonorTray(props: PictureProps) {
  const { job, tray, onSelect, selected, store } = props;
  const blade = useBlade(props);
  const near = nearBlade(props, blade);
  const wide = tray.width > 560;
  const fromDatum = blade - datumStation(job.donor);
  return (
    <div className="flex h-full">
      <SectionAt {...props} blade={blade} width={wide ? tray.width - LIST : tray.width} />
      {wide && <NearBlade {...{ near, blade, fromDatum, selected, onSelect, store }} format={job.display} />}
    </div>
  );
}

interface NearBladeProps extends Pick<PictureProps, 'store' | 'selected' | 'onSelect'> {
  readonly near: readonly Near[];
  /** Where it stands, donor station and from the datum, mm. */
  readonly blade: number;
  readonly fromDatum: number;
  readonly format: LengthFormat;
}

const NearBlade = memoized(function NearBlade({
  near,
  blade,
  fromDatum,
  format,
  store,
  selected,
  onSelect,
}: NearBladeProps) {
  return (
    <section
      aria-label="Near the cursor"
      className="shrink-0 overflow-y-auto border-l border-rule bg-sheet px-3 py-2"
      style={{ width: LIST }}
    >
      <h2 className="label">
        Near the cursor, at <Length mm={fromDatum} format={format} />
      </h2>
      {near.length === 0 && <p className="mt-1 text-sm text-pencil">Nothing hangs within a foot of it.</p>}
      <ul className="mt-1">
        {near.map(({ id, name, side, x }) => (
          <li key={id} className="border-b border-rule/60">
            <button
              type="button"
              className={`flex w-full items-baseline gap-2 py-1 text-left ${selected === id ? 'font-semibold text-layout' : ''}`}
              onClick={() => {
                store.setState({ blade: x });
                onSelect(id);
              }}
            >
              <span className="min-w-0 flex-1 truncate">{name}</span>
              <span className="text-sm whitespace-nowrap text-pencil">
                {side === 'both' ? '' : `${side}, `}
                {Math.abs(x - blade) < 0.4 ? (
                  'here'
                ) : (
                  <>
                    <Length mm={Math.abs(x - blade)} format={format} /> {x < blade ? 'ahead' : 'behind'}
                  </>
                )}
              </span>
            </button>
          </li>
        ))}
      </ul>
    </section>
  );
});

/** How far inboard of the web's outside something is fastened, mm: on a flange in the middle of it while nobody measured it. */
const inboardOf = (feature: Feature, section: Section): number =>
  acrossFlange(feature) ??
  (feature.face === 'web-outside' ? 0 : feature.face === 'web-inside' ? section.thickness : widthOf(section) / 2);

/** Room round the section, px. */
const ROOM = { top: 42, bottom: 46, beside: 84 };

/** Both rails cut at the blade, to scale, each where it stands across the frame; what lies between is drawn short. */
function SectionAt({ blade, width, ...props }: PictureProps & { readonly blade: number; readonly width: number }) {
  const { job, section, tray, selected } = props;
  const { height } = tray;
  const { donor, display } = job;
  const row = profileAt(props.donor.pieces, blade, section);
  if (!row)
    return (
      <p className="flex items-center justify-center px-8 text-center text-pencil" style={{ width }}>
        The frame does not reach the cursor: drag it back over the steel.
      </p>
    );
  const here = (side: Side): RailHere => railAt(railOf(donor.rails, side), blade);
  const [left, right] = [here('left'), here('right')];
  const depth = Math.max(section(left.section).depth, section(right.section).depth);
  const [top, low] = [
    Math.max(left.top, right.top),
    Math.min(left.top - section(left.section).depth, right.top - section(right.section).depth),
  ];
  const wide = Math.max(widthOf(section(left.section)), widthOf(section(right.section)));
  const scale = Math.max(
    0.05,
    Math.min((height - ROOM.top - ROOM.bottom) / Math.max(depth, top - low), (width * 0.26) / wide),
  );
  const z = (mm: number) => ROOM.top + (top - mm) * scale;
  // Left as seated is on the left of somebody who looks forward from behind.
  const outer = { left: Math.max(ROOM.beside, width * 0.16), right: Math.min(width - ROOM.beside, width * 0.84) };
  const inward = (side: Side, mm: number) => outer[side] - sideSign(side) * mm * scale;
  const at = donor.features.filter(
    (feature) => Math.abs(feature.x - blade) <= Math.max(feature.ahead, feature.behind, 3),
  );
  const crossmember = donor.crossmembers.find(({ x, length }) => Math.abs(x - blade) <= length / 2);
  return (
    <svg
      width={width}
      height={height}
      role="img"
      aria-label="The section at the cursor, seen from behind"
      className="shrink-0"
    >
      <text x={10} y={16} className="label" fontSize={12} fill="var(--color-pencil)">
        Section at the cursor, seen from behind
      </text>
      {crossmember && (
        <rect
          x={inward('left', widthOf(section(left.section)))}
          y={z(left.top - crossmember.below)}
          width={inward('right', widthOf(section(right.section))) - inward('left', widthOf(section(left.section)))}
          height={crossmember.depth * scale}
          fill="var(--color-bench)"
          stroke="var(--color-pencil)"
          strokeDasharray={crossmember.origin === 'assumed' ? '4 3' : undefined}
        />
      )}
      <path d={`M${width / 2} 26V${height - 30}`} stroke="var(--color-rule)" strokeDasharray="12 4 3 4" />
      {SIDES.map((side) => {
        const rail = here(side);
        const used = section(rail.section);
        return (
          <g key={side}>
            {partsOf(used).map((part, index) => (
              <SolidPart
                key={index}
                part={part}
                px={(mm) => inward(side, mm)}
                py={(mm) => z(rail.top - used.depth + mm)}
                scale={scale}
              />
            ))}
            <text
              x={outer[side] - sideSign(side) * -10}
              y={z(rail.top) + 4}
              textAnchor={side === 'left' ? 'end' : 'start'}
              fontSize={13}
              className="font-label"
              fill="var(--color-graphite)"
              fontWeight={600}
            >
              top <SvgLength mm={rail.top} format={display} />
            </text>
            <text
              x={outer[side] - sideSign(side) * -10}
              y={z(rail.top - used.depth)}
              textAnchor={side === 'left' ? 'end' : 'start'}
              fontSize={13}
              className="font-label"
              fill="var(--color-pencil)"
            >
              deep <SvgLength mm={used.depth} format={display} />
            </text>
            {at
              .filter((feature) => sidesOf(feature).includes(side))
              .map((feature) => (
                <FeatureAt
                  key={feature.id}
                  feature={feature}
                  x={inward(side, inboardOf(feature, used))}
                  y={z(rail.top - feature.down)}
                  chosen={feature.id === selected}
                />
              ))}
          </g>
        );
      })}
      <Dimension
        from={outer.left}
        to={outer.right}
        y={height - 14}
        mm={row.outsideWidth}
        format={display}
        before="outside"
        strong
      />
      <text
        x={width / 2}
        y={height - 32}
        textAnchor="middle"
        fontSize={13}
        className="font-label"
        fill="var(--color-pencil)"
      >
        {describeSection(section(left.section), (mm) => lengthText(mm, display))}
        {right.section !== left.section &&
          ` · right ${describeSection(section(right.section), (mm) => lengthText(mm, display))}`}
      </text>
    </svg>
  );
}

/** Something fastened at the blade: a bolt through its face. */
function FeatureAt({
  feature,
  x,
  y,
  chosen,
}: {
  readonly feature: Feature;
  readonly x: number;
  readonly y: number;
  readonly chosen: boolean;
}) {
  return (
    <g stroke={chosen ? 'var(--color-layout)' : 'var(--color-oxide)'} fill="none">
      <title>{feature.name}</title>
      <path d={`M${x - 8} ${y}h16`} strokeWidth={1.6} />
      <circle cx={x} cy={y} r={4} fill="var(--color-sheet)" strokeWidth={1.6} />
    </g>
  );
}
