import { type Piece, type PlanResult, type Section, sideOutline } from '@splay/core';
import { pathOf } from './steel.tsx';
import { acrossPx } from './strips.ts';
import { type Reach, toPx } from './view.ts';
import type { Across } from '../client/picture-props.ts';

interface PlanStripProps {
  readonly result: PlanResult;
  readonly section: (id: string) => Section;
  /** Stations that every strip spans, so that one can be held against another. */
  readonly reach: Reach;
  readonly width: number;
}

/** Room over and under each frame of a strip, and for the letters of the cuts at its foot, px. */
const MARGIN = 6;
const LETTERS = 13;

/** A plan at a glance, in side view: the donor with what goes hatched, and under it the frame as built. */
export function PlanStrip({ result, section, reach, width }: PlanStripProps) {
  const view = { from: reach[0], scale: (width - 2) / (reach[1] - reach[0]), width };
  const donorX = (x: number) => toPx(view, x);
  const kept = result.pieces.filter(({ source }) => source === 'donor');
  const gone = result.removed.filter(({ source }) => source === 'donor');
  const asDonor = { pose: { turn: 0, dx: 0, dz: 0 }, spread: 0 };
  // Each frame has the height it needs: a sloping one more than a level one.
  const sides = (pieces: readonly Piece[]) => pieces.flatMap((piece) => sideOutline(piece, 'left', section));
  const heights = (pieces: readonly Piece[], on: 'donor' | 'built') => [
    0,
    ...sides(pieces).map(([, z]) => z),
    ...result.axles.flatMap((axle) => axle[on]?.z ?? []),
  ];
  const ofDonor = heights(
    [...kept, ...gone].map((piece) => ({ ...piece, ...asDonor })),
    'donor',
  );
  const ofBuilt = heights(result.pieces, 'built');
  const onDonor: Across = { zero: MARGIN + Math.max(...ofDonor) * view.scale, sign: -1, scale: view.scale };
  const between = onDonor.zero - Math.min(...ofDonor) * view.scale + MARGIN;
  const onBuilt: Across = { zero: between + MARGIN + Math.max(...ofBuilt) * view.scale, sign: -1, scale: view.scale };
  const foot = onBuilt.zero - Math.min(...ofBuilt) * view.scale + MARGIN + LETTERS;
  return (
    <svg width={width} height={foot} viewBox={`0 0 ${width} ${foot}`} aria-hidden="true">
      {kept.map((piece, index) => (
        <path
          key={index}
          d={pathOf(sideOutline({ ...piece, ...asDonor }, 'left', section), view, onDonor)}
          fill="none"
          stroke="var(--color-pencil)"
        />
      ))}
      {gone.map((piece, index) => (
        <path
          key={index}
          d={pathOf(sideOutline({ ...piece, ...asDonor }, 'left', section), view, onDonor)}
          fill="var(--color-oxide)"
          stroke="var(--color-oxide)"
        />
      ))}
      {result.pieces.map((piece, index) => (
        <path
          key={index}
          d={pathOf(sideOutline(piece, 'left', section), view, onBuilt)}
          fill={piece.source === 'donor' ? 'var(--color-steel)' : 'var(--color-layout)'}
          stroke={piece.source === 'donor' ? 'var(--color-graphite)' : 'var(--color-layout)'}
        />
      ))}
      {result.axles.map(({ item, donor, built }) => (
        <g key={item.id} fill="none" strokeWidth={1.2}>
          <circle cx={donorX(donor.x)} cy={acrossPx(onDonor, donor.z)} r={2.5} stroke="var(--color-pencil)" />
          {built && (
            <circle cx={donorX(built.x)} cy={acrossPx(onBuilt, built.z)} r={3.5} stroke="var(--color-graphite)" />
          )}
        </g>
      ))}
      {[...result.joints, ...result.cutEnds].map((mark) => {
        const sound = !('verdict' in mark) || mark.verdict === 'meets' || mark.verdict === 'dress';
        const x = toPx(view, mark.builtX);
        return (
          <g key={mark.letter} fill={sound ? 'var(--color-layout)' : 'var(--color-oxide)'}>
            <path
              d={`M${x} ${between}V${foot - LETTERS}`}
              stroke={sound ? 'var(--color-layout)' : 'var(--color-oxide)'}
              strokeWidth={1.4}
            />
            <text x={x} y={foot - 1} fontSize={12} textAnchor="middle" className="font-label" fontWeight={600}>
              {mark.letter}
            </text>
          </g>
        );
      })}
    </svg>
  );
}
