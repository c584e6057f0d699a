import { factsOf, type Frame, type Ref, refKey, refOf } from '@splay/core';
import { type Choice, type Column } from '../../ui/table-columns.ts';

const choices = (kind: Ref['kind'], things: readonly { readonly id: string; readonly name: string }[]) =>
  things.map(({ id, name }) => [refKey({ kind, id }), name] as const);

/** What an axle or a point can ride on: units, crossmembers and brackets of the donor. */
export const carrierChoices = ({ units, features, crossmembers }: Frame): readonly Choice[] => [
  ...choices('unit', units),
  ...choices('crossmember', crossmembers),
  ...choices(
    'feature',
    features.filter(({ kind }) => factsOf(kind).carries),
  ),
];

/** Axles, which points can ride on too. */
export const axleChoices = ({ axles }: Frame): readonly Choice[] => choices('axle', axles);

/** A column for what something rides on; `usual` stands for none given. */
export function carrierColumn<Row extends { readonly carrier?: Ref }>(
  width: string,
  usual: string,
  carriers: readonly Choice[],
): Column<Row> {
  return {
    key: 'carrier',
    title: 'Rides on',
    width,
    kind: 'choice',
    choices: [['', usual], ...carriers],
    get: ({ carrier }) => (carrier ? refKey(carrier) : ''),
    set: (row, key) => {
      const { carrier: _, ...loose } = row;
      const carrier = refOf(key);
      return { ...loose, ...(carrier ? { carrier } : {}) } as Row;
    },
  };
}
