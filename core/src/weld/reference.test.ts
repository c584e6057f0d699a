import { describe, expect, it } from 'vitest';
import plans from '../../test/reference/weld_plan.json' with { type: 'json' };
import thermal from '../../test/reference/weld_thermal.json' with { type: 'json' };
import {
  arcTime,
  balancedOrder,
  filletArea,
  grooveArea,
  heatInput,
  passesFor,
  peakOf,
  pulled,
  pullFactor,
  pullOf,
  type PullingStitch,
  WarmWall,
  weldMass,
} from './index.ts';
import { shrinkageAcross } from '../splice/index.ts';

const STEEL = 7850e-9;
const rad = (degrees: number) => (degrees * Math.PI) / 180;
const caseOf = <T>(file: { readonly cases: readonly { readonly id: string }[] }, id: string): T => {
  const found = file.cases.find((one) => one.id === id);
  if (!found) throw new Error(`no case ${id}`);
  return found as unknown as T;
};

interface Figures {
  readonly input: Record<string, number>;
  readonly expected: Record<string, number>;
}

type Point = readonly [number, number, number];
const spot = ([x, y, z]: Point) => ({ x, y, z });

describe('independently computed welds', () => {
  it('give the weld metal of a groove with both edges beveled', () => {
    const { input, expected } = caseOf<Figures>(plans, 'groove_both_bevelled');
    const wall = input.wall_mm!;
    const area = grooveArea({
      wall,
      gap: input.gap_mm!,
      land: input.land_mm!,
      bevel: rad(input.bevel_deg_per_edge!),
      beveledEdges: 2,
      cap: { width: input.cap_width_mm!, height: input.cap_height_mm! },
    });
    expect(area).toBeWithin(expected.area_mm2!, 1e-5);
    expect(passesFor(area, input.mm2_per_pass!)).toBe(expected.passes);
    expect(weldMass(area, input.length_mm!, STEEL) * 1000).toBeWithin(expected.weld_metal_g!, 1e-5);
    expect(shrinkageAcross(area, wall)).toBeWithin(expected.shrinkage_across_mm!, 1e-5);
  });

  it('give the weld metal of a fillet', () => {
    const { input, expected } = caseOf<Figures>(plans, 'fillet_5');
    const area = filletArea(input.leg_mm!);
    expect(area).toBeWithin(expected.area_mm2!, 1e-6);
    expect(passesFor(area, input.mm2_per_pass!)).toBe(expected.passes);
    expect(weldMass(area, input.length_mm!, STEEL) * 1000).toBeWithin(expected.weld_metal_g!, 1e-6);
  });

  it('give the heat of a stitch', () => {
    const { input, expected } = caseOf<Figures>(plans, 'heat_1');
    const settings = { volts: input.volts!, amps: input.amps!, travel: input.travel_mm_per_min! };
    const heat = heatInput(settings, input.efficiency!);
    expect(heat).toBeWithin(expected.kJ_per_mm!, 1e-6);
    expect(arcTime(input.stitch_mm!, settings.travel)).toBeWithin(expected.arc_s!, 1e-6);
    expect(heat * input.stitch_mm!).toBeWithin(expected.stitch_kJ!, 1e-6);
  });

  it('give heat with travel by the second', () => {
    const { input, expected } = caseOf<Figures>(thermal, 'heat_input_2');
    const settings = { volts: input.volts!, amps: input.amps!, travel: 60 * input.travel_mm_per_s! };
    expect(heatInput(settings, input.efficiency!)).toBeWithin(expected.heat_input_kJ_per_mm!, 1e-6);
    expect(heatInput(settings, 1)).toBeWithin(expected.arc_energy_without_efficiency_kJ_per_mm!, 1e-6);
  });

  it('give the pull of a joint and where it takes every control point', () => {
    const { input, expected } = caseOf<{
      input: {
        joint_x_mm: number;
        walls: readonly Record<string, number>[];
        control_points_mm: Record<string, Point>;
        readings: Record<string, readonly [string, string]>;
      };
      expected: Record<string, number> & {
        change_of_readings_mm: Record<string, number>;
        change_of_height_mm: Record<string, number>;
        change_of_side_mm: Record<string, number>;
      };
    }>(plans, 'pull_both_rails_alike');
    const pull = pullOf(
      input.walls.map((wall) => ({
        area: wall.area_mm2!,
        y: wall.y_mm!,
        z: wall.z_mm!,
        wide: wall.extent_y_mm!,
        deep: wall.extent_z_mm!,
        shrinkage: wall.shrinkage_mm!,
      })),
    );
    expect(pull.shortening).toBeWithin(expected.shortening_u_mm!, 1e-4);
    expect(pull.pitch).toBeNear(expected.pitch_rad!, 1e-7);
    expect(pull.yaw).toBeNear(expected.yaw_rad!, 1e-7);
    expect(pull.center.z).toBeWithin(expected.centroid_z_mm!, 1e-4);
    const points = input.control_points_mm;
    const after = (name: string) => pulled(pull, input.joint_x_mm, spot(points[name]!));
    const apart = (a: { x: number; y: number; z: number }, b: typeof a) => Math.hypot(a.x - b.x, a.y - b.y, a.z - b.z);
    for (const [name, [a, b]] of Object.entries(input.readings)) {
      const change = apart(after(a), after(b)) - apart(spot(points[a]!), spot(points[b]!));
      expect(change).toBeNear(expected.change_of_readings_mm[name]!, 0.01);
    }
    for (const [name, height] of Object.entries(expected.change_of_height_mm))
      expect(after(name).z - points[name]![2]).toBeNear(height, 0.01);
    for (const [name, side] of Object.entries(expected.change_of_side_mm))
      expect(after(name).y - points[name]![1]).toBeNear(side, 0.01);
  });

  it('give the order with the least peak', () => {
    const { input, expected } = caseOf<{
      input: { stitches: readonly Record<string, number>[]; centroid_of_the_joint_y_z_mm: readonly [number, number] };
      expected: { least_peak_mm4: number; peak_in_the_listed_order_mm4: number };
    }>(plans, 'order_box_four_faces');
    const [y, z] = input.centroid_of_the_joint_y_z_mm;
    const stitches = input.stitches.map((one): PullingStitch => ({
      y: one.y_mm!,
      z: one.z_mm!,
      area: one.weld_metal_mm2!,
      length: one.length_mm!,
    }));
    expect(balancedOrder(stitches, { y, z }).peak).toBeWithin(expected.least_peak_mm4, 1e-6);
    expect(peakOf(stitches, { y, z })).toBeWithin(expected.peak_in_the_listed_order_mm4, 1e-6);
  });

  it('give the factor of the shop’s own joints', () => {
    const { input, expected } = caseOf<{
      input: { predicted_and_measured_mm: readonly (readonly [number, number])[]; fewest_joints: number };
      expected: { factor: number; count: number; used: boolean };
    }>(plans, 'calibration_five');
    const samples = input.predicted_and_measured_mm.map(([predicted, measured]) => ({ expected: predicted, measured }));
    const { factor, count, used } = pullFactor(samples, input.fewest_joints);
    expect(factor).toBeWithin(expected.factor, 1e-6);
    expect([count, used]).toEqual([expected.count, expected.used]);
  });

  it('give how a strip cools that is heated along its middle', () => {
    const { input, expected } = caseOf<{
      input: Record<string, number> & { heats: readonly Record<string, number>[] };
      expected: {
        times_s: readonly number[];
        points_x_mm: readonly number[];
        temperature_C_rows_by_time: readonly (readonly number[])[];
        wait_after_last_heat_until_point_below_150C_s: number;
      };
    }>(thermal, 'across_width_one_pass');
    const [heat] = input.heats;
    const around = 10;
    const strip = new WarmWall(
      {
        length: 300,
        around,
        closed: false,
        thickness: input.plate_thickness_mm!,
        steel: {
          density: input.rho_kg_per_m3!,
          specificHeat: input.c_J_per_kgK!,
          conductivity: input.k_W_per_mK!,
        },
        loss: { film: input.h_each_face_W_per_m2K!, emissivity: 0, ambient: input.ambient_and_start_C!, faces: 2 },
      },
      [150],
      { cell: 1.5, far: 6 },
    );
    const heats = [
      {
        from: { x: 150, s: 0 },
        to: { x: 150, s: around },
        band: heat!.x_to_mm! - heat!.x_from_mm!,
        start: heat!.t_from_s!,
        seconds: heat!.t_to_s! - heat!.t_from_s!,
        energy: heat!.J_per_mm_of_seam! * around,
      },
    ];
    strip.runTo(heats[0]!.start + heats[0]!.seconds, heats);
    const wait = strip.waitFor(150, around / 2, 150);
    expect(wait).toBeNear(expected.wait_after_last_heat_until_point_below_150C_s, 1.57);
    for (const [row, time] of expected.times_s.entries()) {
      strip.runTo(time, heats);
      for (const [column, x] of expected.points_x_mm.entries()) {
        const wanted = expected.temperature_C_rows_by_time[row]![column]!;
        expect(strip.at(x, around / 2)).toBeNear(wanted, Math.max(2, 0.01 * (wanted - 20)));
      }
    }
  });
});
