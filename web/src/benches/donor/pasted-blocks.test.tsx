import { evaluatePlan, type Job, USUAL_FIGURES } from '@splay/core';
import { expect, it } from 'vitest';
import { demoJob } from '../../../test/demo.ts';
import { openBench } from '../../../test/open-bench.tsx';
import { fireEvent, screen, within } from '../../../test/page.ts';
import { undo } from '../../client/job-store.ts';
import { parts } from './parts.tsx';

const { job } = demoJob('parcel-van');

type Block = readonly (readonly string[])[];

/** Every table of the bench: its part, its caption, three rows as a spreadsheet has them, and what the job then holds. */
const TABLES: readonly (readonly [
  caption: string,
  drawer: string,
  block: Block,
  list: (of: Job) => readonly object[],
  last: object,
])[] = [
  [
    'Stations of both rails',
    'stations',
    [
      ['190', '16 3/4', '0'],
      ['194', '16 3/4', '0'],
      ['198', '16 3/4', '1/2'],
    ],
    ({ donor }) => (donor.rails.kind === 'mirrored' ? donor.rails.stations : donor.rails.left),
    { top: 12.7 },
  ],
  [
    'Features',
    'features',
    [
      ['Hole x', 'hole', 'both', '10', '3'],
      ['Bed mount x', 'bed mount', 'left', '20 1/2', '2'],
      ['Clip x', 'line-clip', 'right', '30', '1'],
    ],
    ({ donor }) => donor.features,
    // What no column says is as usual for a clip, and assumed.
    {
      name: 'Clip x',
      kind: 'line-clip',
      side: 'right',
      attachment: 'bolts',
      movable: 're-drill',
      usual: USUAL_FIGURES,
    },
  ],
  ['Units', 'features', [['Links x'], ['Springs x'], ['Shocks x']], ({ donor }) => donor.units, { name: 'Shocks x' }],
  [
    'Crossmembers',
    'crossmembers',
    [
      ['Member x', '20', '3', '4', '1', 'bolted'],
      ['Member y', '40', '3', '4', '1', 'riveted'],
      ['Member z', '60', '3 1/2', '4', '1', 'welded'],
    ],
    ({ donor }) => donor.crossmembers,
    { name: 'Member z', length: expect.closeTo(88.9, 6) as number, fixing: 'welded' },
  ],
  [
    'Lines',
    'lines',
    [
      ['Line x', 'brake', 'left', '0', '50', '1'],
      ['Line y', 'fuel', 'right', '0', '60', '2'],
      ['Line z', 'harness', 'left', '10', '70', '3'],
    ],
    ({ donor }) => donor.lines,
    { name: 'Line z', kind: 'harness', slack: expect.closeTo(76.2, 6) as number },
  ],
  [
    'Drive line, back of cab and weights',
    'lines',
    [
      ['Weight x', 'mass', '10', '0', '20', '', '', '100 lb'],
      ['Weight y', 'mass', '20', '0', '20', '', '', '200 lb'],
      ['Flange x', 'output flange', '30', '0', '-4', '3', '', '0', 'as usual'],
    ],
    ({ donor }) => donor.points,
    { name: 'Flange x', kind: 'output-flange' },
  ],
  [
    'Control points',
    'controls',
    [
      ['Point x', '12', '0', '0'],
      ['Point y', '24', '0', '0'],
      ['Point z', '36', '1/2', '0'],
    ],
    ({ donor }) => donor.controlPoints,
    { name: 'Point z', inboard: 12.7 },
  ],
  [
    'Axles',
    'frame',
    [
      ['Tag x', 'rear', '150', '-12', '15', '65', '3000 lb'],
      ['Tag y', 'rear', '160', '-12', '15', '65', '3000 lb'],
      ['Tag z', 'rear', '170', '-12', '15', '65', ''],
    ],
    ({ donor }) => donor.axles,
    { name: 'Tag z', role: 'rear', x: 4318 },
  ],
];

it.each(TABLES)(
  'three rows pasted past the end of “%s” are all taken, and stay',
  (caption, drawer, block, list, last) => {
    const bench = openBench(parts, job, { drawer });
    const table = screen.getByRole('table', { name: caption });
    const add = within(table.parentElement!).getByRole('button', { name: /^Add/ });
    const before = list(bench.now()).length;
    // A row to paste into is asked for first, as one does; the block runs two rows past it.
    fireEvent.click(add);
    const cells = within(table).getAllByRole('row').at(-1)!.querySelectorAll('input, select');
    fireEvent.paste(cells[0]!, {
      clipboardData: { getData: () => `${block.map((row) => row.join('\t')).join('\r\n')}\r\n` },
    });
    expect(within(table).queryAllByRole('alert')).toEqual([]);
    const now = list(bench.now());
    expect(now).toHaveLength(before + 3);
    expect(now.at(-1)).toMatchObject(last);
    const ids = now.map((row) => ('id' in row ? row.id : JSON.stringify(row)));
    expect(new Set(ids).size).toBe(ids.length);
    while (bench.store.temporal.getState().pastStates.length > 0) undo(bench.store);
    expect(list(bench.now())).toHaveLength(before);
  },
);

it('a block with a cell that cannot be read is kept as it was pasted, with the reason, and nothing else changes', () => {
  const bench = openBench(parts, job, { drawer: 'crossmembers' });
  const table = screen.getByRole('table', { name: 'Crossmembers' });
  const cell = within(table).getByRole('textbox', { name: `Name, row ${job.donor.crossmembers.length}` });
  fireEvent.paste(cell, {
    clipboardData: { getData: () => 'Member x\t20\t3\t4\t1\tbolted\nMember y\tforty\t3\t4\t1\tglued\n' },
  });
  const alerts = within(table).getAllByRole('alert');
  expect(alerts.map(({ textContent }) => textContent)).toEqual([
    expect.stringMatching(/“forty” is not part of a length/),
    expect.stringMatching(/“glued” is none of/),
  ]);
  expect(bench.now()).toBe(job);
});

it('features are pasted with all their columns, and what the block states no longer counts as usual', () => {
  const bench = openBench(parts, job, { drawer: 'features' });
  fireEvent.click(screen.getByRole('checkbox', { name: /^All columns/ }));
  const table = screen.getByRole('table', { name: 'Features' });
  const heads = within(table)
    .getAllByRole('columnheader')
    .map(({ textContent }) => textContent);
  const row = [
    'Perch x',
    'spring hanger',
    'left',
    '20 1/2',
    '2',
    '',
    'web-outside',
    'rivets',
    '3',
    '4',
    '9/16',
    're-weld',
  ];
  expect(heads.slice(0, row.length)).toHaveLength(row.length);
  fireEvent.click(within(table.parentElement!).getByRole('button', { name: /^Add/ }));
  const cells = within(table).getAllByRole('row').at(-1)!.querySelectorAll('input, select');
  fireEvent.paste(cells[0]!, { clipboardData: { getData: () => `${row.join('\t')}\n` } });
  expect(within(table).queryAllByRole('alert')).toEqual([]);
  const pasted = bench.now().donor.features.at(-1)!;
  expect(pasted).toMatchObject({
    kind: 'spring-hanger',
    attachment: 'rivets',
    ahead: 3 * 25.4,
    behind: 4 * 25.4,
    diameter: (9 / 16) * 25.4,
    movable: 're-weld',
  });
  // Its weight is in no column, and stays what is usual.
  expect(pasted.usual).toEqual(['mass']);
});

it('a station is inserted behind the one that is picked, on the line to the next, and is assumed until it is typed', () => {
  const bench = openBench(parts, job, { selected: 'station:both:1', drawer: 'stations' });
  const before = job.donor.rails.kind === 'mirrored' ? job.donor.rails.stations : job.donor.rails.left;
  fireEvent.click(screen.getByRole('button', { name: 'Insert a station behind it' }));
  const { rails } = bench.now().donor;
  const now = rails.kind === 'mirrored' ? rails.stations : rails.left;
  expect(now).toHaveLength(before.length + 1);
  expect(now[2]).toMatchObject({ x: (before[1]!.x + before[2]!.x) / 2, origin: 'assumed' });
  expect(bench.store.getState().selected).toBe('station:both:2');
  // The frame itself is as it was: what is inserted lies on its line.
  expect(evaluatePlan(bench.now()).measures.after.mass).toBeCloseTo(evaluatePlan(job).measures.after.mass, 6);
});
