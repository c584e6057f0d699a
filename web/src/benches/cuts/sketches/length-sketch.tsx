import {
  type Material,
  type Operation,
  ruleValue,
  railAt,
  railOf,
  type Section,
  sectionLookup,
  sectionProperties,
} from '@splay/core';
import type { ReactNode } from 'react';
import { finer } from '../../../ui/finer.ts';
import { Length } from '../../../ui/length.tsx';
import { Quantity } from '../../../ui/quantity.tsx';
import { cut, fresh, note, SketchFigure, type SketchOf, steel, W } from './sketch-figure.tsx';

const [TOP, HEIGHT] = [24, 44];

/** What a stretch of both rails weighs, kg. */
const massOf = (section: Section, length: number, { density }: Material): number =>
  2 * sectionProperties(section).area * length * density;

type LengthKind = Extract<Operation, { kind: 'shorten' | 'lengthen' | 'extend' }>['kind'];

/** Rail taken out or put in: the piece itself, and why its ends meet or not. */
export function LengthSketch({ operation, job }: SketchOf<LengthKind>) {
  const rail = railOf(job.donor.rails, 'left');
  const sectionOf = sectionLookup(job.donor);
  const exact = finer(job.display);
  const length = (mm: number) => <Length mm={mm} format={exact} unit />;
  const mass = (kg: number) => <Quantity of="mass" value={kg} unit={job.display.unit} />;
  const halfWidth = (x: number) => railAt(rail, x).halfWidth;
  if (operation.kind === 'shorten') {
    const [from, to] = [operation.from.x, operation.to.x];
    if (!(to > from)) return null;
    const kerf = ruleValue(job.rules, 'cut/kerf');
    return (
      <SketchFigure
        name="Rail taken out, seen from the side"
        figures={[
          ['comes out of each rail', length(to - from)],
          ['the piece, after both saw cuts', length(to - from - 2 * kerf)],
          ['weighs, both rails', mass(massOf(sectionOf(railAt(rail, from).section), to - from, job.donor.material))],
          ...(operation.from.on === 'donor' ? [ends(halfWidth(from), halfWidth(to), length)] : []),
        ]}
      >
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
  const end = operation.kind === 'extend' ? operation.end : 'rear';
  const at = operation.kind === 'extend' ? ((end === 'rear' ? rail.at(-1)?.x : rail[0]?.x) ?? 0) : operation.at.x;
  const section = sectionOf(operation.section ?? railAt(rail, at).section);
  if (!(operation.length > 0)) return null;
  const figures: [string, ReactNode][] = [
    ['new piece, each rail', length(operation.length)],
    ['weighs, both', mass(massOf(section, operation.length, job.donor.material))],
  ];
  if (operation.kind === 'extend')
    return (
      <SketchFigure name="New end of the frame, seen from the side" mirrored={end === 'front'} figures={figures}>
        <rect x={12} y={TOP} width={150} height={HEIGHT} {...steel} />
        <rect x={162} y={TOP} width={W - 174} height={HEIGHT} {...fresh} />
      </SketchFigure>
    );
  return (
    <SketchFigure name="Rail put in, seen from the side" figures={figures}>
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

/** Half-widths at the two cuts: what brings the ends out of line. */
const ends = (ahead: number, behind: number, length: (mm: number) => ReactNode): [string, ReactNode] => [
  'half-width ahead, and behind',
  <>
    {length(ahead)}, {length(behind)}
  </>,
];
