import * as yup from 'yup';
import { LONGEST } from '../units/index.ts';

/**
 * Yup fields for job documents: strict (nothing is converted), every key required, unknown keys refused. Each is typed
 * by the values it lets through, both ways: a field that lets through too little or too much does not fit the record
 * it is part of, so that a missing kind, a missing key or a wrong type does not compile.
 */

declare const LETS_THROUGH: unique symbol;

/** A schema that lets through values of `T`, all of them and no others. */
export type Field<T, S = yup.ISchema<unknown>> = S & { readonly [LETS_THROUGH]?: (value: T) => T };

/** A field for every key of a record. */
export type Fields<T> = { readonly [K in keyof T]-?: Field<T[K]> };

const missing = 'is missing';

/** A length, mm, within ±50 m. */
export const length = (): Field<number, yup.NumberSchema<number>> =>
  yup
    .number()
    .strict()
    .required(missing)
    .typeError('must be a number of millimetres')
    .min(-LONGEST, 'is below −50 000 mm: check the figure and its unit')
    .max(LONGEST, 'is above 50 000 mm: check the figure and its unit')
    .meta({ unit: 'mm' });

/** A plain number, finite. */
export const number = (): Field<number, yup.NumberSchema<number>> =>
  yup
    .number()
    .strict()
    .required(missing)
    .typeError('must be a number')
    .test('finite', 'must be a finite number', (value) => value === undefined || Number.isFinite(value));

/** A number between two bounds that nothing on a truck frame passes: beyond them it is a slip of the keys. */
const bounded = (least: number, most: number, unit: string): Field<number, yup.NumberSchema<number>> =>
  number()
    .min(least, `is below ${least} ${unit}: check the figure and its unit`)
    .max(most, `is above ${most} ${unit}: check the figure and its unit`)
    .meta({ unit });

/** An angle, radians, within a little more than a full turn. */
export const angle = () => bounded(-7, 7, 'radians');

/** A mass, kg, from 0. */
export const mass = () => bounded(0, 100_000, 'kg');

/** A stress, MPa, from 0. */
export const stress = () => bounded(0, 10_000, 'MPa');

/** How stiff something is, N for each mm that it gives, from 0. */
export const rate = () => bounded(0, 1e6, 'N/mm');

/** A density, kg/mm³, from 0. */
export const density = () => bounded(0, 1e-3, 'kg per mm³');

/** A part of the whole. */
export const share = (): Field<number> => number().min(0, 'is below 0').max(1, 'is above 1');

/**
 * A whole number between two bounds.
 *
 * @param least The least that is let through.
 * @param most The most that is let through.
 */
export const whole = (least = 0, most = 10_000): Field<number> =>
  number().integer('must be a whole number').min(least, `is below ${least}`).max(most, `is above ${most}`);

// eslint-disable-next-line no-control-regex -- control characters are what is looked for
const CONTROL = /[\u0000-\u0008\u000b\u000c\u000e-\u001f\u007f]/;

/**
 * Text without control characters, empty or not.
 *
 * @param longest Characters, at most.
 */
export const text = (longest = 200): Field<string, yup.StringSchema<string>> =>
  yup
    .string()
    .strict()
    .defined(missing)
    .typeError('must be text')
    .nonNullable(missing)
    .max(longest, `must be at most ${longest} characters`)
    .test('control', 'holds a control character: type it again', (value) => !CONTROL.test(value));

/**
 * Text that says something: a name, a reason.
 *
 * @param longest Characters, at most.
 */
export const name = (longest = 120): Field<string, yup.StringSchema<string>> =>
  text(longest).required('must not be empty');

/** A moment in UTC, as ISO 8601. */
export const moment = (): Field<string> =>
  name().matches(
    /^\d{4}-\d{2}-\d{2}T\d{2}:\d{2}:\d{2}(\.\d{1,3})?Z$/,
    'must be a moment in UTC like 2026-03-14T09:30:00Z',
  );

/** An id: letters, digits, dots, dashes, underscores. */
export const id = (): Field<string, yup.StringSchema<string>> =>
  name().matches(
    /^[A-Za-z0-9][A-Za-z0-9._-]*$/,
    'must be letters, digits, dots, dashes or underscores, starting with a letter or digit',
  );

/** The SHA-256 of something, in hexadecimal. */
export const hash = (): Field<string> => name().matches(/^[0-9a-f]{64}$/, 'must be a SHA-256 in hexadecimal');

/** True or false. */
export const flag = (): Field<boolean> => yup.boolean().strict().required(missing).typeError('must be true or false');

/**
 * One of some values.
 *
 * @param values All that is let through.
 */
export const oneOf = <const T extends string | number>(values: readonly T[]): Field<T> =>
  yup
    .mixed<T>()
    .required(missing)
    .oneOf(values, `must be one of ${values.join(', ')}`);

/**
 * A list of entries of one field.
 *
 * @param item The field of each entry.
 * @param most Entries, at most.
 */
export const list = <T>(item: Field<T>, most = 2000): Field<readonly T[]> =>
  yup
    .array()
    .strict()
    .of(item as yup.Schema)
    .required(missing)
    .typeError('must be a list')
    .max(most, `must hold at most ${most} entries`)
    .meta({ most }) as Field<readonly T[]>;

const object = (fields: yup.ObjectShape) =>
  yup
    .object(fields)
    .strict()
    .noUnknown(({ unknown }) => `has the unknown key “${String(unknown)}”`)
    .required(missing)
    .typeError('must be an object');

/**
 * A record with these keys; `called` gives it a name of its own in the JSON Schema.
 *
 * @param fields A field for every key.
 * @param called Its name in the JSON Schema, where it has one of its own.
 */
export const record = <T extends object>(fields: Fields<T>, called?: string): Field<T> => {
  const schema = object(fields as unknown as yup.ObjectShape);
  return (called === undefined ? schema : schema.meta({ name: called })) as Field<T>;
};

/**
 * A field that may be left out.
 *
 * @param field The field when it is there.
 */
export const optional = <T>(field: Field<T>): Field<T | undefined> =>
  (field as unknown as yup.Schema).optional() as Field<T | undefined>;

/** A schema that is known only once its value is: what the value is checked against, and all that it could be. */
export interface Choosing {
  readonly variants: readonly yup.ISchema<unknown>[];
  readonly nullable?: boolean;
  readonly choose: (value: unknown) => yup.ISchema<unknown>;
}

/**
 * Whether a schema is known only once its value is.
 *
 * @param schema Any schema.
 */
export const isChoosing = (schema: object): schema is Choosing => 'choose' in schema;

/** The fields of each kind of a union of records that `K` tells apart, `K` itself left out. */
export type Shapes<T, K extends keyof T> = {
  readonly [V in T[K] & string]: Fields<Omit<Extract<T, Readonly<Record<K, V>>>, K>>;
};

/**
 * A record whose shape depends on the value of one key.
 *
 * @param key The key that tells the kinds apart.
 * @param shapes The fields of each kind.
 */
export function variant<T, K extends keyof T & string>(key: K, shapes: Shapes<T, K>): Field<T> {
  const schemas = new Map(
    Object.entries(shapes).map(([value, fields]) => [
      value,
      object({ [key]: oneOf([value]), ...(fields as yup.ObjectShape) } as yup.ObjectShape),
    ]),
  );
  const unknown = object({ [key]: oneOf([...schemas.keys()]) } as yup.ObjectShape).meta({ open: true });
  const choose = (value: unknown) => {
    const given = typeof value === 'object' && value !== null ? (value as Record<string, unknown>)[key] : undefined;
    return (typeof given === 'string' && schemas.get(given)) || unknown;
  };
  return Object.assign(yup.lazy(choose), { variants: [...schemas.values()], choose }) as unknown as Field<T>;
}

/**
 * A field that may also be null.
 *
 * @param schema The field when it is not null.
 */
export const orNull = <T>(schema: Field<T>): Field<T | null> => {
  const choose = (value: unknown) => (value === null ? yup.mixed().nullable() : (schema as unknown as yup.Schema));
  return Object.assign(yup.lazy(choose), {
    variants: [schema],
    nullable: true,
    choose,
  }) as unknown as Field<T | null>;
};
