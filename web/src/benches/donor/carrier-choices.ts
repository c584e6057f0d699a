import type { FeatureKind, Frame } from '@splay/core';
import type { Choice } from '../../ui/table-columns.ts';

/** Marks in the steel, which carry nothing. */
const PLAIN: readonly FeatureKind[] = ['hole', 'rivet', 'weld-seam', 'crack', 'identity-stamp', 'line-clip'];

/** What an axle or a point can ride on: brackets and crossmembers of the donor. */
export const carrierChoices = ({ features, crossmembers }: Frame): readonly Choice[] => [
  ...crossmembers.map(({ id, name }) => [id, name] as const),
  ...features.filter(({ kind }) => !PLAIN.includes(kind)).map(({ id, name }) => [id, name] as const),
];
