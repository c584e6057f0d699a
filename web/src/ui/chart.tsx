import {
  BarController,
  BarElement,
  CategoryScale,
  Chart,
  type ChartConfiguration,
  Filler,
  LinearScale,
  LineController,
  LineElement,
  PointElement,
} from 'chart.js';
import { useEffect, useRef, useSyncExternalStore } from 'react';
import { hearTheme, shownTheme } from '../client/theme.ts';
import { memoized } from './memoized.ts';

Chart.register(
  BarController,
  BarElement,
  CategoryScale,
  Filler,
  LinearScale,
  LineController,
  LineElement,
  PointElement,
);
Chart.defaults.animation = false;
Chart.defaults.font.family = 'Barlow Condensed, sans-serif';

/** A color of the style sheet as the canvas takes it. */
const ink = (name: string): string =>
  typeof document === 'undefined' ? '#000' : getComputedStyle(document.documentElement).getPropertyValue(name).trim();

interface ChartProps {
  readonly width: number;
  readonly height: number;
  readonly label: string;
  readonly config: (ink: (name: string) => string) => ChartConfiguration;
}

/**
 * A chart on a canvas, drawn again when what it shows changes. Its figures stand in a table beside it: the canvas is a
 * picture, with a name.
 */
function Canvas({ width, height, label, config }: ChartProps) {
  const canvas = useRef<HTMLCanvasElement>(null);
  const chart = useRef<Chart | null>(null);
  const theme = useSyncExternalStore(hearTheme, shownTheme, shownTheme);
  useEffect(() => {
    const at = canvas.current;
    // Where there is nothing to draw on (a test without a canvas), the table says it all.
    if (!at?.getContext('2d')) return;
    const { data, options = {}, type } = config(ink) as ChartConfiguration<'line' | 'bar'>;
    if (chart.current) {
      chart.current.data = data;
      chart.current.options = options as Chart['options'];
      if (chart.current.width !== width || chart.current.height !== height) chart.current.resize(width, height);
      chart.current.update('none');
    } else {
      at.width = width;
      at.height = height;
      chart.current = new Chart(at, {
        type,
        data,
        options: { ...options, responsive: false, maintainAspectRatio: false },
      } as ChartConfiguration);
    }
  }, [width, height, config, theme]);
  useEffect(
    () => () => {
      chart.current?.destroy();
      chart.current = null;
    },
    [],
  );
  return <canvas ref={canvas} role="img" aria-label={label} style={{ width, height }} />;
}

export interface CurveProps {
  readonly width: number;
  readonly height: number;
  readonly label: string;
  /** What is at the left and right edge, and at the foot and top. */
  readonly x: readonly [from: number, to: number];
  readonly y: readonly [from: number, to: number];
  readonly points: readonly { readonly x: number; readonly y: number }[];
  /** A line that the curve is read against. */
  readonly against: number;
}

/** A curve that fills its canvas from edge to edge, so that it stands in register with what is drawn over it. */
export const Curve = memoized(function Curve({ width, height, label, x, y, points, against }: CurveProps) {
  return (
    <Canvas
      width={width}
      height={height}
      label={label}
      config={(of) => {
        const line = of('--color-graphite');
        const low = of('--color-oxide');
        return {
          type: 'line',
          data: {
            datasets: [
              {
                data: points as { x: number; y: number }[],
                borderColor: line,
                borderWidth: 2,
                pointRadius: 0,
                fill: { target: { value: against }, above: `${of('--color-layout')}22`, below: `${low}44` },
                segment: {
                  borderColor: ({ p0, p1 }) =>
                    Math.min(p0.parsed.y ?? 0, p1.parsed.y ?? 0) < against - 1e-6 ? low : line,
                },
              },
              {
                data: [
                  { x: x[0], y: against },
                  { x: x[1], y: against },
                ],
                borderColor: of('--color-pencil'),
                borderWidth: 1,
                borderDash: [6, 4],
                pointRadius: 0,
              },
            ],
          },
          options: {
            responsive: false,
            maintainAspectRatio: false,
            events: [],
            layout: { padding: 0 },
            scales: {
              x: { type: 'linear', display: false, min: x[0], max: x[1] },
              y: { type: 'linear', display: false, min: y[0], max: y[1] },
            },
          },
        };
      }}
    />
  );
});

export interface BarsProps {
  readonly width: number;
  readonly height: number;
  readonly label: string;
  /** Each with what counts, and a second figure that is drawn thinner beside it. */
  readonly bars: readonly { readonly name: string; readonly value: number; readonly beside: number }[];
  readonly against: number;
}

/** Bars lying down, one below the other, read against a line. */
export const Bars = memoized(function Bars({ width, height, label, bars, against }: BarsProps) {
  return (
    <Canvas
      width={width}
      height={height}
      label={label}
      config={(of) => ({
        type: 'bar',
        data: {
          labels: bars.map(({ name }) => name),
          datasets: [
            {
              data: bars.map(({ value }) => value),
              backgroundColor: bars.map(({ value }) => of(value < against - 1e-6 ? '--color-oxide' : '--color-layout')),
              barPercentage: 0.9,
              categoryPercentage: 0.86,
            },
            {
              data: bars.map(({ beside }) => beside),
              backgroundColor: of('--color-rule'),
              barPercentage: 0.9,
              categoryPercentage: 0.86,
            },
          ],
        },
        options: {
          responsive: false,
          maintainAspectRatio: false,
          indexAxis: 'y',
          events: [],
          scales: {
            x: {
              min: 0,
              suggestedMax: 1.2,
              grid: {
                color: ({ tick }) => of(Math.abs(tick.value - against) < 1e-6 ? '--color-graphite' : '--color-rule'),
              },
              ticks: { color: of('--color-pencil'), font: { size: 12 } },
            },
            y: {
              grid: { display: false },
              ticks: { color: of('--color-graphite'), font: { size: 13 }, autoSkip: false },
            },
          },
        },
      })}
    />
  );
});

export interface StacksProps {
  readonly width: number;
  readonly height: number;
  readonly label: string;
  readonly names: readonly string[];
  /** Parts that lie one on the other, each with its figure for every name, and the ink it is drawn in. */
  readonly parts: readonly { readonly name: string; readonly values: readonly number[]; readonly ink: string }[];
}

/** Bars lying down, each made up of parts. */
export const Stacks = memoized(function Stacks({ width, height, label, names, parts }: StacksProps) {
  return (
    <Canvas
      width={width}
      height={height}
      label={label}
      config={(of) => ({
        type: 'bar',
        data: {
          labels: [...names],
          datasets: parts.map(({ name, values, ink: color }) => ({
            label: name,
            data: [...values],
            backgroundColor: of(color),
            borderColor: of('--color-sheet'),
            borderWidth: 1,
            barPercentage: 0.8,
          })),
        },
        options: {
          responsive: false,
          maintainAspectRatio: false,
          indexAxis: 'y',
          events: [],
          scales: {
            x: {
              stacked: true,
              min: 0,
              grid: { color: of('--color-rule') },
              ticks: { color: of('--color-pencil'), font: { size: 12 } },
            },
            y: {
              stacked: true,
              grid: { display: false },
              ticks: { color: of('--color-graphite'), font: { size: 13 }, autoSkip: false },
            },
          },
        },
      })}
    />
  );
});
