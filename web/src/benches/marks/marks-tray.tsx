import { layLabels, type CutLine, dotted, lengthText, markSheet, type Side, SIDES } from '@splay/core';
import { useMemo } from 'react';
import { lengthWidth, SvgLength } from '../../board/svg-length.tsx';
import { toPx } from '../../board/view.ts';
import type { PictureProps } from '../../client/picture-props.ts';
import { mainFigure } from './cut-lines.ts';

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
            {bandName(6, top + fold / 2, 'top')}
            {bandName(6, top + fold + web / 2, 'web')}
            {bandName(6, top + fold + web + fold / 2, 'bottom')}
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
            <Lines {...props} lines={lines} depth={used.depth} band={bands[side]} />
          </g>
        );
      })}
      <text x={10} y={height - 10} className="label" fontSize={12} fill="var(--color-pencil)">
        {scaleWords(per / view.scale)}
      </text>
      {sheet.lines.length === 0 && (
        <text x={width / 2} y={height / 2} textAnchor="middle" fontSize={15} fill="var(--color-pencil)">
          Nothing to mark yet: the plan cuts nothing.
        </text>
      )}
    </svg>
  );
}

/** The note on a drawing whose heights and lengths have different scales; empty where they have the same. */
const scaleWords = (ratio: number): string =>
  Math.abs(ratio - 1) < 0.02 ? '' : `heights drawn ${ratio.toFixed(ratio < 10 ? 1 : 0)} × as large as lengths`;

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

/** A line in words: where it is along each edge that it crosses. */
const titleOf = ({ letters, from }: CutLine, display: PictureProps['job']['display']): string =>
  `${letters}: ${(
    [
      [from.top, 'top edge'],
      [from.web, 'web'],
      [from.bottom, 'bottom edge'],
    ] as const
  )
    .flatMap(([mm, along]) => (mm === null ? [] : [`${lengthText(mm, display)} along the ${along}`]))
    .join(', ')}`;

/** How wide the blade's side is hatched, px. */
const KERF = 7;

/** A line on the unfolded rail: across the flanges and down the web, or what of that a line of a step runs over. */
function linePath(line: CutLine, depth: number, px: (fromDatum: number) => number, { top, flange, web }: Band): string {
  const x = px(line.from.level);
  const [webTop, webFoot] = [top + flange, top + flange + web];
  const step = webFoot - ((line.height ?? 0) / depth) * web;
  switch (line.part) {
    case 'across': {
      const out = line.runsOut === null ? null : webTop + (line.runsOut / depth) * web;
      const lean = line.lean * (px(1) - px(0));
      // A line that runs out of the end of the rail ends there, at the station where the rail does.
      if (out !== null)
        return line.from.top === null ? `M${x} ${out}V${webFoot + flange}` : `M${x} ${top}V${webTop}L${x} ${out}`;
      return `M${x} ${top}V${webTop}L${x + lean} ${webFoot}V${webFoot + flange}`;
    }
    case 'upper vertical':
      return `M${x} ${top}V${step}`;
    case 'lower vertical':
      return `M${x} ${step}V${webFoot + flange}`;
    case 'horizontal':
      return `M${x} ${step}H${px(line.from.level + (line.to ?? 0) - (line.from.web ?? 0))}`;
  }
}

/** The lines on one rail, each with its letter and what it is marked by. */
function Lines({
  lines,
  depth,
  band,
  view,
  datum,
  job,
  selected,
  onSelect,
}: PictureProps & {
  readonly lines: readonly CutLine[];
  /** Of the rail, mm. */
  readonly depth: number;
  readonly band: Band;
}) {
  const { top, flange, web } = band;
  const px = (fromDatum: number) => toPx(view, datum + fromDatum);
  const places = lines.map((line) => {
    const width = line.letters.length * 8 + 12 + lengthWidth(mainFigure(line).mm, job.display, 16);
    return { x: px(line.from.level), width };
  });
  const labels = layLabels(
    places.map(({ x, width }) => ({ middle: x, width })),
    1,
    0,
  );
  return (
    <>
      {lines.map((line, index) => {
        const { x, width } = places[index] ?? { x: 0, width: 0 };
        const chosen = selected === line.operation.id;
        const path = linePath(line, depth, px, band);
        const side = line.kerf === 'ahead' ? -1 : line.kerf === 'behind' ? 1 : 0;
        const isAcross = line.part === 'across' && line.runsOut === null;
        const [webTop, webFoot] = [top + flange, top + flange + web];
        const label = labels[index]?.x ?? x;
        return (
          <g
            key={`${line.letters}${line.kerf}${line.part}`}
            className="cursor-pointer"
            onClick={() => onSelect(line.operation.id)}
          >
            <title>{titleOf(line, job.display)}</title>
            {side !== 0 && isAcross && (
              <path
                d={`${path}h${side * KERF}V${webFoot}L${x + side * KERF} ${webTop}V${top}Z`}
                fill="url(#hatch-cut)"
                stroke="none"
              />
            )}
            <path d={path} fill="none" stroke="var(--color-layout)" strokeWidth={chosen ? 3 : 1.9} />
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
              <SvgLength mm={mainFigure(line).mm} format={job.display} />
            </text>
          </g>
        );
      })}
    </>
  );
}
