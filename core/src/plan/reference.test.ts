import { describe, expect, it } from 'vitest';
import reference from '../../test/reference/plan_geometry.json' with { type: 'json' };
import { donor, inputOf, plainFrame, pointAt } from '../../test/frames.ts';
import type { ControlEnd, ControlPoint, Rail } from '../frame/index.ts';
import { evaluatePlan, type PlanInput } from './index.ts';

type Given = Record<string, number | string>;
type Bare = Parameters<typeof inputOf>[1];
const radians = (degrees: number) => (degrees * Math.PI) / 180;

/** The neutral operation of a reference case in the plan's own terms. */
function operationOf(given: Given): Bare {
  const x = (key: string) => donor(Number(given[key]));
  switch (given.op) {
    case 'insert':
      return { kind: 'lengthen', at: x('x_mm'), length: Number(given.length_mm), section: null };
    case 'remove':
      return { kind: 'shorten', transition: 0, from: x('x1_mm'), to: x('x2_mm') };
    case 'pie_cut':
      return {
        kind: 'pie-cut',
        at: x('x_mm'),
        pivot: given.pivot_edge as 'top',
        mode: given.mode === 'remove_wedge_and_close' ? 'close' : 'open',
        turned: given.turned_part as 'front',
        amount: { by: 'angle', angle: radians(Number(given.angle_deg)) },
        wedge: 'symmetric',
      };
    case 'raise_rear':
      return { kind: 'step', from: x('x1_mm'), to: x('x2_mm'), rise: Number(given.rise_mm), method: 'turn-middle' };
    case 'trim_rear':
      return {
        kind: 'trim',
        end: 'rear',
        at: x('x_top_mm'),
        angle: radians(Number(given.angle_deg)),
        lean: 'top-longer',
      };
    default:
      throw new Error(`no operation for ${String(given.op)}`);
  }
}

function inputOfCase(c: (typeof reference.cases)[number]): { input: PlanInput; ends: Map<string, ControlEnd> } {
  const points = Object.entries(c.input.control_points_mm as Record<string, { x: number; y: number; z: number }>);
  const ends = new Map<string, ControlEnd>(
    points.map(([name, at]) => [name, { point: String(at.x), side: at.y < 0 ? 'left' : 'right' }]),
  );
  const xs = [...new Set(points.map(([, at]) => at.x))];
  const names = Object.keys(c.expected.distances_before_mm).map((pair) => pair.split('-') as [string, string]);
  const stations: Rail = c.input.station_table.map((s) => ({
    x: s.x_mm,
    halfWidth: s.half_width_outside_mm,
    top: s.top_z_mm,
    section: 'rail',
  }));
  const at = Object.entries(c.input.features_mm as unknown as Record<string, [number, number, number]>);
  const axle = (key: string) => at.find(([name]) => name === key)?.[1] ?? [0, 0, 0];
  const [front, rear] = [axle('front_axle'), axle('rear_axle')];
  const frame = plainFrame(
    {
      controlPoints: xs.map((x): ControlPoint => ({ id: String(x), name: String(x), x, inboard: 0, down: 0 })),
      controlMeasurements: names.map(([a, b]) => ({
        id: `${a}-${b}`,
        kind: 'tape' as const,
        from: ends.get(a)!,
        to: ends.get(b)!,
      })),
      points: at.filter(([name]) => !name.endsWith('_axle')).map(([name, [x, y, z]]) => pointAt(name, x, y, z)),
      axles: [
        { id: 'front', name: 'Front', role: 'front', x: front[0]!, z: front[2]!, tireRadius: 380, track: 1600 },
        { id: 'rear', name: 'Rear', role: 'rear', x: rear[0]!, z: rear[2]!, tireRadius: 380, track: 1600 },
      ],
    },
    stations,
  );
  return {
    input: inputOf(frame, ...c.input.operations.map((operation) => operationOf(operation as unknown as Given))),
    ends,
  };
}

describe('plan geometry against independent references', () => {
  it.each(reference.cases.map((c) => [c.id, c] as const))('%s', (_, c) => {
    const { input } = inputOfCase(c);
    const result = evaluatePlan(input);
    const expected = c.expected as unknown as Record<string, never> & {
      distances_after_mm: Record<string, number>;
      distances_before_mm: Record<string, number>;
      features_after_mm: Record<string, [number, number, number] | null>;
    };
    expect(result.operations.map((outcome) => outcome.status)).toEqual(c.input.operations.map(() => 'done'));
    for (const control of result.controls) {
      expect(control.before).toBeNear(expected.distances_before_mm[control.measurement.id]!, 0.01);
      expect(control.predicted).toBeNear(expected.distances_after_mm[control.measurement.id]!, 0.01);
    }
    expect(result.controls.length).toBe(Object.keys(expected.distances_after_mm).length);
    expect(result.measures.before.wheelbase).toBeNear(Number(expected.wheelbase_before_mm), 0.01);
    expect(result.measures.after.wheelbase).toBeNear(Number(expected.wheelbase_after_mm), 0.01);
    for (const point of result.points) {
      const after = expected.features_after_mm[point.item.id];
      if (!Array.isArray(after)) {
        expect(point.built, point.item.id).toBeNull();
        continue;
      }
      expect(point.built?.x, point.item.id).toBeNear(after[0], 0.01);
      expect(point.built?.y, point.item.id).toBeNear(after[1], 0.01);
      expect(point.built?.z, point.item.id).toBeNear(after[2], 0.01);
    }
  });

  const byId = (id: string) => {
    const c = reference.cases.find((candidate) => candidate.id === id)!;
    return {
      expected: c.expected as unknown as Record<string, number & number[]>,
      result: evaluatePlan(inputOfCase(c).input),
    };
  };

  it('reports the sideways mismatch of converging rails per side', () => {
    const { expected, result } = byId('remove_converging_same_slope');
    const joint = result.joints[0]!;
    expect(joint.sides.left.dy).toBeNear(expected.mismatch_left_right_y_mm![0]!, 0.01);
    expect(joint.sides.right.dy).toBeNear(expected.mismatch_left_right_y_mm![1]!, 0.01);
    expect(joint.sides.left.yaw).toBeNear(0, 1e-12);
    expect(joint.verdict).toBe('needs-a-transition-piece');
  });

  it('turns the nose down by a top pie cut, and the wedge is the symmetric one', () => {
    const { expected, result } = byId('pie_top_remove_wedge_and_close_5deg');
    const wedge = result.removed[0]!;
    const width = (wedge.rear.lean - wedge.front.lean) * -150;
    expect(width).toBeNear(expected.wedge_width_symmetric_mm!, 0.01);
    expect(result.joints[0]!.sides.left.gapBottom).toBeNear(0, 0.001);
    expect(result.joints[0]!.verdict).toBe('meets');
    expect(result.measures.after.overallLength).toBeNear(expected.plan_length_top_edge_after_mm!, 0.01);
  });

  it('raises the rear by turning the middle: the plan shortens, the first joint opens below', () => {
    const { expected, result } = byId('raise_rear_turn_middle');
    expect((result.pieces[1]!.pose.turn * 180) / Math.PI).toBeNear(expected.middle_angle_deg!, 0.001);
    const after = 6000 - result.measures.after.overallLength;
    expect(after).toBeNear(expected.plan_shortening_mm!, 0.01);
    // Bending up at the first joint about the top edge opens the bottom; bending down at the second overlaps it.
    const [opens, closes] = result.joints.map((joint) => joint.sides.left);
    const gap = expected.second_joint_gap_between_square_ends_mm!;
    expect(opens!.gapBottom).toBeNear(gap * Math.cos(radians(11.536959033 / 2)), 0.01);
    expect(closes!.gapBottom).toBeNear(0, 0.001);
    const wedge = result.removed[0]!;
    expect((wedge.rear.lean - wedge.front.lean) * -150).toBeNear(expected.first_joint_wedge_symmetric_mm!, 0.01);
  });

  it('trims at 45° with the top longer, and takes off the stated mass', () => {
    const { expected, result } = byId('trim_rear_45_top_longer');
    expect(result.cutEnds[0]).toMatchObject({ letter: 'A', end: 'rear' });
    expect(result.cutEnds[0]!.builtX).toBeNear(expected.x_top_after_mm!, 0.01);
    expect(result.measures.after.overallLength).toBeNear(expected.overall_length_after_mm!, 0.01);
  });
});
