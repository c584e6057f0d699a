import { type Job, type ShoringCut, quantityText, springText } from '@splay/core';
import type { CutMoment } from '../../client/job-store.ts';

interface KerfPictureProps {
  readonly cut: ShoringCut;
  /** The other cut of the same step, made after it. */
  readonly second: ShoringCut | undefined;
  readonly moment: CutMoment;
  readonly size: { readonly width: number; readonly height: number };
  readonly job: Job;
}

/** Width of a saw's kerf on the picture, and how far an end is turned or dropped at the most, px. */
const KERF = 10;
const MOST = 24;
/** How far the parts lie apart at the last moment, px. */
const APART = 90;

/** One kerf, large: which side closes and by how much, where to begin, where the last of it is, and which end goes down. */
export function KerfPicture({ cut, second, moment, size, job }: KerfPictureProps) {
  const { width, height } = size;
  const { kerf, advice, name, depth, tied } = cut;
  const [top, middle] = [Math.max(66, height * 0.27), width / 2];
  const rail = Math.min(118, height - top - 58);
  const bottom = top + rail;
  const loose = moment === 'through' || moment === 'apart';
  const turn = kerf.opens ?? 0;
  const step = kerf.step ?? 0;
  // Turned and dropped as far as can be seen: so many times as much as it is.
  const times = Math.floor(
    Math.min(
      200,
      MOST / Math.max(1e-3, (Math.abs(turn) / 2) * (rail / depth)),
      MOST / Math.max(1e-3, Math.abs(step) * (rail / depth)),
    ),
  );
  const px = (mm: number) => mm * (rail / depth) * times;
  const gap = loose ? (moment === 'apart' ? APART : KERF) : KERF;
  /** How far each face leans: half of what the kerf opens, at top and bottom. */
  const lean = loose ? px(turn) / 4 : 0;
  const down = loose ? px(step) / 2 : 0;
  const cutTo = moment === 'standing' ? 0 : moment === 'half cut' ? 0.5 : 1;
  const fromTop = advice.begin !== 'bottom';
  const [kerfTop, kerfBottom] = fromTop ? [top, top + rail * cutTo] : [bottom - rail * cutTo, bottom];
  const show = (mm: number) => springText(mm, job);
  const end = (sign: -1 | 1) => {
    const face = middle + (sign * gap) / 2;
    const y = -sign * down * (sign === 1 ? -1 : -1);
    const far = sign === -1 ? 0 : width;
    return `M${far} ${top + y}L${face + sign * lean} ${top + y}L${face - sign * lean} ${bottom + y}L${far} ${bottom + y}Z`;
  };
  const before = kerf.before;
  return (
    <svg
      width={width}
      height={height}
      role="img"
      aria-label={`Cut ${name}: ${spoken(cut, show)}`}
      className="shrink-0"
      fontSize={13}
    >
      <text x={10} y={18} className="label" fontSize={13} fill="var(--color-pencil)">
        {`Cut ${name}, left rail from outside`}
        {loose && times > 1 && (turn !== 0 || step !== 0) ? ` · turned and dropped ×${times}` : ''}
      </text>
      {before && !loose && (
        <text x={10} y={36} fill="var(--color-graphite)">
          {`In the steel there: ${quantityText('moment', Math.abs(before.moment), job.display.unit)}, ${
            advice.pinches === 'neither' ? 'as good as nothing' : before.moment > 0 ? 'sagging' : 'humped (hog)'
          }`}
        </text>
      )}
      <g fill="var(--color-steel)" stroke="var(--color-graphite)" strokeWidth={1.6}>
        {loose ? (
          <>
            <path d={end(-1)} />
            <path d={end(1)} />
          </>
        ) : (
          <path d={`M0 ${top}H${width}M0 ${bottom}H${width}`} fill="none" />
        )}
        {!loose && <rect x={0} y={top} width={width} height={rail} stroke="none" />}
        {!loose && <path d={`M0 ${top}H${width}M0 ${bottom}H${width}`} fill="none" />}
      </g>
      {!loose && (
        <g>
          <path d={`M${middle} ${top - 8}V${bottom + 8}`} stroke="var(--color-oxide)" strokeDasharray="5 3" />
          {cutTo > 0 && (
            <rect
              x={middle - KERF / 2}
              y={kerfTop}
              width={KERF}
              height={kerfBottom - kerfTop}
              fill="var(--color-paper)"
              stroke="var(--color-oxide)"
            />
          )}
          {advice.last !== 'either' && (
            <rect
              x={middle - 16}
              y={advice.last === 'top' ? top : bottom - 20}
              width={32}
              height={20}
              fill="url(#hatch-cut)"
              stroke="var(--color-oxide)"
            />
          )}
          <Words
            x={middle}
            anchor="middle"
            y={fromTop ? top - 12 : bottom + 22}
            ink="var(--color-layout)"
            text={
              !before
                ? 'nothing holds the frame yet: where to begin is not known'
                : advice.begin === 'either'
                  ? 'begin on either side'
                  : `begin here, at the ${advice.begin}`
            }
          />
          {advice.last !== 'either' && (
            <Words
              x={middle}
              anchor="middle"
              y={advice.last === 'top' ? top - 12 : bottom + 22}
              ink="var(--color-oxide)"
              text={`leave the last here: it closes at the ${advice.last}`}
            />
          )}
        </g>
      )}
      {loose && (
        <g>
          {advice.pinches !== 'neither' && kerf.opens !== null && moment === 'through' && (
            <>
              <Pinch x={middle} y={advice.pinches === 'top' ? top - 12 : bottom + 12} gap={gap} />
              <Words
                x={middle}
                anchor="middle"
                y={advice.pinches === 'top' ? top - 24 : bottom + 34}
                ink="var(--color-oxide)"
                text={`closes ${show(Math.abs(turn) / 2)} at the ${advice.pinches}`}
              />
            </>
          )}
          {kerf.opens === null && (
            <Words
              x={middle}
              y={bottom + 22}
              ink="var(--color-oxide)"
              anchor="middle"
              text={tied.length > 0 ? `held by ${tied.join(' and ')}` : fallWords(cut)}
            />
          )}
          {advice.drops && advice.drops.by !== null && Math.abs(advice.drops.by) > 1e-3 && (
            <Words
              x={advice.drops.side === 'front' ? middle - 30 : middle + 30}
              y={advice.pinches === 'top' ? bottom + 24 : top - 12}
              ink="var(--color-graphite)"
              anchor={advice.drops.side === 'front' ? 'end' : 'start'}
              text={`${advice.drops.side} end ${show(advice.drops.by)} lower`}
            />
          )}
        </g>
      )}
      {second?.kerf.before && (
        <text x={10} y={height - 10} fill="var(--color-pencil)">
          {`then cut ${second.name}: ${second.advice.pinches === 'neither' ? 'it neither closes nor opens' : `it closes at the ${second.advice.pinches}: begin at the ${second.advice.begin}`}`}
        </text>
      )}
      <text x={width - 8} y={18} textAnchor="end" fill="var(--color-pencil)" className="label">
        rear →
      </text>
    </svg>
  );
}

const fallWords = ({ kerf }: ShoringCut): string => {
  const side = kerf.front.state === 'stays' ? kerf.rear : kerf.front;
  const name = side === kerf.rear ? 'the rear side' : 'the front side';
  if (side.state === 'falls') return `nothing holds ${name}: it falls`;
  return side.state === 'balances' ? `${name} only balances` : `${name} goes ${side.over ?? 'rear'} end down`;
};

/** The picture in words. */
function spoken(cut: ShoringCut, show: (mm: number) => string): string {
  const { advice, kerf } = cut;
  const parts = [
    advice.pinches === 'neither'
      ? kerf.before
        ? 'it neither closes nor opens'
        : 'nothing holds the frame yet'
      : `it closes at the ${advice.pinches}${kerf.opens === null ? '' : ` by ${show(Math.abs(kerf.opens) / 2)}`}, begin at the ${advice.begin}`,
    ...(kerf.opens === null && cut.tied.length === 0 ? [fallWords(cut)] : []),
    ...(advice.drops?.by ? [`the ${advice.drops.side} end stands ${show(advice.drops.by)} lower`] : []),
  ];
  return parts.join('; ');
}

function Words({
  x,
  y,
  ink,
  text,
  anchor = 'start',
}: {
  readonly x: number;
  readonly y: number;
  readonly ink: string;
  readonly text: string;
  readonly anchor?: 'start' | 'middle' | 'end';
}) {
  return (
    <text x={x} y={y} fill={ink} fontWeight={600} textAnchor={anchor}>
      {text}
    </text>
  );
}

/** Two arrows that close on each other. */
function Pinch({ x, y, gap }: { readonly x: number; readonly y: number; readonly gap: number }) {
  const out = gap / 2 + 22;
  return (
    <path
      d={`M${x - out} ${y}H${x - 6}M${x - 12} ${y - 5}L${x - 6} ${y}L${x - 12} ${y + 5}M${x + out} ${y}H${x + 6}M${x + 12} ${y - 5}L${x + 6} ${y}L${x + 12} ${y + 5}`}
      stroke="var(--color-oxide)"
      strokeWidth={2.4}
      fill="none"
    />
  );
}
