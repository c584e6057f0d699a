import { describe, expect, it } from 'vitest';
import {
  type Field,
  flag,
  id,
  length,
  list,
  name,
  oneOf,
  optional,
  orNull,
  record,
  schemaProblems,
  variant,
} from './index.ts';

interface Pole {
  readonly id: string;
  readonly long: number;
  readonly painted?: boolean;
}
type Roof =
  | { readonly kind: 'flat'; readonly high: number }
  | { readonly kind: 'tent'; readonly poles: readonly Pole[] };

const pole = () => record<Pole>({ id: id(), long: length(), painted: optional(flag()) });
const roof = () => variant<Roof, 'kind'>('kind', { flat: { high: length() }, tent: { poles: list(pole(), 3) } });

describe('a schema that does not fit its record does not compile', () => {
  it('when a field, a kind or a value is missing, or of a wrong type', () => {
    // @ts-expect-error: `long` is missing
    record<Pole>({ id: id(), painted: optional(flag()) });
    // @ts-expect-error: `long` is no text
    record<Pole>({ id: id(), long: name(), painted: optional(flag()) });
    // @ts-expect-error: `painted` may be left out
    record<Pole>({ id: id(), long: length(), painted: flag() });
    // @ts-expect-error: `color` is none of its keys
    record<Pole>({ id: id(), long: length(), painted: optional(flag()), color: name() });
    // @ts-expect-error: the kind `tent` is missing
    variant<Roof, 'kind'>('kind', { flat: { high: length() } });
    // @ts-expect-error: the kind `flat` lacks `high`
    variant<Roof, 'kind'>('kind', { flat: {}, tent: { poles: list(pole()) } });
    // @ts-expect-error: one of the values is missing
    const side: Field<'left' | 'right'> = oneOf(['left']);
    // @ts-expect-error: it lets through what is none of the values
    const sides: Field<'left' | 'right'> = oneOf(['left', 'right', 'middle']);
    // @ts-expect-error: null is not let through
    const nullable: Field<number | null> = length();
    expect([side, sides, nullable]).toHaveLength(3);
  });
});

describe('what a schema lets through', () => {
  const problems = (schema: Parameters<typeof schemaProblems>[0], value: unknown) =>
    schemaProblems(schema, value).map(({ path, message }) => `${path}: ${message}`);

  it('is the record, whole and nothing else', () => {
    expect(problems(pole(), { id: 'a', long: 3 })).toEqual([]);
    expect(problems(pole(), { id: 'a', long: 3, painted: true })).toEqual([]);
    expect(problems(pole(), { id: 'a' })).toEqual(['long: is missing']);
    expect(problems(pole(), { id: 'a', long: 3, wide: 4 })).toEqual([': has the unknown key “wide”']);
    expect(problems(pole(), { id: 'a', long: Number.NaN })).toEqual(['long: must be a number of millimeters']);
  });

  it('of a union is its kind', () => {
    expect(problems(roof(), { kind: 'flat', high: 3 })).toEqual([]);
    expect(problems(roof(), { kind: 'flat', poles: [] })).toEqual([
      ': has the unknown key “poles”',
      'high: is missing',
    ]);
    expect(problems(roof(), { kind: 'dome' })).toEqual(['kind: must be one of flat, tent']);
    expect(problems(roof(), { kind: 'tent', poles: [1, 2, 3, 4] })).toEqual([
      'poles: must hold at most 3 entries, not 4',
    ]);
  });

  it('may be null where it says so', () => {
    expect(problems(orNull(pole()), null)).toEqual([]);
    expect(problems(orNull(pole()), {})[0]).toBe('id: is missing');
  });
});
