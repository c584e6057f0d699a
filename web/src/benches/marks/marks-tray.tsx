import { type CutLine, dotted, lengthText, markSheet, type Side, SIDES, type SpliceLine } from '@splay/core';
import { useMemo } from 'react';
import { layLabels } from '../../board/lanes.ts';
import { lengthWidth, SvgLength } from '../../board/svg-length.tsx';
import { toPx } from '../../board/view.ts';
import type { PictureProps } from '../../client/picture-props.ts';

/** How the height of a rail's web goes into its unfolded bands: flanges are drawn as deep as they are to the web. */
const GAP = 30;

interface Band {
  readonly top: number;
  readonly flange: number;
  readonly web: number;
}

/** Both rails unfolded, in register with the tape: every line from the datum hole, the blade's side hatched. */
export function MarksTray(props: PictureProps) {
  const { job, result, view, tray, section, datum } = props;
  const sheet = useMemo(() => markSheet(job, result), [job, result]);
  const { height, width } = tray;
  const first = job.donor.sections[0];
  if (!first) return null;
  const used = section(first.id);
  const flange = 'flange' in used ? used.flange : 'width' in used ? used.width : used.depth / 3;
  const each = (height - 3 * GAP) / 2;
  const per = each / (used.depth + 2 * flange);
  const band = (top: number): Band => ({ top, flange: flange * per, web: used.depth * per });
  const bands: Readonly<Record<Side, Band>> = { left: band(GAP), right: band(2 * GAP + each) };
  const end = (x: number) => toPx(view, x);
  const [from, to] = [end(frontOf(props)), end(rearOf(props))];
  return (
    <svg width={width} height={height} role="img" aria-label="Both rails unfolded, with the lines to scribe">
      {SIDES.map((side) => {
        const { top, flange: fold, web } = bands[side];
        const lines = sheet.lines.filter((line) => line.side === side);
        return (
          <g key={side}>
            <rect
              x={from}
              y={top}
              width={to - from}
              height={2 * fold + web}
              fill="var(--color-steel)"
              stroke="var(--color-graphite)"
              strokeWidth={1.4}
            />
            <path
              d={`M${from} ${top + fold}H${to}M${from} ${top + fold + web}H${to}`}
              stroke="var(--color-graphite)"
              strokeDasharray="6 4"
              strokeWidth={0.9}
            />
            <text x={10} y={top - 9} className="label" fontSize={12} fill="var(--color-pencil)">
              {side} rail
            </text>
            {bandName(6, top + fold / 2, 'top flange')}
            {bandName(6, top + fold + web / 2, 'web')}
            {bandName(6, top + fold + web + fold / 2, 'bottom flange')}
            <path
              d={`M${end(datum)} ${top}V${top + 2 * fold + web}`}
              stroke="var(--color-graphite)"
              strokeWidth={1}
              strokeDasharray="10 3 2 3"
            />
            <circle
              cx={end(datum)}
              cy={top + fold + web / 2}
              r={4}
              fill="var(--color-paper)"
              stroke="var(--color-graphite)"
              strokeWidth={1.4}
            />
            <Lines
              {...props}
              lines={lines}
              splices={sheet.spliceLines.filter((line) => line.side === side)}
              depth={used.depth}
              band={bands[side]}
            />
          </g>
        );
      })}
      {sheet.lines.length === 0 && (
        <text x={width / 2} y={height / 2} textAnchor="middle" fontSize={15} fill="var(--color-pencil)">
          Nothing to mark yet: the plan cuts nothing.
        </text>
      )}
    </svg>
  );
}

const spans = ({ donor }: PictureProps) => donor.tape.spans;
const frontOf = (props: PictureProps): number => Math.min(...spans(props).map(({ builtFrom }) => builtFrom));
const rearOf = (props: PictureProps): number => Math.max(...spans(props).map(({ builtTo }) => builtTo));

const bandName = (x: number, y: number, name: string) => (
  <text
    x={x}
    y={y}
    dy="0.34em"
    fontSize={12}
    className="font-label"
    fill="var(--color-pencil)"
    stroke="var(--color-paper)"
    strokeWidth={3}
    paintOrder="stroke"
  >
    {name}
  </text>
);

/** How wide the blade's side is hatched, px. */
const KERF = 7;

/** The line that is cut where a joint is a step or an angled cut: across the top flange, down the web, across the bottom. */
function formPath(
  lines: readonly SpliceLine[],
  px: (fromDatum: number) => number,
  { top, flange, web }: Band,
  depth: number,
): string {
  const [upper, lower, horizontal] = lines;
  if (!upper || !lower) return '';
  const [webTop, webFoot] = [top + flange, top + flange + web];
  const [a, b] = [px(upper.from.level), px(lower.from.level)];
  const bottom = webFoot + flange;
  if (!horizontal) return `M${a} ${top}V${webTop}L${b} ${webFoot}V${bottom}`;
  return `M${a} ${top}V${webFoot - ((horizontal.height ?? 0) / depth) * web}H${b}V${bottom}`;
}

/** The lines on one rail, each with its letter and what it is marked by. */
function Lines({
  lines,
  splices,
  depth,
  band: { top, flange, web },
  view,
  datum,
  job,
  selected,
  onSelect,
}: PictureProps & {
  readonly lines: readonly CutLine[];
  readonly splices: readonly SpliceLine[];
  /** Of the rail, mm. */
  readonly depth: number;
  readonly band: Band;
}) {
  const places = lines.map(({ letters, from }) => {
    const width = letters.length * 8 + 12 + lengthWidth(from.top, job.display, 16);
    return { x: toPx(view, datum + from.level), width };
  });
  const labels = layLabels(
    places.map(({ x, width }) => ({ middle: x, width })),
    1,
    0,
  );
  const bottom = top + 2 * flange + web;
  return (
    <>
      {lines.map((line, index) => {
        const { x, width } = places[index] ?? { x: 0, width: 0 };
        const chosen = selected === line.operation.id;
        const lean = line.lean * view.scale;
        const [webTop, webFoot] = [top + flange, top + flange + web];
        const path = `M${x} ${top}V${webTop}L${x + lean} ${webFoot}V${bottom}`;
        const side = line.kerf === 'ahead' ? -1 : line.kerf === 'behind' ? 1 : 0;
        const label = labels[index]?.x ?? x;
        return (
          <g key={`${line.letters}${line.kerf}`} className="cursor-pointer" onClick={() => onSelect(line.operation.id)}>
            <title>{`${line.letters}: ${lengthText(line.from.top, job.display)} along the top edge, ${lengthText(line.from.web, job.display)} along the web, ${lengthText(line.from.bottom, job.display)} along the bottom edge`}</title>
            {line.instead !== null && (
              <path
                d={formPath(
                  splices.filter(({ letters }) => letters === line.letters),
                  (mm) => toPx(view, datum + mm),
                  { top, flange, web },
                  depth,
                )}
                fill="none"
                stroke="var(--color-layout)"
                strokeWidth={chosen ? 3 : 2.2}
              />
            )}
            {side !== 0 && line.instead === null && (
              <path
                d={`${path}h${side * KERF}V${webFoot}L${x + side * KERF} ${webTop}V${top}Z`}
                fill="url(#hatch-cut)"
                stroke="none"
              />
            )}
            <path
              d={path}
              fill="none"
              stroke="var(--color-layout)"
              strokeWidth={line.instead === null ? (chosen ? 3 : 1.9) : 0.9}
              strokeDasharray={line.instead === null ? undefined : '3 4'}
            />
            <path d={`M${label} ${top - 4}L${x} ${top}`} stroke="var(--color-layout)" strokeWidth={0.9} />
            <rect
              x={label - width / 2}
              y={top - 24}
              width={width}
              height={20}
              fill={chosen ? 'var(--color-layout-wash)' : 'var(--color-sheet)'}
              stroke="var(--color-layout)"
            />
            <text
              x={label}
              y={top - 14}
              dy="0.34em"
              textAnchor="middle"
              fontSize={16}
              fontWeight={600}
              className="font-label"
              fill="var(--color-graphite)"
            >
              <tspan fill="var(--color-layout)">{dotted(line.letters)}</tspan>{' '}
              <SvgLength mm={line.from.top} format={job.display} />
            </text>
          </g>
        );
      })}
    </>
  );
}
