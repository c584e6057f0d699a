import { validateBytes } from 'gltf-validator';
import { describe, expect, it } from 'vitest';
import { donor, inputOf, plainFrame } from '../../test/frames.ts';
import { tour, van } from '../../test/joints.ts';
import { evaluatePlan } from '../plan/index.ts';
import { sectionProperties } from '../sections/index.ts';
import { SCENE_LAYERS, sceneOf, spaceDimensions, writeGlb } from './index.ts';
import { boxOf, drawnOut, ringAbout, swept, tire, volumeOf } from './scene-shapes.ts';

const at = (x: number, y: number, z: number) => ({ x, y, z });
/** Least and greatest of each axis. */
const extent = (positions: readonly number[]) =>
  ([Math.min, Math.max] as const).map((most) =>
    [0, 1, 2].map((axis) => most(...positions.filter((_, index) => index % 3 === axis))),
  ) as [number[], number[]];

describe('shapes in space', () => {
  it('are closed and hold what they should', () => {
    expect(volumeOf(boxOf(at(0, 0, 0), at(2, 3, 4)))).toBeNear(24, 1e-9);
    const l = [at(0, 0, 0), at(4, 0, 0), at(4, 0, 1), at(1, 0, 1), at(1, 0, 3), at(0, 0, 3)];
    expect(volumeOf(drawnOut(l, -5, 5))).toBeNear(60, 1e-9);
    expect(volumeOf(drawnOut(l.toReversed(), 5, -5))).toBeNear(60, 1e-9);
    // Forty-eight sides hold a little less than what is round.
    const less = (48 / (2 * Math.PI)) * Math.sin((2 * Math.PI) / 48);
    const along = at(0, 1, 0);
    const ring = (y: number, radius: number) => ringAbout(at(0, y, 0), along, radius);
    expect(volumeOf(swept([ring(0, 3), ring(10, 3)])) / (Math.PI * 90)).toBeNear(less, 1e-9);
    // A cone without its point, turned either way: h/3 · π(R² + Rr + r²).
    const cone = (6 / 3) * Math.PI * (9 + 3 + 1) * less;
    expect(volumeOf(swept([ring(0, 3), ring(6, 1)]))).toBeNear(cone, 1e-9);
    expect(volumeOf(swept([ring(0, 1), ring(-6, 3)]))).toBeNear(cone, 1e-9);
    const [, up] = extent(tire(at(5, 6, 7), 400, 220).positions);
    expect(up[1]! - 6).toBeNear(110, 1e-9);
    expect(up[2]! - 7).toBeNear(400, 1e-6);
  });
});

describe('a frame in space', () => {
  const rails = (of: ReturnType<typeof inputOf>) => {
    const scene = sceneOf(of.donor, evaluatePlan(of));
    return scene.filter(({ layer }) => layer === 'rails' || layer === 'new rail');
  };

  it('its rails hold their section times their length, cut square or leaning alike', () => {
    const frame = plainFrame();
    const { area } = sectionProperties(frame.sections[0]!.section);
    const volume = (of: ReturnType<typeof inputOf>) => rails(of).reduce((sum, mesh) => sum + volumeOf(mesh), 0);
    expect(volume(inputOf(frame))).toBeNear(2 * 6000 * area, 1e-3);
    expect(volume(inputOf(frame, { kind: 'lengthen', at: donor(2500), length: 400 }))).toBeNear(2 * 6400 * area, 1e-3);
    // A leaning end, its top the longer: as long as its middle, half a depth of 150 shorter at 45°.
    const trim = { kind: 'trim', end: 'rear', at: donor(5500), angle: Math.PI / 4, lean: 'top-longer' } as const;
    expect(volume(inputOf(frame, trim))).toBeNear(2 * 5425 * area, 1e-3);
  });

  it('opens at its joints: each piece is a mesh of its own, in order', () => {
    const pieces = rails(inputOf(plainFrame(), { kind: 'lengthen', at: donor(2500), length: 400 })).map(
      ({ piece, layer }) => `${piece} ${layer}`,
    );
    expect(pieces.toSorted()).toEqual(['0 rails', '1 new rail', '2 rails']);
  });

  it.each([
    ['the flagship', van],
    ['the X-braced one', tour],
  ])('%s as glTF is accepted by the Khronos validator, in meters with y up', async (_, job) => {
    const result = evaluatePlan(job);
    const scene = sceneOf(job.donor, result);
    expect(scene.every(({ layer }) => SCENE_LAYERS.includes(layer))).toBe(true);
    expect(scene.flatMap(({ positions }) => positions).every(Number.isFinite)).toBe(true);
    const bytes = await writeGlb(scene, job.name);
    const report = await validateBytes(bytes);
    expect(report.issues).toMatchObject({ numErrors: 0, numWarnings: 0 });
    expect(report.info.totalTriangleCount).toBe(scene.reduce((sum, { indices }) => sum + indices.length / 3, 0));
    const json = JSON.parse(
      new TextDecoder().decode(
        bytes.subarray(20, 20 + new DataView(bytes.buffer, bytes.byteOffset).getUint32(12, true)),
      ),
    ) as { accessors: { max?: number[]; min?: number[] }[] };
    const ups = json.accessors.flatMap(({ max }) => (max ? [max[1] as number] : []));
    // Nothing on a truck is taller than 4 m.
    expect(Math.max(...ups)).toBeLessThan(4);
  });

  it('a body that clashes has what is met lit, and one that nobody drew is left out', () => {
    const [body] = van.bodies;
    const deep = { ...van, plan: { ...van.plan, seats: [{ body: body!.id, x: 0, z: -300, rake: 0 }] } };
    const layers = (job: typeof van) => new Set(sceneOf(job.donor, evaluatePlan(job)).map(({ layer }) => layer));
    expect(layers(deep).has('clashes')).toBe(true);
    expect(layers(van).has('clashes')).toBe(false);
    expect(layers({ ...van, bodies: [{ ...body!, outline: [], underside: [], boxes: [] }] }).has('body')).toBe(false);
  });

  it('a body is a closed block with the room of its wheels cut out of it', () => {
    const [body] = van.bodies;
    const outline = [at(-1500, 0, 0), at(1500, 0, 0), at(1500, 0, 800), at(-1500, 0, 800)].map(({ x, z }) => ({
      x,
      z,
    }));
    const bodies = (openings: NonNullable<typeof body>['openings']) => [
      { ...body!, outline, openings, boxes: [], width: 1800 },
    ];
    const solid = (openings: NonNullable<typeof body>['openings']) => {
      const scene = sceneOf(van.donor, evaluatePlan({ ...van, bodies: bodies(openings) }));
      return volumeOf(scene.find(({ layer }) => layer === 'body')!);
    };
    expect(solid([])).toBeNear(3000 * 800 * 1800, 1);
    const wheel = { id: 'o', name: 'Opening', over: 'rear', x: 200, z: 100, radius: 400 } as const;
    // Half of what is round in 24 chords, and what is under its middle.
    const half = (400 ** 2 * 24 * Math.sin(Math.PI / 24)) / 2;
    expect(solid([wheel])).toBeNear((3000 * 800 - half - 800 * 100) * 1800, 1e3);
    // An opening that nobody measured takes nothing out; one with an edge of its own takes out that.
    expect(solid([{ ...wheel, z: undefined } as never])).toBeNear(3000 * 800 * 1800, 1);
    const own = [at(0, 0, -50), at(0, 0, 300), at(500, 0, 300), at(500, 0, -50)].map(({ x, z }) => ({ x, z }));
    expect(solid([{ ...wheel, outline: own }])).toBeNear((3000 * 800 - 500 * 300) * 1800, 1e3);
  });

  it('wheelbase, cab to axle and length are those of the evaluation, and lie beside it on the ground', () => {
    const result = evaluatePlan(van);
    const { wheelbase, cabToAxle, overallLength } = result.measures.after;
    const lines = spaceDimensions(result);
    expect(lines.map(({ name, length }) => [name, length])).toEqual([
      ['CA', cabToAxle],
      ['WB', wheelbase],
      ['Overall', overallLength],
    ]);
    for (const { from, to, length, outFrom } of lines) {
      expect(to.x - from.x).toBeNear(length, 1e-9);
      expect(from.y).toBeLessThan(outFrom);
      expect(from.z).toBeLessThan(Math.min(...result.axles.flatMap(({ built }) => (built ? [built.z] : []))));
    }
    // Without an axle there is no figure to draw, and without a cab no CA.
    const bare = inputOf({ ...plainFrame(), axles: [], points: [] });
    expect(spaceDimensions(evaluatePlan(bare)).map(({ name }) => name)).toEqual(['Overall']);
  });
});
