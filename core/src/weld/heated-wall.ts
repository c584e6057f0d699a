/**
 * The wall of a rail at a joint, unfolded into a sheet: `x` along the rail from its front end, `s` along the seam. Lengths in
 * mm, temperatures in °C, and the usual units of physics where a name gives one.
 */
export interface HeatedWall {
  /** Along the rail. */
  readonly length: number;
  /** Along the seam, the wall unfolded. */
  readonly around: number;
  /** A closed section: where the seam ends it begins again. */
  readonly closed: boolean;
  /** Thickness: one, or stretches of the seam up to `to`, in their order. */
  readonly thickness: number | readonly { readonly to: number; readonly thickness: number }[];
  readonly steel: SteelHeat;
  readonly loss: HeatLoss;
}

/** How steel takes up and conducts heat; constant. */
interface SteelHeat {
  /** kg/m³. */
  readonly density: number;
  /** J/kg·K. */
  readonly specificHeat: number;
  /** W/m·K. */
  readonly conductivity: number;
}

/** How the wall loses heat on each of its faces. */
interface HeatLoss {
  /** W/m²·K. */
  readonly film: number;
  /** Of 1; 0 leaves radiation out. */
  readonly emissivity: number;
  /** Of the air and of what is round about, °C. */
  readonly ambient: number;
  /** How many faces are open to the air. */
  readonly faces: 1 | 2;
}

/** A place on a wall: along the rail, and along the seam, mm. */
export interface WallPlace {
  readonly x: number;
  readonly s: number;
}

/** A stitch as it heats the wall: its energy is laid from one place to another at an even pace. */
export interface Heat {
  readonly from: WallPlace;
  readonly to: WallPlace;
  /** Over how much of the wall across its line the heat is spread, mm. */
  readonly band: number;
  /** When it starts and how long it burns, s; 0 or more, and above 0. */
  readonly start: number;
  readonly seconds: number;
  /** All that reaches the steel, J. */
  readonly energy: number;
}
