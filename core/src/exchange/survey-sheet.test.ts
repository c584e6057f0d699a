import { describe, expect, it } from 'vitest';
import { featureAt, inputOf, memberAt, plainFrame } from '../../test/frames.ts';
import { sprayer, van } from '../../test/joints.ts';
import { jobOf, ZOO } from '../../test/zoo.ts';
import { surveySheet, writeSvg } from './index.ts';

describe('a survey sheet', () => {
  it('lists everything that is on the frame in the order in which one walks past, from the datum hole', () => {
    const frame = plainFrame({
      crossmembers: [memberAt('second', 2400), memberAt('first', 600)],
      features: [...plainFrame().features, featureAt('mount', 1500, { side: 'left' })],
    });
    const { rows } = surveySheet(inputOf(frame));
    const datum = frame.features.find(({ id }) => id === frame.datum)!.x;
    const froms = rows.map(({ from }) => from);
    expect(froms).toEqual(froms.toSorted((a, b) => a - b));
    expect(rows.map(({ number }) => number)).toEqual(rows.map((_, index) => index + 1));
    const member = rows.find(({ what }) => what === frame.crossmembers[1]!.name)!;
    expect(member).toMatchObject({ from: 600 - datum, side: 'both', assumed: false });
    const mount = rows.find(({ side }) => side === 'left')!;
    expect(mount.blanks).toContain('reach ahead');
    const stations = rows.filter(({ what }) => what.startsWith('Station'));
    expect(stations).toHaveLength(frame.rails.kind === 'mirrored' ? frame.rails.stations.length : 0);
  });

  it('tells both rails apart where they were measured apart, and what is only assumed', () => {
    const { rows } = surveySheet(sprayer);
    const { rails, axles } = sprayer.donor;
    if (rails.kind !== 'measured') throw new Error('the sprayer has two rails');
    for (const side of ['left', 'right'] as const)
      expect(rows.filter((row) => row.side === side && /^Station/.test(row.what))).toHaveLength(rails[side].length);
    expect(rows.find(({ what }) => what === 'Station 1')!.blanks).toEqual([
      'half-width',
      'top height',
      'depth',
      'wall',
    ]);
    const assumed = {
      ...sprayer,
      donor: { ...sprayer.donor, axles: axles.map((axle) => ({ ...axle, origin: 'assumed' as const })) },
    };
    expect(
      surveySheet(assumed)
        .rows.filter(({ assumed: told }) => told)
        .map(({ what }) => what),
    ).toEqual(expect.arrayContaining(axles.map(({ name }) => name)));
  });

  it('is of the donor whatever the plan does, and has a number for each line on the outline', () => {
    const { rows, outline } = surveySheet(van);
    expect(surveySheet({ ...van, plan: { ...van.plan, operations: [] } })).toEqual({ rows, outline });
    const numbers = outline.flatMap((shape) => (shape.kind === 'text' ? [Number(shape.text)] : []));
    expect(numbers).toEqual(rows.map(({ number }) => number));
  });

  it.each(ZOO.map((animal) => [animal.name, animal] as const))(
    'puts no number on another and draws only figures: %s',
    (_, animal) => {
      const { outline } = surveySheet(jobOf(animal));
      expect(writeSvg(outline, 'Survey')).not.toMatch(/NaN|Infinity|undefined/);
      const boxes = outline.flatMap((shape) =>
        shape.kind === 'text' ? [{ x: shape.at[0], y: shape.at[1], wide: shape.text.length * shape.height * 0.6 }] : [],
      );
      for (const [index, a] of boxes.entries())
        for (const b of boxes.slice(index + 1))
          if (Math.abs(a.y - b.y) < 40) expect(a.x + a.wide <= b.x + 1e-6 || b.x + b.wide <= a.x + 1e-6).toBe(true);
    },
  );
});
