import { describe, expect, it } from 'vitest';
import reference from '../../test/reference/splice.json' with { type: 'json' };
import type { Section } from '../sections/index.ts';
import {
  effectiveSection,
  type Fillet,
  type JointForm,
  type Splice,
  type SplicePart,
  spliceStrength,
} from './index.ts';

/** A case of the reference file as far as it is read here; what a case does not have is left out. */
interface Case {
  readonly id: string;
  readonly input: {
    readonly rail: { kind: string; h_mm: number; b_mm: number; t_mm: number; yield_MPa: number };
    readonly joint: Record<string, number> & { form: string };
    readonly FEXX_MPa: number;
    readonly parts: readonly GivenPart[];
    readonly stations_x_mm: readonly number[];
  };
  readonly expected: {
    readonly parent: { readonly RBM_Nm: number };
    readonly stations: readonly Station[];
    readonly ratio: number;
    readonly ratio_at_joint: number;
    readonly weakest_x_mm: readonly number[] | null;
    readonly limited_by: string;
  };
}

interface GivenPart {
  readonly name: string;
  readonly kind: string;
  readonly x_from_mm: number;
  readonly x_to_mm: number;
  readonly yield_MPa: number;
  readonly y_from_mm: number;
  readonly y_to_mm: number;
  readonly z_from_mm?: number;
  readonly z_to_mm?: number;
  readonly axis_z_mm?: number;
  readonly depth_by_x_mm?: readonly (readonly [number, number])[];
  readonly fillets: readonly (Record<string, number> & { role: 'long' | 'end' })[];
  readonly plugs: readonly { x_mm: number; z_mm?: number; y_mm?: number; d_mm: number }[];
}

interface Result {
  readonly A_eff_mm2: number;
  readonly centroid_z_mm: number;
  readonly I_eff_mm4: number;
  readonly RBM_Nm: number;
  readonly ratio: number;
}

interface Station extends Result {
  readonly x_mm: number;
  readonly parts?: Readonly<Record<string, { phi: number | { moment_only: number } }>>;
  readonly by_reading?: { readonly moment_only: Result };
}

const cases = reference.cases as unknown as readonly Case[];

function sectionOf({ kind, h_mm, b_mm, t_mm }: Case['input']['rail']): Section {
  if (kind === 'channel') return { kind: 'channel', depth: h_mm, flange: b_mm, thickness: t_mm };
  return { kind: 'tube', depth: h_mm, width: b_mm, thickness: t_mm, inner: t_mm };
}

function jointOf(joint: Case['input']['joint']): JointForm {
  const at = (key: string) => joint[key] as number;
  if (joint.form === 'butt') return { form: 'butt', x: at('at_x_mm') };
  if (joint.form === 'step')
    return {
      form: 'step',
      upperX: at('upper_vertical_at_x_mm'),
      lowerX: at('lower_vertical_at_x_mm'),
      z: at('horizontal_at_z_mm'),
    };
  return {
    form: 'angled',
    undersideX: at('underside_at_x_mm'),
    topX: at('top_at_x_mm'),
    band: at('weld_band_width_along_x_mm'),
  };
}

function partOf(given: GivenPart): SplicePart {
  const y = [given.y_from_mm, given.y_to_mm] as const;
  const web = given.kind === 'web_plate';
  const slices = given.depth_by_x_mm
    ? given.depth_by_x_mm.map(([x, depth]) => {
        const axis = given.axis_z_mm ?? 0;
        return { x, y, z: [axis - depth / 2, axis + depth / 2] as const };
      })
    : [given.x_from_mm, given.x_to_mm].map((x) => ({ x, y, z: [given.z_from_mm ?? 0, given.z_to_mm ?? 0] as const }));
  const across = web ? 'z' : 'y';
  const fillets = given.fillets.map((fillet): Fillet => {
    const point = (end: 'from' | 'to') => ({
      x: fillet[`${end}_x_mm`] ?? 0,
      across: fillet[`${end}_${across}_mm`] ?? fillet[`${end}_z_mm`] ?? 0,
    });
    return { role: fillet.role, from: point('from'), to: point('to'), leg: fillet.leg_mm ?? 0 };
  });
  const plugs = given.plugs.map(({ x_mm, z_mm, y_mm, d_mm }) => ({
    x: x_mm,
    across: z_mm ?? y_mm ?? 0,
    diameter: d_mm,
  }));
  return {
    name: given.name,
    fed: web ? 'as-web' : 'as-flange',
    slices,
    yieldStress: given.yield_MPa,
    fillets,
    plugs,
    bolts: [],
  };
}

const spliceOf = ({ input }: Case): Splice => ({
  section: sectionOf(input.rail),
  yieldStress: input.rail.yield_MPa,
  joint: jointOf(input.joint),
  efficiency: input.joint.efficiency ?? 1,
  heatAffected: input.joint.haz_factor ?? 1,
  metal: { electrode: input.FEXX_MPa, allowed: 0.3 },
  parts: input.parts.map(partOf),
  holes: [],
  edge: 'rail',
});

describe.each(cases.map((each) => [each.id, each] as const))('the reference case %s', (_, each) => {
  const splice = spliceOf(each);

  it.each(each.expected.stations.map((station) => [station.x_mm, station] as const))('at %d', (x, station) => {
    const found = effectiveSection(splice, x);
    const wanted = station.by_reading?.moment_only ?? station;
    for (const { name, share } of found.parts) {
      const phi = station.parts?.[name]?.phi ?? NaN;
      expect(share).toBeNear(typeof phi === 'number' ? phi : phi.moment_only, 1e-6);
    }
    expect(found.area).toBeWithin(wanted.A_eff_mm2, 1e-6);
    expect(found.centroidZ).toBeWithin(wanted.centroid_z_mm, 1e-6);
    expect(found.iy).toBeWithin(wanted.I_eff_mm4, 1e-6);
    expect(found.resisting / 1000).toBeWithin(wanted.RBM_Nm, 1e-6);
    expect(found.ratio).toBeNear(wanted.ratio, 1e-5);
  });

  it('has the least ratio where it should, for the reason it should', () => {
    const { parent, ratio, ratio_at_joint, weakest_x_mm, limited_by } = each.expected;
    const found = spliceStrength(splice);
    expect(found.parent / 1000).toBeWithin(parent.RBM_Nm, 1e-6);
    expect(found.ratio).toBeNear(ratio, 1e-5);
    expect(found.ratioAtWeld).toBeNear(ratio_at_joint, 1e-5);
    for (const x of weakest_x_mm ?? []) expect(found.weakest.some((at) => Math.abs(at - x) < 0.5)).toBe(true);
    expect(found.weakest.length > 0).toBe(weakest_x_mm !== null);
    expect(found.limitedBy).toBe(
      /do not feed/.test(limited_by) ? 'feeding' : /weld/.test(limited_by) ? 'weld' : 'rail',
    );
  });
});
