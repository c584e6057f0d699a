import { validateBytes } from 'gltf-validator';
import { describe, expect, it } from 'vitest';
import { donor, inputOf, plainFrame } from '../../test/frames.ts';
import { tour, van } from '../../test/joints.ts';
import { evaluatePlan } from '../plan/index.ts';
import { sectionProperties } from '../sections/index.ts';
import { SCENE_LAYERS, sceneOf, writeGlb } from './index.ts';
import { boxOf, cylinder, drawnOut, volumeOf } from './scene-shapes.ts';

const at = (x: number, y: number, z: number) => ({ x, y, z });

describe('shapes in space', () => {
  it('are closed and hold what they should', () => {
    expect(volumeOf(boxOf(at(0, 0, 0), at(2, 3, 4)))).toBeNear(24, 1e-9);
    const l = [at(0, 0, 0), at(4, 0, 0), at(4, 0, 1), at(1, 0, 1), at(1, 0, 3), at(0, 0, 3)];
    expect(volumeOf(drawnOut(l, -5, 5))).toBeNear(60, 1e-9);
    expect(volumeOf(drawnOut(l.toReversed(), 5, -5))).toBeNear(60, 1e-9);
    // Twenty sides hold a little less than the round bar.
    const bar = volumeOf(cylinder(at(0, 0, 0), at(0, 10, 0), 3));
    expect(bar / (Math.PI * 90)).toBeNear((20 / (2 * Math.PI)) * Math.sin((2 * Math.PI) / 20), 1e-9);
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
  ])('%s as glTF is accepted by the Khronos validator, in metres with y up', async (_, job) => {
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
});
