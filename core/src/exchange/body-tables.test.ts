import { describe, expect, it } from 'vitest';
import { beach, tour, van } from '../../test/joints.ts';
import { type Body, newBody } from '../body/index.ts';
import { BODY_TABLES } from './body-tables.ts';
import { readJobTable, writeJobTable } from './index.ts';

const bed: Body = {
  ...newBody('bed', 'Bed'),
  openings: [{ id: 'bed-opening', name: 'Opening', over: 'rear', x: 900 }],
  mounts: [{ id: 'bed-foot', name: 'Foot', x: 100, y: -400, z: 12.7, hole: 14, thickness: 5, load: 80 }],
};
const both = { ...van, bodies: [...van.bodies, bed] };

describe('tables of bodies', () => {
  it.each(BODY_TABLES)('%s of several bodies come back as they were, each to its own', (table) => {
    for (const unit of ['mm', 'in'] as const) {
      const back = readJobTable(table, writeJobTable(table, both, [], unit), both);
      expect(writeJobTable(table, back, [], unit)).toBe(writeJobTable(table, both, [], unit));
      expect(back.bodies.map(({ mounts }) => mounts.length)).toEqual([10, 1]);
    }
  });

  it('what nobody has measured is an empty cell, and stays unmeasured', () => {
    const csv = writeJobTable('openings', both, [], 'mm');
    expect(csv.split('\n').at(-2)).toBe('bed,bed-opening,Opening,rear,900,,');
    expect(readJobTable('openings', csv, both).bodies[1]!.openings[0]).toEqual(bed.openings[0]);
  });

  it('what a table has no column for stays with what has the same id', () => {
    const outline = [
      { x: 700, z: 0 },
      { x: 900, z: 400 },
      { x: 1100, z: 0 },
    ];
    const arched = { ...both, bodies: [{ ...bed, openings: [{ ...bed.openings[0]!, outline }] }] };
    const plan = { ...arched.plan, seats: [], mountings: [] };
    const back = readJobTable('openings', writeJobTable('openings', arched, [], 'mm'), { ...arched, plan });
    expect(back.bodies[0]!.openings[0]).toEqual({ ...bed.openings[0], outline });
  });

  it('how a mount is made goes with a mount that a table no longer has', () => {
    const few = writeJobTable('mounts', both, [], 'mm').split('\n').slice(0, 3).join('\n');
    const back = readJobTable('mounts', few, both);
    expect(both.plan.mountings).toHaveLength(10);
    expect(back.plan.mountings.map(({ mount }) => mount)).toEqual(back.bodies[0]!.mounts.map(({ id }) => id));
  });

  it('a cell may hold anything that is typed as a length or a mass', () => {
    const csv =
      'body,id,name,x [in],y [in],z [in],hole [in],thickness [in],bushing [in],bushingRate [lb/in],load [lb]\nbed,f,Foot,1\' 2 1/2",-16,30 mm,9/16,1/4,3/4,210 N/mm,18 kg\n';
    const { mounts } = readJobTable('mounts', csv, both).bodies[1]!;
    expect(mounts).toEqual([
      {
        id: 'f',
        name: 'Foot',
        x: expect.toBeNear(368.3, 1e-9),
        y: -406.4,
        z: 30,
        hole: 14.2875,
        thickness: 6.35,
        bushing: expect.toBeNear(19.05, 1e-9),
        bushingRate: 210,
        load: 18,
      },
    ]);
  });

  it.each([
    [
      'weights',
      'body,id,name,mass [kg],x [mm],y [mm],z [mm]\ncab,w,Load,5,0,0,0\n',
      /There is no body “cab”: add it on the bench Body first/,
    ],
    ['weights', 'body,id,name,mass [kg],x [mm],y [mm],z [mm]\nbed,w,Load,0,0,0,0\n', /needs a mass above 0/],
    ['boxes', 'body,id,name,kind,front [mm]\nbed,b,Box,tub,5\n', /rear|is missing/],
    ['openings', 'body,id,name,over,x [mm]\nbed,o,Opening,middle,5\n', /over/],
  ] as const)('%s that cannot be are refused whole: %#', (table, csv, words) => {
    expect(() => readJobTable(table, csv, both)).toThrow(words);
  });

  it('a job without bodies has headers and no rows', () => {
    for (const table of BODY_TABLES) expect(writeJobTable(table, beach, [], 'mm').split('\n')).toHaveLength(2);
    expect(writeJobTable('mounts', tour, [], 'mm').split('\n')).toHaveLength(10);
  });
});
