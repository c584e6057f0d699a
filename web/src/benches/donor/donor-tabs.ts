export type DonorTab = 'stations' | 'features' | 'crossmembers' | 'lines' | 'controls' | 'frame';

/** The parts of the donor, in the order they are best measured. */
export const TABS: readonly (readonly [DonorTab, string])[] = [
  ['stations', 'Stations'],
  ['features', 'Features'],
  ['crossmembers', 'Crossmembers'],
  ['lines', 'Lines, weights'],
  ['controls', 'Control'],
  ['frame', 'Frame'],
];
