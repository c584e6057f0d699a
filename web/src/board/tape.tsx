import { layLabels, inches, type LengthFormat, type Tape } from '@splay/core';
import { drawnPx } from './line-path.ts';
import { memoized } from '../ui/memoized.ts';
import { lengthWidth, SvgLength } from './svg-length.tsx';
import { multiples, outermost, type TickStep, tickStep } from './ticks.ts';
import type { View } from '../client/picture-props.ts';
import { TAPE_HEIGHT } from './strips.ts';
import { toPx } from './view.ts';

interface TapeStripProps {
  readonly tape: Tape;
  readonly view: View;
  readonly format: LengthFormat;
  /** Station of the datum hole on the donor and on the built frame: each edge counts from its own. */
  readonly zero: { readonly donor: number; readonly built: number };
  readonly y: number;
  /** The donor alone is shown: one edge says it all. */
  readonly alone: boolean;
}

const HALF = TAPE_HEIGHT / 2;

const figure = (mm: number, format: LengthFormat): string =>
  String(Math.round(format.unit === 'in' ? mm / inches(1) : mm)).replace('-', '−');

/**
 * The two-sided tape: its upper edge reads the donor, its lower edge the built frame, both from the datum hole.
 * Where steel is added the donor edge parts; where steel is taken out it folds, and says how much is in the fold. The
 * donor alone has the lower edge only.
 */
export function TapeStrip({ tape, view, format, zero, y, alone }: TapeStripProps) {
  const scale = { view, format, datum: zero.built, step: tickStep(view.scale, format) };
  const onDonor = { ...scale, datum: zero.donor };
  const px = (x: number) => toPx(view, x);
  const spans = tape.spans;
  const [first, last] = [spans[0], spans[spans.length - 1]];
  const folds = [...tape.folds].sort((a, b) => a.builtX - b.builtX);
  const labels = layLabels(
    folds.map((fold) => {
      const width = lengthWidth(fold.donorFrom - fold.donorTo, format, 13);
      const before = tape.spans.some(({ kind, builtFrom }) => kind === 'new' && Math.abs(builtFrom - fold.builtX) < 1);
      return { middle: px(fold.builtX) + (before ? -1 : 1) * (12 + width / 2), width };
    }),
    3,
    4,
  );
  if (!first || !last) return null;

  return (
    <g className="font-label" aria-hidden="true">
      <Bed width={view.width} y={y} alone={alone} />

      {(alone ? [] : spans).map((span) => {
        if (span.donorFrom === null || span.donorTo === null) {
          return (
            <g key={`n${span.piece}`} transform={`translate(${px(span.builtFrom)})`}>
              <NewStretch mm={span.builtTo - span.builtFrom} {...{ view, format, y }} />
            </g>
          );
        }
        return (
          <DonorEdge
            key={`d${span.piece}`}
            {...marked(span.donorFrom, span.donorTo, onDonor)}
            shift={span.builtFrom - span.donorFrom}
            y={y}
            {...onDonor}
          />
        );
      })}
      <BuiltEdge from={first.builtFrom} to={last.builtTo} y={y + TAPE_HEIGHT} {...scale} />

      {folds.map((fold, index) => {
        const x = px(fold.builtX);
        const label = labels[index] ?? { x, lane: 0 };
        return (
          <Fold
            key={`${fold.operation}-${fold.donorFrom}`}
            x={x}
            y={y}
            labelX={label.x}
            lane={label.lane}
            mm={fold.donorFrom - fold.donorTo}
            format={format}
          />
        );
      })}

      <Names y={y} alone={alone} />
    </g>
  );
}

interface BedProps {
  readonly width: number;
  readonly y: number;
  readonly alone: boolean;
}

/** The tape without anything on it. */
const Bed = memoized(function Bed({ width, y, alone }: BedProps) {
  return (
    <>
      <rect x={0} y={y} width={width} height={TAPE_HEIGHT} fill="var(--color-sheet)" />
      <path d={`M0 ${y}H${width}M0 ${y + TAPE_HEIGHT}H${width}`} stroke="var(--color-graphite)" strokeWidth={1.5} />
      {!alone && <path d={`M0 ${y + HALF}H${width}`} stroke="var(--color-rule)" />}
    </>
  );
});

/** Which edge is which, over everything else on it. */
const Names = memoized(function Names({ y, alone }: Omit<BedProps, 'width'>) {
  return (
    <>
      {!alone && <rect x={0} y={y + 1} width={44} height={14} fill="var(--color-sheet)" />}
      <rect x={0} y={y + TAPE_HEIGHT - 14} width={alone ? 44 : 38} height={14} fill="var(--color-sheet)" />
      {!alone && (
        <text x={5} y={y + 11} fontSize={12} fontWeight={600} letterSpacing="0.06em" fill="var(--color-pencil)">
          DONOR
        </text>
      )}
      <text
        x={5}
        y={y + TAPE_HEIGHT - 4}
        fontSize={12}
        fontWeight={600}
        letterSpacing="0.06em"
        fill="var(--color-graphite)"
      >
        {alone ? 'DONOR' : 'BUILT'}
      </text>
    </>
  );
});

interface NewStretchProps {
  readonly mm: number;
  readonly view: View;
  readonly format: LengthFormat;
  /** Upper edge of the tape, px. */
  readonly y: number;
}

/** Where steel is added: no donor edge, and how much it is. */
const NewStretch = memoized(function NewStretch({ mm, view, format, y }: NewStretchProps) {
  const wide = mm * view.scale;
  const room = lengthWidth(mm, format, 13, 1) + 4;
  return (
    <>
      <rect y={y} width={wide} height={HALF} fill="url(#hatch-new)" />
      <rect x={(wide - room) / 2} y={y + 5} width={room} height={18} fill="var(--color-layout)" />
      <text
        x={wide / 2}
        y={y + 14}
        dy="0.34em"
        textAnchor="middle"
        fontSize={13}
        fontWeight={600}
        fill="var(--color-sheet)"
      >
        <SvgLength mm={mm} format={format} signed />
      </text>
    </>
  );
});

interface FoldProps {
  /** Where it is, and where the middle of its figure stands, px. */
  readonly x: number;
  readonly y: number;
  readonly labelX: number;
  /** How many figures stand under its own. */
  readonly lane: number;
  /** What is in it. */
  readonly mm: number;
  readonly format: LengthFormat;
}

/** Where steel is taken out the tape is folded, and how much is in the fold stands over it. */
const Fold = memoized(function Fold({ x, y, labelX, lane, mm, format }: FoldProps) {
  return (
    <g>
      <path
        d={`M${x - 9} ${y - 12}L${x} ${y + HALF}L${x + 9} ${y - 12}Z`}
        fill="url(#hatch-cut)"
        stroke="var(--color-oxide)"
      />
      <text
        x={labelX}
        y={y - 4 - lane * 15}
        textAnchor="middle"
        fontSize={13}
        fontWeight={600}
        fill="var(--color-oxide)"
        stroke="var(--color-paper)"
        strokeWidth={3}
        paintOrder="stroke"
      >
        <SvgLength mm={mm} format={format} />
      </text>
    </g>
  );
});

const isMajor = (at: number, major: number): boolean => Math.abs(at / major - Math.round(at / major)) < 1e-6;

/** What the marks of both edges are laid out by. */
interface Scale {
  readonly view: View;
  readonly format: LengthFormat;
  readonly datum: number;
  readonly step: TickStep;
}

interface EdgeProps extends Scale {
  /** The stretch that is marked, mm, on the side that the edge reads. */
  readonly from: number;
  readonly to: number;
  /** Where its marks stand, px. */
  readonly y: number;
}

/** From the first to the last mark of a stretch: it looks the same until one of them passes its end. */
function marked(from: number, to: number, { datum, step }: Scale) {
  const [first, last] = outermost(from - datum, to - datum, step.minor);
  return { from: first + datum, to: last + datum };
}

/** The upper edge over one stretch of donor steel, `shift` mm from where it was. */
const DonorEdge = memoized(function DonorEdge({ shift, y, ...edge }: EdgeProps & { readonly shift: number }) {
  return (
    <g className="text-pencil" stroke="currentColor">
      <Ticks {...edge} shift={shift} y={y} up={false} />
      <Figures marks={figuresOf({ ...edge, shift })} y={y + 24} fontSize={12} fontWeight={600} />
    </g>
  );
});

/** The lower edge, the whole built frame long. */
const BuiltEdge = memoized(function BuiltEdge({ y, ...edge }: EdgeProps) {
  return (
    <g className="text-graphite" stroke="currentColor">
      <Ticks {...edge} shift={0} y={y} up />
      <Figures marks={figuresOf({ ...edge, shift: 0 })} y={y - HALF + 13} fontSize={14} fontWeight={600} />
    </g>
  );
});

type Stretch = Omit<EdgeProps, 'y'> & { readonly shift: number };

/** The figures that stand on the drawing: what each says, and where, px. */
function figuresOf({ from, to, datum, step, view, shift, format }: Stretch) {
  return multiples(from - datum, to - datum, step.major)
    .map((at) => ({ x: toPx(view, at + datum + shift), text: figure(at, format) }))
    .filter(({ x }) => x > -60 && x < view.width + 60);
}

interface FiguresProps {
  readonly marks: readonly { readonly x: number; readonly text: string }[];
  readonly y: number;
  readonly fontSize: number;
  readonly fontWeight: number;
}

const Figures = memoized(function Figures({ marks, ...common }: FiguresProps) {
  return marks.map(({ x, text }) => (
    <text key={text} x={x} textAnchor="middle" fill="currentColor" stroke="none" {...common}>
      {text}
    </text>
  ));
});

/** The marks of one edge of the tape, standing on the line or hanging from it: two paths, however many there are. */
function Ticks({
  from,
  to,
  datum,
  step,
  view,
  shift,
  y,
  up,
}: Omit<Stretch, 'format'> & { readonly y: number; readonly up: boolean }) {
  const [long, short] = up ? [-11, -6] : [11, 6];
  let [major, minor] = ['', ''];
  for (const at of multiples(from - datum, to - datum, step.minor)) {
    const start = `M${drawnPx(toPx(view, at + datum + shift))} ${y}`;
    if (isMajor(at, step.major)) major += `${start}v${long}`;
    else minor += `${start}v${short}`;
  }
  return (
    <>
      <path d={minor} strokeWidth={up ? 0.8 : 0.7} />
      <path d={major} strokeWidth={up ? 1.5 : 1.2} />
    </>
  );
}
