/** Standard gravity, m/s². */
export const GRAVITY = 9.80665;

/** Density of steel, kg/mm³. */
export const STEEL_DENSITY = 7.85e-6;
