import type { Frame } from '@splay/core';
import type { ComponentType } from 'react';
import type { BenchParts, Drawer } from '../../client/bench.ts';
import type { BenchProps } from '../../client/bench-props.ts';
import { ControlTables } from './control-tables.tsx';
import { CrossmemberTable } from './crossmember-table.tsx';
import { DonorOver } from './donor-layer.tsx';
import { DonorPanel } from './donor-panel.tsx';
import { DonorPart, type PartProps } from './donor-part.tsx';
import { type DonorTab, TABS } from './donor-tabs.ts';
import { DonorTray } from './donor-tray.tsx';
import { FeatureTable } from './feature-table.tsx';
import { FloorSurvey } from './floor-survey.tsx';
import { FrameForm } from './frame-form.tsx';
import { LineTables } from './line-tables.tsx';
import { StationTables } from './station-tables.tsx';

const CONTENTS: Readonly<Record<DonorTab, ComponentType<PartProps>>> = {
  stations: StationTables,
  features: FeatureTable,
  crossmembers: CrossmemberTable,
  lines: LineTables,
  controls: ControlTables,
  frame: FrameForm,
};

/** Everything that hangs on the donor, front to rear. */
const thingsAlong = ({ features, crossmembers }: Frame): readonly string[] =>
  [...features, ...crossmembers].sort((a, b) => a.x - b.x).map(({ id }) => id);

const drawerOf = (tab: DonorTab, name: string): Drawer => ({
  name,
  Content: (props: BenchProps) => <DonorPart {...props} part={CONTENTS[tab]} />,
});

export const parts: BenchParts = {
  Panel: DonorPanel,
  Tray: DonorTray,
  trayTitle: () => 'At the blade',
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
