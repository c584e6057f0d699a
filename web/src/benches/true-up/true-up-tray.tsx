import { finer, formatLength, type Side, SIDES, sideSign, type Vec3 } from '@splay/core';
import { SvgLength } from '../../board/svg-length.tsx';
import { toPx } from '../../board/view.ts';
import type { PictureProps } from '../../client/picture-props.ts';
import { INKS, lineAtHand, lookOf, type ReadLine, readLines } from './lines.ts';
import { useStage } from './stage-choice.tsx';

/** Room for heights over the left rail and under the right one, px. */
const HEIGHTS = 58;
/** How many times larger than it is an error is drawn. */
const TIMES = 20;

/**
 * The halves as ladders between their control points, in register with the tape; across, they are drawn wider than they
 * are. A right reading is a thin line, a wrong one a double line with its amount, one that is still to be taken dashed.
 * Heights hang on the rails as gauges, their error drawn twenty times as large.
 */
export function TrueUpTray(props: PictureProps) {
  const { job, result, donor, view, tray, selected, onSelect, showBefore } = props;
  const stage = useStage(props);
  const lines = readLines(props, stage);
  const hand = lineAtHand(lines, selected);
  const { width, height } = tray;
  const rails: Readonly<Record<Side, number>> = { left: HEIGHTS, right: height - HEIGHTS };
  const frame = stage === 'before-cut' || showBefore ? donor : result;
  const px = (x: number) => toPx(view, x);
  const py = ({ y }: Vec3) => rails[y < 0 ? 'left' : 'right'];
  const tapes = lines.filter(({ control }) => control.kind !== 'height');
  const heights = lines.filter(({ control }) => control.kind === 'height');
  const points = new Map(
    lines.flatMap(({ ends }) => ends ?? []).map((end) => [`${end.x.toFixed(1)}/${Math.sign(end.y)}`, end]),
  );
  return (
    <svg width={width} height={height} role="img" aria-label="Readings of the frame, seen from above">
      {SIDES.map((side) => (
        <g key={side}>
          {frame.tape.spans.map((span) => (
            <rect
              key={span.piece}
              x={px(span.builtFrom)}
              y={rails[side] - 6}
              width={Math.max(0, px(span.builtTo) - px(span.builtFrom))}
              height={12}
              fill={span.kind === 'new' ? 'url(#hatch-new)' : 'var(--color-steel)'}
              stroke={span.kind === 'new' ? 'var(--color-layout)' : 'var(--color-graphite)'}
              strokeWidth={1.2}
            />
          ))}
          <text x={10} y={side === 'left' ? 16 : height - 8} className="label" fontSize={12} fill="var(--color-pencil)">
            {side} rail
            {side === 'left' && ` · heights with their error ×${TIMES}`}
          </text>
        </g>
      ))}
      {tapes.map((line) => (
        <TapeLine
          key={line.control.measurement.id}
          line={line}
          at={line === hand}
          px={px}
          py={py}
          onSelect={onSelect}
        />
      ))}
      {[...points].map(([key, end]) => (
        <circle
          key={key}
          cx={px(end.x)}
          cy={py(end)}
          r={3.4}
          fill="var(--color-paper)"
          stroke="var(--color-graphite)"
          strokeWidth={1.3}
        />
      ))}
      {heights.map((line) => (
        <HeightGauge
          key={line.control.measurement.id}
          line={line}
          at={line === hand}
          px={px}
          rails={rails}
          scale={view.scale}
          onSelect={onSelect}
        />
      ))}
      {tapes
        .filter((line) => line === hand || lookOf(line) === 'wrong' || lookOf(line) === 'misread')
        .map((line) => (
          <Amount
            key={line.control.measurement.id}
            line={line}
            px={px}
            py={py}
            format={job.display}
            at={line === hand}
          />
        ))}
      {lines.length === 0 && (
        <text x={width / 2} y={height / 2} textAnchor="middle" fontSize={15} fill="var(--color-pencil)">
          No control measurements yet.
        </text>
      )}
    </svg>
  );
}

interface LineProps {
  readonly line: ReadLine;
  readonly at: boolean;
  readonly px: (x: number) => number;
  readonly onSelect: (id: string) => void;
}

/** A tape between two points; lengths are drawn beside their rail, so that the rail stays seen. */
function TapeLine({ line, at, px, py, onSelect }: LineProps & { readonly py: (end: Vec3) => number }) {
  const { control, ends } = line;
  if (!ends || ends.length < 2) return null;
  const [a, b] = ends as [Vec3, Vec3];
  const beside = control.kind === 'length' ? -sideSign(a.y < 0 ? 'left' : 'right') * 13 : 0;
  const d = `M${px(a.x)} ${py(a) + beside}L${px(b.x)} ${py(b) + beside}`;
  const look = lookOf(line);
  const ink = INKS[look];
  return (
    <g className="cursor-pointer" onClick={() => onSelect(control.measurement.id)}>
      <title>{control.name}</title>
      <path d={d} stroke="transparent" strokeWidth={14} />
      {look === 'wrong' || look === 'misread' ? (
        <>
          <path d={d} stroke={ink} strokeWidth={at ? 6 : 4.4} />
          <path d={d} stroke="var(--color-paper)" strokeWidth={at ? 2.4 : 1.8} />
        </>
      ) : (
        <path
          d={d}
          stroke={ink}
          strokeWidth={at ? 2.6 : 1.1}
          strokeDasharray={look === 'missing' ? '5 4' : undefined}
        />
      )}
      {at &&
        [a, b].map((end, index) => (
          <circle key={index} cx={px(end.x)} cy={py(end) + beside} r={8} fill="none" stroke={ink} strokeWidth={2.2} />
        ))}
    </g>
  );
}

/** By how much a tape is off, on its line; of the one at hand what it should read. */
function Amount({
  line,
  px,
  py,
  format,
  at,
}: Omit<LineProps, 'onSelect'> & {
  readonly py: (end: Vec3) => number;
  readonly format: PictureProps['job']['display'];
}) {
  const { control, ends, judged, target } = line;
  if (!ends || ends.length < 2) return null;
  const [a, b] = ends as [Vec3, Vec3];
  // A third along: where diagonals cross nothing can be read.
  const share = control.kind === 'diagonal' ? 0.36 : 0.5;
  const beside = control.kind === 'length' ? -sideSign(a.y < 0 ? 'left' : 'right') * 13 : 0;
  const [x, y] = [px(a.x + share * (b.x - a.x)), py(a) + share * (py(b) - py(a)) + beside];
  const off = judged && judged.verdict !== 'no-target' ? judged.off : null;
  const mm = off ?? target;
  if (mm === null) return null;
  const fine = off === null ? format : finer(format);
  const { sign, whole, fraction, nuance } = formatLength(mm, fine);
  const wide = 16 + (sign.length + 1 + whole.length) * 8 + fraction.length * 6 + nuance.length * 6;
  return (
    <g pointerEvents="none">
      <rect
        x={x - wide / 2}
        y={y - 11}
        width={wide}
        height={22}
        fill="var(--color-sheet)"
        stroke={INKS[lookOf(line)]}
        strokeWidth={at ? 1.8 : 1}
      />
      <text
        x={x}
        y={y}
        dy="0.34em"
        textAnchor="middle"
        fontSize={15}
        fontWeight={600}
        className="font-label"
        fill="var(--color-graphite)"
      >
        <SvgLength mm={mm} format={fine} signed={off !== null} />
        {nuance && <tspan fontSize={12}> {nuance}</tspan>}
      </text>
    </g>
  );
}

/** A height: a gauge that stands on its rail, the pointer off by the error drawn large. */
function HeightGauge({
  line,
  at,
  px,
  rails,
  scale,
  onSelect,
}: LineProps & { readonly scale: number; readonly rails: Readonly<Record<Side, number>> }) {
  const { control, ends, judged } = line;
  const end = ends?.[0];
  if (!end) return null;
  const side: Side = end.y < 0 ? 'left' : 'right';
  const zero = rails[side] + sideSign(side) * 26;
  const ink = INKS[lookOf(line)];
  const off = judged && judged.verdict !== 'no-target' ? judged.off : null;
  const y = off === null ? zero : zero - Math.max(-15, Math.min(15, off * TIMES * scale));
  const x = px(end.x);
  return (
    <g className="cursor-pointer" onClick={() => onSelect(control.measurement.id)}>
      <title>{control.name}</title>
      <rect x={x - 14} y={zero - 18} width={28} height={36} fill="transparent" />
      <path d={`M${x} ${zero - 15}V${zero + 15}M${x - 7} ${zero}h14`} stroke="var(--color-rule)" strokeWidth={1.2} />
      {off === null ? (
        <circle cx={x} cy={zero} r={at ? 6 : 4} fill="none" stroke={ink} strokeWidth={1.6} strokeDasharray="3 2" />
      ) : (
        <>
          <path d={`M${x} ${zero}V${y}`} stroke={ink} strokeWidth={at ? 4 : 2.6} />
          <circle cx={x} cy={y} r={at ? 6 : 3.6} fill={ink} />
        </>
      )}
    </g>
  );
}
