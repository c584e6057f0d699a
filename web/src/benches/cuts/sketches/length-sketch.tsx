import {
  type Material,
  type Operation,
  type PlanResult,
  ruleValue,
  railAt,
  railOf,
  type Section,
  sectionLookup,
  sectionProperties,
  SIDES,
  straightLength,
} from '@splay/core';
import type { ReactNode } from 'react';
import { finer } from '../../../ui/finer.ts';
import { Length } from '../../../ui/length.tsx';
import { Quantity } from '../../../ui/quantity.tsx';
import { cut, degrees, fresh, H, note, SketchFigure, type SketchOf, steel, W } from './sketch-figure.tsx';

const [TOP, HEIGHT] = [24, 44];

/** What a stretch of both rails weighs, kg. */
const massOf = (section: Section, length: number, { density }: Material): number =>
  2 * sectionProperties(section).area * length * density;

type LengthKind = Extract<Operation, { kind: 'shorten' | 'lengthen' | 'extend' }>['kind'];

/** Rail taken out or put in: the piece itself, and why its ends meet or not. */
export function LengthSketch({ operation, job, result }: SketchOf<LengthKind>) {
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
    const cutAway = to - from + operation.transition;
    const figures: [string, ReactNode][] = [
      ['comes out of each rail', length(cutAway)],
      ['the piece, after both saw cuts', length(cutAway - 2 * kerf)],
      ['weighs, both rails', mass(massOf(sectionOf(railAt(rail, from).section), cutAway, job.donor.material))],
      ...(operation.from.on === 'donor' ? [ends(halfWidth(from), halfWidth(from + cutAway), length)] : []),
    ];
    if (operation.transition > 0)
      return <TransitionSketch figures={[...figures, ...joining(operation.id, result, length)]} />;
    return (
      <SketchFigure name="Rail taken out, seen from the side" figures={figures}>
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

/** The new piece that an operation puts between two ends, and how much each joint turns. */
function joining(operation: string, { pieces, joints }: PlanResult, length: (mm: number) => ReactNode) {
  const rail = pieces.find(({ source }) => source === operation)?.rails.left;
  const made = joints.filter((joint) => joint.operation === operation);
  if (!rail || made.length === 0) return [];
  const turns = made.map(({ sides }) =>
    Math.max(...SIDES.map((side) => Math.hypot(sides[side].yaw, sides[side].pitch))),
  );
  return [
    ['the new piece', length(straightLength(rail))],
    ['turns the rail by', degrees(Math.max(...turns))],
  ] satisfies [string, ReactNode][];
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
        new rail, mitred at both ends
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
