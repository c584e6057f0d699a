import type { Operation } from '@splay/core';
import type { ReactNode } from 'react';
import { Quantity } from '../../../ui/quantity.tsx';
import { cut, degrees, fresh, H, lengthsOf, note, SketchFigure, type SketchOf, steel, W } from './sketch-figure.tsx';

const [TOP, HEIGHT] = [24, 44];

type LengthKind = Extract<Operation, { kind: 'shorten' | 'lengthen' | 'extend' }>['kind'];

/** Rail taken out or put in: the piece itself, and why its ends meet or not. */
export function LengthSketch({ operation, figures, job }: SketchOf<LengthKind>) {
  const { one, each } = lengthsOf(job);
  const mass = (kg: number) => <Quantity of="mass" value={kg} unit={job.display.unit} />;
  if (figures.kind === 'shorten') {
    const { out, scrap, halfWidths, transition } = figures;
    const shown: [string, ReactNode][] = [
      ['comes out of each rail, along its top', each(out)],
      ['the piece, after both saw cuts', each(scrap)],
      ['weighs, both rails', mass(figures.mass)],
      [
        'half-width ahead, and behind',
        <>
          {one(halfWidths.ahead)}, {one(halfWidths.behind)}
        </>,
      ],
      ...(transition
        ? ([
            ['the new piece', each(transition.length)],
            ['turns the rail by', degrees(transition.turn)],
          ] satisfies [string, ReactNode][])
        : []),
    ];
    if (transition) return <TransitionSketch figures={shown} />;
    return (
      <SketchFigure name="Rail taken out, seen from the side" figures={shown}>
        <rect x={12} y={TOP} width={78} height={HEIGHT} {...steel} />
        <rect x={90} y={TOP} width={84} height={HEIGHT} {...cut} />
        <rect x={174} y={TOP} width={W - 186} height={HEIGHT} {...steel} />
        <path
          d={`M174 ${TOP + HEIGHT + 12}H98M104 ${TOP + HEIGHT + 8}l-8 4l8 4`}
          fill="none"
          stroke="var(--color-layout)"
          strokeWidth={1.4}
        />
        <text x={132} y={TOP - 8} textAnchor="middle" {...note}>
          the rear comes forward
        </text>
      </SketchFigure>
    );
  }
  const shown: [string, ReactNode][] = [
    ['new rail, along its top', each(figures.each)],
    ['weighs, both', mass(figures.mass)],
    ...(figures.off > 0 ? ([['comes off the old end', one(figures.off)]] satisfies [string, ReactNode][]) : []),
  ];
  if (operation.kind === 'extend')
    return (
      <SketchFigure
        name="New end of the frame, seen from the side"
        mirrored={operation.end === 'front'}
        figures={shown}
      >
        <rect x={12} y={TOP} width={150} height={HEIGHT} {...steel} />
        <rect x={162} y={TOP} width={W - 174} height={HEIGHT} {...fresh} />
      </SketchFigure>
    );
  return (
    <SketchFigure name="Rail put in, seen from the side" figures={shown}>
      <rect x={12} y={TOP} width={78} height={HEIGHT} {...steel} />
      <rect x={90} y={TOP} width={84} height={HEIGHT} {...fresh} />
      <rect x={174} y={TOP} width={W - 186} height={HEIGHT} {...steel} />
      <path
        d={`M90 ${TOP + HEIGHT + 12}H166M160 ${TOP + HEIGHT + 8}l8 4l-8 4`}
        fill="none"
        stroke="var(--color-layout)"
        strokeWidth={1.4}
      />
      <text x={132} y={TOP - 8} textAnchor="middle" {...note}>
        the rear goes back
      </text>
    </SketchFigure>
  );
}

/** Two ends that do not meet, seen from above, and the oblique new piece that joins them. */
function TransitionSketch({ figures }: { readonly figures: readonly [string, ReactNode][] }) {
  const strip = (x1: number, y1: number, x2: number, y2: number, mirrored: boolean) => {
    const y = (value: number) => (mirrored ? H - value : value);
    return `M${x1} ${y(y1)}L${x2} ${y(y2)}L${x2} ${y(y2 + 9)}L${x1} ${y(y1 + 9)}Z`;
  };
  return (
    <SketchFigure name="Rail taken out and a transition piece put in, seen from above" figures={figures}>
      {[false, true].map((mirrored) => (
        <g key={String(mirrored)}>
          <path d={strip(12, 14, 92, 14, mirrored)} {...steel} />
          <path d={strip(92, 14, 172, 30, mirrored)} {...fresh} />
          <path d={strip(172, 30, W - 12, 30, mirrored)} {...steel} />
        </g>
      ))}
      <text x={132} y={52} textAnchor="middle" {...note}>
        new rail, mitered at both ends
      </text>
    </SketchFigure>
  );
}
