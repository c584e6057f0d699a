import { STEEL_DENSITY } from '../units/index.ts';
import type { InputProblem } from '../input-error.ts';

/** A rail or plate material; every value is an assumption with its source, which the shop may edit. */
export interface Material {
  readonly name: string;
  /** Yield stress, MPa. */
  readonly yieldStress: number;
  /** Tensile strength, MPa. */
  readonly tensile: number;
  /** kg per mm³. */
  readonly density: number;
  readonly heatTreated: boolean;
  readonly weldable: boolean;
  /** Share of the yield stress left beside a weld (heat-affected zone), 0–1. */
  readonly heatAffected: number;
  readonly source: string;
}

const general = 'general value for the grade; the mill certificate or the donor maker’s figure rules';

/** Materials to start from; a job holds its own copy, with what its shop knows better. */
export const STOCK_MATERIALS = {
  'mild-36': {
    name: 'mild steel, 36 ksi',
    yieldStress: 250,
    tensile: 400,
    density: STEEL_DENSITY,
    heatTreated: false,
    weldable: true,
    heatAffected: 1,
    source: general,
  },
  'mild-50': {
    name: 'mild steel, 50 ksi',
    yieldStress: 345,
    tensile: 450,
    density: STEEL_DENSITY,
    heatTreated: false,
    weldable: true,
    heatAffected: 1,
    source: general,
  },
  'cold-formed-50': {
    name: 'cold-formed tube, 50 ksi',
    yieldStress: 345,
    tensile: 430,
    density: STEEL_DENSITY,
    heatTreated: false,
    weldable: true,
    heatAffected: 0.85,
    source: `${general}; cold work near the weld is lost`,
  },
  'micro-alloyed-80': {
    name: 'micro-alloyed, 80 ksi',
    yieldStress: 550,
    tensile: 620,
    density: STEEL_DENSITY,
    heatTreated: false,
    weldable: true,
    heatAffected: 0.8,
    source: general,
  },
  'heat-treated-110': {
    name: 'heat-treated, 110 ksi',
    yieldStress: 760,
    tensile: 860,
    density: STEEL_DENSITY,
    heatTreated: true,
    weldable: false,
    heatAffected: 0.5,
    source: `${general}; welding or heating destroys the treatment`,
  },
  'aluminum-6061': {
    name: 'aluminum 6061-T6',
    yieldStress: 240,
    tensile: 260,
    density: 2.7e-6,
    heatTreated: true,
    weldable: false,
    heatAffected: 0.5,
    source: general,
  },
} as const satisfies Record<string, Material>;

export type StockMaterial = keyof typeof STOCK_MATERIALS;

/** The stock materials' ids, in the order they are offered. */
export const STOCK_MATERIAL_IDS = Object.keys(STOCK_MATERIALS) as StockMaterial[];

/**
 * What is wrong with the figures of a material, each with its path. Empty when it can be worked with.
 *
 * @param material The material.
 * @param path Where that is in the document: problems are named from there.
 */
export function materialProblems(material: Material, path: string): InputProblem[] {
  const { yieldStress, tensile, density, heatAffected, heatTreated, weldable } = material;
  const wrong = (field: keyof Material, message: string): InputProblem[] => [
    { code: `material/${field}`, path: `${path}.${field}`, message },
  ];
  return [
    ...(yieldStress > 0 ? [] : wrong('yieldStress', 'The yield stress must be more than 0.')),
    ...(tensile >= yieldStress
      ? []
      : wrong(
          'tensile',
          'The tensile strength cannot be less than the yield stress: raise the one first, or take a lower yield.',
        )),
    ...(density > 0 ? [] : wrong('density', 'The density must be more than 0.')),
    ...(heatAffected > 0 && heatAffected <= 1
      ? []
      : wrong('heatAffected', 'What is left beside a weld must be more than 0 and at most 100 %.')),
    ...(heatTreated && weldable
      ? wrong('weldable', 'A heat-treated material must not be called weldable: heat destroys the treatment.')
      : []),
  ];
}
