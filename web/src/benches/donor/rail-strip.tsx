import { type Frame, type Rail, railEnds, railOf, SIDES } from '@splay/core';

interface RailStripProps {
  readonly frame: Frame;
  /** Donor stations that are marked, and the one that one stands at, mm. */
  readonly stops: readonly number[];
  readonly here: number;
}

const [WIDTH, HEIGHT, MIDDLE] = [366, 54, 26] as const;

/** The rails from above in small, with what is walked along, and where one stands. */
export function RailStrip({ frame, stops, here }: RailStripProps) {
  const rails = SIDES.map((side) => railOf(frame.rails, side));
  const [front, rear] = [
    Math.min(...rails.map((rail) => railEnds(rail)[0])),
    Math.max(...rails.map((rail) => railEnds(rail)[1])),
  ];
  const widest = Math.max(...rails.flatMap((rail) => rail.map(({ halfWidth }) => halfWidth)));
  const x = (station: number) => 8 + ((station - front) / (rear - front)) * (WIDTH - 16);
  // Across it is drawn larger than along, so that a taper can be seen.
  const path = (rail: Rail, sign: -1 | 1) =>
    rail
      .map(({ x: station, halfWidth }, index) => {
        const y = MIDDLE + (sign * halfWidth * 16) / widest;
        return `${index === 0 ? 'M' : 'L'}${x(station).toFixed(1)} ${y.toFixed(1)}`;
      })
      .join('');
  return (
    <svg viewBox={`0 0 ${WIDTH} ${HEIGHT}`} className="w-full" aria-hidden="true">
      {rails.map((rail, index) => (
        <path
          key={SIDES[index]}
          d={path(rail, index === 0 ? -1 : 1)}
          fill="none"
          stroke="var(--color-graphite)"
          strokeWidth={3}
        />
      ))}
      {stops.map((station, index) => (
        <path key={index} d={`M${x(station)} 5v42`} stroke="var(--color-rule)" strokeWidth={1.2} />
      ))}
      <path d={`M${x(here)} 2v48`} stroke="var(--color-layout)" strokeWidth={2.5} />
      <path d={`M${x(here) - 6} 54h12l-6 -8Z`} fill="var(--color-layout)" />
    </svg>
  );
}
