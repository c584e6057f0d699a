import {
  finer,
  formatLength,
  judgeReading,
  observationOf,
  readOf,
  type Side,
  SIDES,
  sideSign,
  type Stage,
  type Vec3,
} from '@splay/core';
import { SvgLength } from '../../board/svg-length.tsx';
import { toPx } from '../../board/view.ts';
import type { PictureProps } from '../../client/picture-props.ts';
import { INKS, selectedLine, lookOf, type ReadLine, readLines } from './lines.ts';
import { HalfLadders, NextArrow, WholeLadder } from './half-ladders.tsx';
import { useStage } from './stage-choice.tsx';
import { usePushed, useTrueUp } from './use-true-up.ts';

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
  const found = usePushed(props, stage);
  const lines = pushedLines(readLines(props, stage), found, stage, job);
  const hand = selectedLine(lines, selected);
  const { width, height } = tray;
  const rails: Readonly<Record<Side, number>> = { left: HEIGHTS, right: height - HEIGHTS };
  const { survey } = useTrueUp(props, stage);
  const nominal = survey.state === 'nothing-read' ? null : survey.nominal;
  const frame = stage === 'before-cut' || showBefore ? donor : result;
  const px = (x: number) => toPx(view, x);
  const shownHalves = found && !showBefore ? found : null;
  // Without a loose half the whole frame is one ladder, where the readings say that it lies.
  const shownPoints = shownHalves?.points ?? (survey.state === 'held' && !showBefore ? survey.points : null);
  const large = TIMES * view.scale;
  /** Where a point is drawn: its place on the frame, and off that as far as the readings say, drawn large. */
  const drawn = (id: string): Drawn | null => {
    const target = shownPoints && nominal?.[id];
    const is = shownPoints?.[id];
    if (!target || !is) return null;
    return [
      px(target.x) + (is.x - target.x) * large,
      rails[target.y < 0 ? 'left' : 'right'] + (is.y - target.y) * large,
    ];
  };
  const ids = new Map(Object.entries(nominal ?? {}).map(([id, at]) => [keyOf(at), id]));
  const xy = (end: Vec3): Drawn => drawn(ids.get(keyOf(end)) ?? '') ?? [px(end.x), rails[end.y < 0 ? 'left' : 'right']];
  const tapes = lines.filter(({ control }) => control.kind !== 'height');
  const heights = lines.filter(({ control }) => control.kind === 'height');
  const points = new Map(lines.flatMap(({ ends }) => ends ?? []).map((end) => [keyOf(end), end]));
  return (
    <svg width={width} height={height} role="group" aria-label="Readings of the frame, seen from above">
      {SIDES.map((side) => (
        <g key={side}>
          {frame.tape.spans.map((span) => (
            <rect
              key={span.piece}
              x={px(span.builtFrom)}
              y={rails[side] - 6}
              width={Math.max(0, px(span.builtTo) - px(span.builtFrom))}
              height={12}
              fill={span.kind === 'new' ? 'url(#hatch-new)' : shownPoints ? 'none' : 'var(--color-steel)'}
              stroke={
                span.kind === 'new'
                  ? 'var(--color-layout)'
                  : shownHalves
                    ? 'var(--color-pencil)'
                    : 'var(--color-graphite)'
              }
              strokeWidth={shownPoints ? 1 : 1.2}
              strokeDasharray={shownPoints ? '5 4' : undefined}
            />
          ))}
          <text x={10} y={side === 'left' ? 16 : height - 8} className="label" fontSize={12} fill="var(--color-pencil)">
            {side} rail
            {side === 'left' && ` · errors ×${TIMES}`}
          </text>
        </g>
      ))}
      {!shownHalves && shownPoints && <WholeLadder points={shownPoints} drawn={drawn} />}
      {shownHalves && <HalfLadders found={shownHalves} {...{ drawn, rails, large }} picture={props} />}
      {tapes.map((line) => (
        <TapeLine key={line.control.measurement.id} line={line} at={line === hand} xy={xy} onSelect={onSelect} />
      ))}
      {[...points].map(([key, end]) => (
        <circle
          key={key}
          cx={xy(end)[0]}
          cy={xy(end)[1]}
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
          <Amount key={line.control.measurement.id} line={line} xy={xy} format={job.display} at={line === hand} />
        ))}
      {shownHalves && <NextArrow found={shownHalves} {...{ drawn, rails, px }} picture={props} />}
      {lines.length === 0 && (
        <text x={width / 2} y={height / 2} textAnchor="middle" fontSize={15} fill="var(--color-pencil)">
          No control measurements yet.
        </text>
      )}
    </svg>
  );
}

/** Where something is drawn, px. */
type Drawn = readonly [x: number, y: number];

const keyOf = ({ x, y }: Vec3): string => `${x.toFixed(1)}/${Math.sign(y)}`;

/** The lines as they would read with the loose half pushed as far as it is. */
const pushedLines = (
  lines: readonly ReadLine[],
  found: ReturnType<typeof usePushed>,
  stage: Stage,
  { rules, display }: PictureProps['job'],
): readonly ReadLine[] =>
  found?.pushed
    ? lines.map((line) => {
        if (line.control.ends.built === null) return line;
        const value = readOf(found.points, observationOf(line.control, 0, rules));
        return { ...line, judged: judgeReading(line.control, { stage, value }, rules, display) };
      })
    : lines;

interface LineProps {
  readonly line: ReadLine;
  readonly at: boolean;
  readonly onSelect: (id: string) => void;
}

/** A tape between two points; lengths are drawn beside their rail, so that the rail stays seen. */
function TapeLine({ line, at, xy, onSelect }: LineProps & { readonly xy: (end: Vec3) => Drawn }) {
  const { control, ends } = line;
  if (!ends || ends.length < 2) return null;
  const [a, b] = ends as [Vec3, Vec3];
  const beside = control.kind === 'length' ? -sideSign(a.y < 0 ? 'left' : 'right') * 13 : 0;
  const [[x1, y1], [x2, y2]] = [xy(a), xy(b)];
  const d = `M${x1} ${y1 + beside}L${x2} ${y2 + beside}`;
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
        [xy(a), xy(b)].map(([x, y], index) => (
          <circle key={index} cx={x} cy={y + beside} r={8} fill="none" stroke={ink} strokeWidth={2.2} />
        ))}
    </g>
  );
}

/** By how much a tape is off, on its line; of the one at hand what it should read. */
function Amount({
  line,
  xy,
  format,
  at,
}: Omit<LineProps, 'onSelect'> & {
  readonly xy: (end: Vec3) => Drawn;
  readonly format: PictureProps['job']['display'];
}) {
  const { control, ends, judged, target } = line;
  if (!ends || ends.length < 2) return null;
  const [a, b] = ends as [Vec3, Vec3];
  // A third along: where diagonals cross nothing can be read.
  const share = control.kind === 'diagonal' ? 0.36 : 0.5;
  const beside = control.kind === 'length' ? -sideSign(a.y < 0 ? 'left' : 'right') * 13 : 0;
  const [[x1, y1], [x2, y2]] = [xy(a), xy(b)];
  const [x, y] = [x1 + share * (x2 - x1), y1 + share * (y2 - y1) + beside];
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
}: LineProps & {
  readonly px: (x: number) => number;
  readonly scale: number;
  readonly rails: Readonly<Record<Side, number>>;
}) {
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
