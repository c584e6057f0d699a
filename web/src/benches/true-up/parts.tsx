import type { BenchParts } from '../../client/bench.ts';
import type { BenchProps } from '../../client/bench-props.ts';
import { lazyComponent } from '../../client/lazy-component.tsx';
import { INKS } from './lines.ts';
import { asFar } from './as-far.tsx';
import { TrueUpOver } from './true-up-layer.tsx';
import { TrueUpTray } from './true-up-tray.tsx';

const FloorReadings = lazyComponent<BenchProps>(() =>
  import('./floor-readings.tsx').then((file) => file.FloorReadings),
);
const FitUpTable = lazyComponent<BenchProps>(() => import('./fit-up-table.tsx').then((file) => file.FitUpTable));
const HistoryTable = lazyComponent<BenchProps>(() => import('./history.tsx').then((file) => file.HistoryTable));
const MovesTable = lazyComponent<BenchProps>(() => import('./moves.tsx').then((file) => file.MovesTable));
const PracticeDrawer = lazyComponent<BenchProps>(() => import('./practice.tsx').then((file) => file.PracticeDrawer));
const ReadingsTable = lazyComponent<BenchProps>(() =>
  import('./readings-table.tsx').then((file) => file.ReadingsTable),
);
const ShapeTable = lazyComponent<BenchProps>(() => import('./shape.tsx').then((file) => file.ShapeTable));
const TrueUpPanel = lazyComponent<BenchProps>(() => import('./true-up-panel.tsx').then((file) => file.TrueUpPanel));

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
