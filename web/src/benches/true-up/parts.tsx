import type { BenchParts } from '../../client/bench.ts';
import type { BenchProps } from '../../client/bench-props.ts';
import { later } from '../../client/later.tsx';
import { INKS } from './lines.ts';
import { asFar } from './as-far.tsx';
import { TrueUpOver } from './true-up-layer.tsx';
import { TrueUpTray } from './true-up-tray.tsx';

const FloorReadings = later<BenchProps>(() => import('./floor-readings.tsx').then((file) => file.FloorReadings));
const FitUpTable = later<BenchProps>(() => import('./fit-up-table.tsx').then((file) => file.FitUpTable));
const HistoryTable = later<BenchProps>(() => import('./history.tsx').then((file) => file.HistoryTable));
const MovesTable = later<BenchProps>(() => import('./moves.tsx').then((file) => file.MovesTable));
const PracticeDrawer = later<BenchProps>(() => import('./practice.tsx').then((file) => file.PracticeDrawer));
const ReadingsTable = later<BenchProps>(() => import('./readings-table.tsx').then((file) => file.ReadingsTable));
const ShapeTable = later<BenchProps>(() => import('./shape.tsx').then((file) => file.ShapeTable));
const TrueUpPanel = later<BenchProps>(() => import('./true-up-panel.tsx').then((file) => file.TrueUpPanel));

const line = (ink: string, dash?: string, width = 1.4) => (
  <path d="M1 7h24" stroke={ink} strokeDasharray={dash} strokeWidth={width} />
);

export const parts: BenchParts = {
  Panel: asFar(TrueUpPanel),
  Tray: asFar(TrueUpTray),
  trayTitle: () => 'Readings, from above',
  trayRepeats: true,
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
