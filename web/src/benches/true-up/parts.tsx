import type { BenchParts } from '../../client/bench.ts';
import { FloorReadings } from './floor-readings.tsx';
import { INKS } from './lines.ts';
import { asFar } from './as-far.tsx';
import { FitUpTable } from './fit-up-table.tsx';
import { HistoryTable } from './history.tsx';
import { MovesTable } from './moves.tsx';
import { PracticeDrawer } from './practice.tsx';
import { ReadingsTable } from './readings-table.tsx';
import { ShapeTable } from './shape.tsx';
import { TrueUpOver } from './true-up-layer.tsx';
import { TrueUpPanel } from './true-up-panel.tsx';
import { TrueUpTray } from './true-up-tray.tsx';

const line = (ink: string, dash?: string, width = 1.4) => (
  <path d="M1 7h24" stroke={ink} strokeDasharray={dash} strokeWidth={width} />
);

export const parts: BenchParts = {
  Panel: asFar(TrueUpPanel),
  Tray: asFar(TrueUpTray),
  trayTitle: () => 'Readings, from above',
  Floor: asFar(FloorReadings),
  Over: asFar(TrueUpOver),
  along: ({ result }) => result.controls.map(({ measurement }) => measurement.id),
  drawers: {
    readings: { name: 'All readings', Content: asFar(ReadingsTable) },
    moves: { name: 'Moves', Content: asFar(MovesTable) },
    shape: { name: 'Shape', Content: asFar(ShapeTable) },
    ends: { name: 'Ends', Content: asFar(FitUpTable) },
    history: { name: 'History', Content: asFar(HistoryTable) },
    practice: { name: 'Practice', Content: PracticeDrawer },
  },
  legend: [
    { name: 'right', draw: line(INKS.right) },
    {
      name: 'wrong, with its amount',
      draw: (
        <>
          {line(INKS.wrong, undefined, 5)}
          {line('var(--color-paper)', undefined, 2)}
        </>
      ),
    },
    { name: 'still to take', draw: line(INKS.missing, '5 4') },
  ],
};
