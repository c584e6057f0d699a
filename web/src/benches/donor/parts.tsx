import type { Frame } from '@splay/core';
import type { ComponentType } from 'react';
import type { BenchParts, Drawer } from '../../client/bench.ts';
import type { BenchProps } from '../../client/bench-props.ts';
import { lazyComponent } from '../../client/lazy-component.tsx';
import { DonorOver } from './donor-layer.tsx';
import type { PartProps } from './donor-part.tsx';
import { type DonorTab, TABS } from './donor-tabs.ts';
import { DonorTray } from './donor-tray.tsx';

const DonorPanel = lazyComponent<BenchProps>(() => import('./donor-panel.tsx').then((file) => file.DonorPanel));
const FloorSurvey = lazyComponent<BenchProps>(() => import('./floor-survey.tsx').then((file) => file.FloorSurvey));

const CONTENTS: Readonly<Record<DonorTab, ComponentType<PartProps>>> = {
  stations: lazyComponent(() => import('./station-tables.tsx').then((file) => file.StationTables)),
  features: lazyComponent(() => import('./feature-table.tsx').then((file) => file.FeatureTable)),
  crossmembers: lazyComponent(() => import('./crossmember-table.tsx').then((file) => file.CrossmemberTable)),
  lines: lazyComponent(() => import('./line-tables.tsx').then((file) => file.LineTables)),
  controls: lazyComponent(() => import('./control-tables.tsx').then((file) => file.ControlTables)),
  frame: lazyComponent(() => import('./frame-form.tsx').then((file) => file.FrameForm)),
};

/** Everything that hangs on the donor, front to rear. */
const thingsAlong = ({ features, crossmembers }: Frame): readonly string[] =>
  [...features, ...crossmembers].sort((a, b) => a.x - b.x).map(({ id }) => id);

const drawerOf = (tab: DonorTab, name: string): Drawer => ({
  name,
  Content: lazyComponent(async () => {
    const { DonorPart } = await import('./donor-part.tsx');
    return (props) => <DonorPart {...props} part={CONTENTS[tab]} />;
  }),
});

export const parts: BenchParts = {
  Panel: DonorPanel,
  Tray: DonorTray,
  trayTitle: () => 'At the cursor',
  Floor: FloorSurvey,
  Over: DonorOver,
  along: ({ job }) => thingsAlong(job.donor),
  drawers: Object.fromEntries(TABS.map(([tab, name]) => [tab, drawerOf(tab, name)])),
  legend: [
    {
      name: 'station: drag it',
      draw: <path d="M8 1h10v6l-5 5l-5 -5Z" fill="var(--color-sheet)" stroke="var(--color-pencil)" />,
    },
    {
      name: 'right rail, where it differs',
      draw: <path d="M1 7h24" stroke="var(--color-pencil)" strokeDasharray="1.5 3" />,
    },
    {
      name: 'blade',
      draw: <path d="M1 7h24" stroke="var(--color-ochre)" strokeWidth={1.6} strokeDasharray="10 3 2 3" />,
    },
  ],
};
