import type { BenchParts } from '../../client/bench.ts';
import type { BenchProps } from '../../client/bench-props.ts';
import { lazyComponent } from '../../client/lazy-component.tsx';
import { selectedBody } from '../../client/selected-body.ts';
import type { PictureProps } from '../../client/picture-props.ts';
import { BodyMarks, BodyUnder } from './body-layer.tsx';
import { BodyPicture } from './body-picture.tsx';

const BodyPanel = lazyComponent<BenchProps>(() => import('./body-panel.tsx').then((file) => file.BodyPanel));
const ChangesDrawer = lazyComponent<BenchProps>(() =>
  import('./changes-drawer.tsx').then((file) => file.ChangesDrawer),
);
const FendersDrawer = lazyComponent<BenchProps>(() => import('./body-tables.tsx').then((file) => file.FendersDrawer));
const KeepClear = lazyComponent<BenchProps>(() => import('./body-drawers.tsx').then((file) => file.KeepClear));
const MountsDrawer = lazyComponent<BenchProps>(() => import('./body-tables.tsx').then((file) => file.MountsDrawer));
const Openings = lazyComponent<BenchProps>(() => import('./body-drawers.tsx').then((file) => file.Openings));
const OutlineDrawer = lazyComponent<BenchProps>(() => import('./body-tables.tsx').then((file) => file.OutlineDrawer));
const WeightsDrawer = lazyComponent<BenchProps>(() => import('./body-tables.tsx').then((file) => file.WeightsDrawer));

function BodyTray({ job, selected, tray }: PictureProps) {
  const body = selectedBody(job.bodies, selected);
  if (!body)
    return (
      <p className="flex h-full items-center justify-center px-8 text-center text-pencil">
        The body is drawn here as it is measured.
      </p>
    );
  return <BodyPicture body={body} {...tray} format={job.display} selected={selected} />;
}

const drawers = {
  openings: { name: 'Openings', Content: Openings },
  mounts: { name: 'Mounts', Content: MountsDrawer },
  boxes: { name: 'Keep clear', Content: KeepClear },
  fenders: { name: 'Fenders, steps', Content: FendersDrawer },
  weights: { name: 'Weights', Content: WeightsDrawer },
  outline: { name: 'Outline', Content: OutlineDrawer },
  changes: { name: 'Changes', Content: ChangesDrawer },
} as const;

const SLIDES = Object.entries(drawers);

/** The bodies on a phone. */
const OnPhone = lazyComponent<BenchProps>(async () => {
  const { BodyFloor } = await import('./floor-body.tsx');
  return (bench) => <BodyFloor bench={bench} slides={SLIDES} />;
});

export const parts: BenchParts = {
  Panel: BodyPanel,
  Tray: BodyTray,
  trayTitle: ({ job, selected }) => selectedBody(job.bodies, selected)?.name ?? 'The body',
  Floor: OnPhone,
  Under: BodyUnder,
  Over: BodyMarks,
  along: ({ job }) => job.bodies.map(({ id }) => id),
  drawers,
  legend: [
    { name: 'floor', draw: <path d="M2 7H24" stroke="var(--color-ochre)" strokeWidth={3} /> },
    {
      name: 'must stay clear',
      draw: <rect x={3} y={2} width={20} height={10} fill="url(#hatch-boxed)" stroke="var(--color-ochre)" />,
    },
    {
      name: 'mount',
      draw: <rect x={8} y={2} width={10} height={10} fill="var(--color-sheet)" stroke="var(--color-ochre)" />,
    },
    {
      name: 'not measured whole',
      draw: <circle cx={13} cy={7} r={5} fill="none" stroke="var(--color-ochre)" strokeDasharray="4 3" />,
    },
  ],
};
