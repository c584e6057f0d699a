import { describe, expect, it } from 'vitest';
import { type Bare, built, donor, inputOf, plainFrame } from '../../../test/frames.ts';
import type { Crossmember, Feature, Frame } from '../../frame/index.ts';
import { ruleValue } from '../../rules/index.ts';
import { evaluatePlan, type OperationFigures, operationFigures } from '../index.ts';

/** Of two rails: tube 60 × 150, wall 5, so 2000 mm² each. */
const massOf = (length: number) => 2 * 2000 * 7.85e-6 * length;
const tube = plainFrame();
const channel = plainFrame({
  sections: [{ id: 'rail', section: { kind: 'channel', depth: 150, flange: 60, thickness: 5 } }],
});

/** The figures of the last operation of a plan. */
function figures<K extends OperationFigures['kind']>(kind: K, frame: Frame, ...operations: readonly Bare[]) {
  const input = inputOf(frame, ...operations);
  const found = operationFigures(input, evaluatePlan(input), `op${operations.length}`);
  if (found?.kind !== kind) throw new Error(`no figures of ${kind}`);
  return found as Extract<OperationFigures, { kind: K }>;
}
const near = (value: number) => expect.closeTo(value, 9) as number;

describe('rail taken out', () => {
  const out = { kind: 'shorten', from: donor(2000), to: donor(2400) } as const;

  it('is as long and as heavy as it is, and the scrap is less by both saw cuts', () => {
    const kerf = ruleValue(inputOf(tube).rules, 'cut/kerf');
    expect(figures('shorten', tube, out)).toEqual({
      kind: 'shorten',
      out: { left: near(400), right: near(400) },
      scrap: { left: near(400 - 2 * kerf), right: near(400 - 2 * kerf) },
      mass: near(massOf(400)),
      halfWidths: { ahead: 430, behind: 430 },
      transition: null,
    });
    // Less than the saw takes leaves no scrap, and not less than none.
    expect(figures('shorten', tube, { ...out, to: donor(2001) }).scrap.left).toBe(0);
  });

  it('has half-widths of both ends on a taper, spread and all, and the turn of its transition piece', () => {
    const taper = plainFrame({}, [
      { x: 0, halfWidth: 470, top: 0, section: 'rail' },
      { x: 1500, halfWidth: 470, top: 0, section: 'rail' },
      { x: 4000, halfWidth: 320, top: 0, section: 'rail' },
      { x: 6000, halfWidth: 320, top: 0, section: 'rail' },
    ]);
    const plain = figures('shorten', taper, out);
    // 0.06 a mm: 30 in at 2000, 54 in at 2400.
    expect(plain.halfWidths).toEqual({ ahead: near(440), behind: near(416) });
    expect(plain.out.left).toBeNear(Math.hypot(400, 24), 1e-9);
    const bridged = figures('shorten', taper, { ...out, transition: 300 });
    // It stands in for the 300 behind the cut too: from 440 in to 470 − 0.06 · 1200 = 398.
    expect(bridged.transition!.length.left).toBeNear(Math.hypot(300, 42), 1e-9);
    expect(bridged.transition!.turn).toBeNear(Math.atan(42 / 300) - Math.atan(0.06), 1e-9);
    const wider = figures('shorten', taper, { kind: 'widen', amount: 50, from: null, to: null, transition: 0 }, out);
    expect(wider.halfWidths).toEqual({ ahead: near(465), behind: near(441) });
  });
});

describe('rail put in or on', () => {
  it('is as long as asked and weighs as much as its own section', () => {
    expect(figures('lengthen', tube, { kind: 'lengthen', at: donor(2000), length: 300 })).toEqual({
      kind: 'lengthen',
      each: { left: near(300), right: near(300) },
      mass: near(massOf(300)),
      off: 0,
    });
  });

  it('says what comes off the old end first', () => {
    const extended = figures('extend', tube, { kind: 'extend', end: 'rear', cut: { x: 250, on: 'end' }, length: 500 });
    expect(extended).toMatchObject({ each: { left: near(500) }, off: near(250), mass: near(massOf(500)) });
    expect(figures('extend', tube, { kind: 'extend', end: 'front', length: 500 }).off).toBe(0);
  });
});

describe('a widening', () => {
  it('leads out at its front and in again at its rear, each over its transition', () => {
    const { out, leads } = figures('widen', tube, {
      kind: 'widen',
      amount: 120,
      from: donor(2000),
      to: donor(4000),
      transition: 400,
    });
    expect(out).toBe(60);
    expect(leads.map(({ end, length, slope }) => [end, length.right, slope.right])).toEqual([
      ['front', near(Math.hypot(400, 60)), near(Math.atan(60 / 400))],
      ['rear', near(Math.hypot(400, 60)), near(-Math.atan(60 / 400))],
    ]);
  });

  it('of the front part only leads in at its rear', () => {
    const { leads } = figures('widen', tube, {
      kind: 'widen',
      amount: 120,
      from: null,
      to: donor(2000),
      transition: 400,
    });
    expect(leads.map(({ end }) => end)).toEqual(['rear']);
  });
});

describe('a pie cut', () => {
  const pie = {
    kind: 'pie-cut',
    at: donor(3000),
    pivot: 'top',
    mode: 'close',
    turned: 'rear',
    amount: { by: 'angle', angle: 0.2 },
    wedge: 'symmetric',
  } as const;

  it('takes a wedge by its angle over the depth: both faces sloped, one square, or opened', () => {
    expect(figures('pie-cut', tube, pie)).toMatchObject({ angle: 0.2, wedge: near(2 * 150 * Math.tan(0.1)) });
    expect(figures('pie-cut', tube, { ...pie, wedge: 'square' }).wedge).toBeNear(150 * Math.tan(0.2), 1e-9);
    expect(figures('pie-cut', tube, { ...pie, mode: 'open' }).wedge).toBeNear(2 * 150 * Math.sin(0.1), 1e-9);
  });

  it('brings a point nearer where it is given by its drop, and says nothing of one where it is not', () => {
    const dropped = figures('pie-cut', tube, { ...pie, amount: { by: 'drop', drop: 100, distance: 800 } });
    expect(dropped.angle).toBeNear(Math.asin(100 / 800), 1e-9);
    expect(dropped.nearer).toBeNear(800 - Math.sqrt(800 ** 2 - 100 ** 2), 1e-9);
    expect(figures('pie-cut', tube, pie).nearer).toBeNull();
  });
});

describe('a step', () => {
  const step = { kind: 'step', from: donor(3000), to: donor(3600), rise: 160, method: 'turn-middle' } as const;

  it('that turns its middle leaves the frame shorter; wedge and opening are as wide as the turn asks', () => {
    const turn = Math.asin(160 / 600);
    const turned = figures('step', tube, step);
    expect(turned).toMatchObject({
      slope: near(turn),
      length: near(600),
      shorter: near(600 - Math.sqrt(600 ** 2 - 160 ** 2)),
    });
    expect(turned.wedge).toBeGreaterThan(0);
    expect(turned.opening).toBeGreaterThan(0);
  });

  it('with a new middle keeps its length, and has neither wedge nor opening', () => {
    const made = figures('step', tube, { ...step, method: 'new-middle' });
    expect(made).toMatchObject({
      slope: near(Math.atan(160 / 600)),
      length: near(Math.hypot(600, 160)),
      shorter: near(0),
      wedge: 0,
    });
    expect(made.opening).toBeNear(0, 1e-9);
  });
});

it('a trim says what comes off along the top, how far its face leans and how long that is', () => {
  expect(
    figures('trim', tube, { kind: 'trim', end: 'rear', at: donor(5600), angle: Math.PI / 6, lean: 'bottom-longer' }),
  ).toEqual({
    kind: 'trim',
    off: near(400),
    lean: near(150 * Math.tan(Math.PI / 6)),
    face: near(150 / Math.cos(Math.PI / 6)),
    runsOut: null,
  });
});

describe('a notch', () => {
  const notch = { kind: 'notch', at: donor(3000), width: 200, depth: 60, from: 'below', form: 'arch' } as const;

  it('leaves its depth less, and its modulus falls with the square of that in a bare web', () => {
    const weak = figures('notch', channel, { ...notch, plate: 0 });
    expect(weak).toMatchObject({ left: 90, plated: null });
    // Less than the web alone would keep of its modulus, (90 / 150)², since a flange goes with it; more than nothing.
    expect(weak.modulus!).toBeGreaterThan(0.05);
    expect(weak.modulus!).toBeLessThan(0.36);
    const plated = figures('notch', channel, { ...notch, plate: 8 });
    expect(plated.modulus).toBe(weak.modulus);
    expect(plated.plated!).toBeGreaterThan(weak.modulus! * 1.5);
    // A thicker plate carries more; one as thick as what is left is none.
    expect(figures('notch', channel, { ...notch, plate: 12 }).plated!).toBeGreaterThan(plated.plated!);
    expect(figures('notch', channel, { ...notch, plate: 90 }).plated).toBeNull();
  });

  it('in a round tube has no modulus told', () => {
    const round = plainFrame({ sections: [{ id: 'rail', section: { kind: 'round', depth: 150, thickness: 6 } }] });
    expect(figures('notch', round, { ...notch, plate: 5 })).toEqual({
      kind: 'notch',
      left: 90,
      deep: { front: 60, rear: 60 },
      modulus: null,
      plated: null,
    });
  });
});

it('a boxing plate stiffens an open rail in bending a little, in twist many times', () => {
  const boxed = figures('box', channel, { kind: 'box', from: donor(2000), to: donor(3000), plate: 5, taper: 50 });
  expect(boxed.runs).toEqual([1000]);
  expect(boxed.bending).toBeGreaterThan(1.2);
  expect(boxed.bending).toBeLessThan(2);
  // Closed against open: mean perimeter squared against thickness squared, roughly 3 · (2 A / s t)² with A = 145 · 55.
  expect(boxed.torsion).toBeGreaterThan(200);
});

describe('a crossmember', () => {
  const member: Crossmember = {
    id: 'c',
    name: 'Crossmember',
    x: 3000,
    length: 80,
    depth: 90,
    below: 40,
    fixing: 'bolted',
    removable: true,
    mass: 9,
  };
  const framed = plainFrame({ crossmembers: [member] });

  it('hangs under the rail by what it stands below its top and its depth, less the rail’s', () => {
    const lowered = { kind: 'crossmember', change: { what: 'lower', crossmember: 'c', by: 35 } } as const;
    expect(figures('crossmember', framed, lowered)).toEqual({
      kind: 'crossmember',
      railDepth: 150,
      below: 75,
      depth: 90,
      under: 15,
      wider: 0,
      // From web to web: 860 outside, walls of 5.
      cutLength: 850,
    });
    const thinned = { kind: 'crossmember', change: { what: 'thin', crossmember: 'c', depth: 50 } } as const;
    expect(figures('crossmember', framed, thinned)).toMatchObject({ depth: 50, under: expect.any(Number) as number });
  });

  it('that comes out is shown as it was, and one put where the frame is wider as wide as there', () => {
    const removed = { kind: 'crossmember', change: { what: 'remove', crossmember: 'c' } } as const;
    expect(figures('crossmember', framed, removed)).toMatchObject({ below: 40, depth: 90, under: -20 });
    const wide = figures(
      'crossmember',
      framed,
      { kind: 'widen', amount: 100, from: null, to: null, transition: 0 },
      { kind: 'crossmember', change: { what: 'lower', crossmember: 'c', by: 10 } },
    );
    expect(wide.wider).toBe(100);
  });
});

describe('a bracket', () => {
  const hole: Feature = {
    ...tube.features[0]!,
    id: 'h',
    name: 'h',
    x: 3000,
    down: 50,
    diameter: 20,
    movable: 're-drill',
  };
  const framed = plainFrame({ features: [...tube.features, hole] });
  const bracket = (change: Extract<Bare, { kind: 'bracket' }>['change'], frame = framed) =>
    figures('bracket', frame, { kind: 'bracket', change });

  it('that is moved says where it was and is, and the steel left to each edge of the rail', () => {
    expect(bracket({ what: 'move', feature: 'h', to: donor(3100), down: 90 })).toEqual({
      kind: 'bracket',
      railDepth: 150,
      was: 50,
      down: 90,
      fromTop: 80,
      fromBottom: 50,
      between: null,
      row: 0,
    });
  });

  it('on an edge stands there', () => {
    const bottom = plainFrame({ features: [...tube.features, { ...hole, face: 'bottom' as const }] });
    expect(bracket({ what: 'move', feature: 'h', to: donor(3100), down: 90 }, bottom)).toMatchObject({
      was: 150,
      down: 150,
    });
    const top = plainFrame({ features: [...tube.features, { ...hole, face: 'top' as const }] });
    expect(bracket({ what: 'remove', feature: 'h' }, top)).toMatchObject({ was: 0, down: 0 });
  });

  it('of a row of holes says the steel between two, and first to last', () => {
    const drilled = { what: 'drill', at: built(3500), feature: { ...hole, id: 'new' }, count: 4, pitch: 55 } as const;
    expect(bracket(drilled)).toMatchObject({ between: 35, row: 165, down: 50, fromTop: 40, fromBottom: 90 });
    expect(bracket({ ...drilled, count: 1 })).toMatchObject({ between: null, row: 0 });
  });
});

it('what is refused, switched off or unknown has no figures', () => {
  const input = inputOf(tube, { kind: 'lengthen', at: donor(9000), length: 300 });
  const off = {
    ...input,
    plan: { ...input.plan, operations: input.plan.operations.map((each) => ({ ...each, off: true })) },
  };
  expect(operationFigures(input, evaluatePlan(input), 'op1')).toBeNull();
  expect(operationFigures(off, evaluatePlan(off), 'op1')).toBeNull();
  expect(operationFigures(input, evaluatePlan(input), 'nothing')).toBeNull();
});

describe('and where other work stands before or behind it', () => {
  it('a box counts no rail that a later cut takes out of it', () => {
    const open = plainFrame({
      sections: [{ id: 'rail', section: { kind: 'channel', depth: 150, flange: 60, thickness: 5 } }],
    });
    const input = inputOf(
      open,
      { kind: 'box', from: donor(2000), to: donor(3000), plate: 4, taper: 50 },
      { kind: 'shorten', from: donor(2400), to: donor(2700) },
    );
    const figures = operationFigures(input, evaluatePlan(input), 'op1');
    expect(figures).toMatchObject({ kind: 'box', runs: [400, 300] });
  });

  it('a widening on a taper has leads of their true length and slope', () => {
    // From 470 at 1500 the rails come in by 0.06 a mm. 40 out over 300 ahead of 3000: from 398 out to 400 at the end.
    const taper = plainFrame({}, [
      { x: 0, halfWidth: 470, top: 0, section: 'rail' },
      { x: 1500, halfWidth: 470, top: 0, section: 'rail' },
      { x: 4000, halfWidth: 320, top: 0, section: 'rail' },
      { x: 6000, halfWidth: 320, top: 0, section: 'rail' },
    ]);
    const input = inputOf(taper, { kind: 'widen', amount: 40, from: donor(3000), to: null, transition: 300 });
    const figures = operationFigures(input, evaluatePlan(input), 'op1');
    // Ends: 470 − 0.06 · 1200 = 398 at 2700, and 470 − 0.06 · 1500 + 20 = 400 at 3000.
    expect(figures).toMatchObject({
      kind: 'widen',
      out: 20,
      leads: [
        {
          end: 'front',
          length: { left: expect.closeTo(Math.hypot(300, 2), 9) as number },
          slope: { left: expect.closeTo(Math.atan2(2, 300), 9) as number },
        },
      ],
    });
  });

  it('a step says when turning the middle makes the frame longer', () => {
    // A rail that rises 200 over 1000 and is brought down level by its middle: 1000 along the level becomes √(1000² + 200²).
    const ramp = plainFrame({}, [
      { x: 0, halfWidth: 430, top: 0, section: 'rail' },
      { x: 2000, halfWidth: 430, top: 0, section: 'rail' },
      { x: 3000, halfWidth: 430, top: 200, section: 'rail' },
      { x: 6000, halfWidth: 430, top: 200, section: 'rail' },
    ]);
    const input = inputOf(ramp, {
      kind: 'step',
      from: donor(2000),
      to: donor(3000),
      rise: -200,
      method: 'turn-middle',
    });
    const figures = operationFigures(input, evaluatePlan(input), 'op1');
    if (figures?.kind !== 'step') throw new Error('no step');
    expect(figures.shorter).toBeNear(1000 - Math.hypot(1000, 200), 1e-9);
    expect(figures.slope).toBeNear(0, 1e-9);
  });
});
