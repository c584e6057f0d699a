import { InputError } from '../input-error.ts';

/** A rail or plate material; every value is an assumption with its source, which the shop may edit. */
export interface Material {
  readonly id: string;
  readonly name: string;
  /** Yield stress, MPa. */
  readonly yieldStress: number;
  /** Tensile strength, MPa. */
  readonly tensile: number;
  /** Kilograms per mm³. */
  readonly density: number;
  readonly heatTreated: boolean;
  readonly weldable: boolean;
  /** Share of the yield stress left beside a weld (heat-affected zone), 0–1. */
  readonly heatAffected: number;
  readonly source: string;
}

const STEEL = 7.85e-6;

const general = 'general value for the grade; the mill certificate or the donor maker’s figure rules';

/** Materials that ship with the app; a job names one of these for its donor and for new steel. */
export const MATERIALS: readonly Material[] = [
  {
    id: 'mild-36',
    name: 'mild steel, 36 ksi',
    yieldStress: 250,
    tensile: 400,
    density: STEEL,
    heatTreated: false,
    weldable: true,
    heatAffected: 1,
    source: general,
  },
  {
    id: 'mild-50',
    name: 'mild steel, 50 ksi',
    yieldStress: 345,
    tensile: 450,
    density: STEEL,
    heatTreated: false,
    weldable: true,
    heatAffected: 1,
    source: general,
  },
  {
    id: 'cold-formed-50',
    name: 'cold-formed tube, 50 ksi',
    yieldStress: 345,
    tensile: 430,
    density: STEEL,
    heatTreated: false,
    weldable: true,
    heatAffected: 0.85,
    source: `${general}; cold work near the weld is lost`,
  },
  {
    id: 'micro-alloyed-80',
    name: 'micro-alloyed, 80 ksi',
    yieldStress: 550,
    tensile: 620,
    density: STEEL,
    heatTreated: false,
    weldable: true,
    heatAffected: 0.8,
    source: general,
  },
  {
    id: 'heat-treated-110',
    name: 'heat-treated, 110 ksi',
    yieldStress: 760,
    tensile: 860,
    density: STEEL,
    heatTreated: true,
    weldable: false,
    heatAffected: 0.5,
    source: `${general}; welding or heating destroys the treatment`,
  },
  {
    id: 'aluminium-6061',
    name: 'aluminium 6061-T6',
    yieldStress: 240,
    tensile: 260,
    density: 2.7e-6,
    heatTreated: true,
    weldable: false,
    heatAffected: 0.5,
    source: general,
  },
];

/** The material called `id`. @throws InputError when there is none. */
export function materialOf(id: string): Material {
  const material = MATERIALS.find((candidate) => candidate.id === id);
  if (material) return material;
  const known = MATERIALS.map((candidate) => candidate.id).join(', ');
  throw new InputError([
    { code: 'material/unknown', path: '', message: `There is no material “${id}”; known are ${known}.` },
  ]);
}
