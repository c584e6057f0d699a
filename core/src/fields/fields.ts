import type * as Yup from 'yup';
import { isOnCalendar, MOMENT } from './calendar.ts';
import { LONGEST } from '../units/index.ts';

/**
 * Fields of job documents: strict (nothing is converted), every key required, unknown keys refused. Each is typed by the
 * values it lets through, both ways: a field that lets through too little or too much does not fit the record it is part
 * of, so that a missing kind, a missing key or a wrong type does not compile.
 *
 * A field says how its Yup schema is made. It is made when something is checked for the first time (`schemaOf`): whoever
 * only works with documents that were checked before neither makes schemas nor loads Yup.
 */

type Library = typeof Yup;
type Schema = Yup.ISchema<unknown>;

declare const LETS_THROUGH: unique symbol;

/** A field, whatever it lets through. */
export interface AnyField {
  /** Makes its schema. */
  readonly make: (yup: Library) => Schema;
}

/** A field that lets through values of `T`, all of them and no others. */
export interface Field<T> extends AnyField {
  readonly [LETS_THROUGH]?: (value: T) => T;
}

/** A field for every key of a record. */
export type Fields<T> = { readonly [K in keyof T]-?: Field<T[K]> };

const made = new WeakMap<object, Schema>();

/**
 * The schema of a field, made once.
 *
 * @param yup The library that makes it.
 * @param field Any field.
 */
export function madeWith(yup: Library, field: AnyField): Schema {
  const known = made.get(field);
  if (known) return known;
  const schema = field.make(yup);
  made.set(field, schema);
  return schema;
}

const field = <T>(make: Field<T>['make']): Field<T> => ({ make });

/** A field whose schema is a number's or a text's, so that another can narrow it. */
interface Narrowed<T, S extends Schema> extends Field<T> {
  readonly make: (yup: Library) => S;
}
type NumberField = Narrowed<number, Yup.NumberSchema<number>>;
type TextField = Narrowed<string, Yup.StringSchema<string>>;

const missing = 'is missing';

/** A length, mm, within ±50 m. */
export const length = (): Field<number> =>
  field((yup) =>
    yup
      .number()
      .strict()
      .required(missing)
      .typeError('must be a number of millimeters')
      .min(-LONGEST, 'is below −50 000 mm: check the figure and its unit')
      .max(LONGEST, 'is above 50 000 mm: check the figure and its unit')
      .meta({ unit: 'mm' }),
  );

/** A plain number, finite. */
export const number = (): NumberField => ({
  make: (yup) =>
    yup
      .number()
      .strict()
      .required(missing)
      .typeError('must be a number')
      .test('finite', 'must be a finite number', (value) => value === undefined || Number.isFinite(value)),
});

/**
 * A number between two bounds that nothing on a truck frame passes: beyond them it is a slip of the keys.
 *
 * @param least The least that is let through.
 * @param most The most that is let through.
 * @param unit What the bounds are in.
 */
export const bounded = (least: number, most: number, unit: string): Field<number> =>
  field((yup) =>
    number()
      .make(yup)
      .min(least, `is below ${least} ${unit}: check the figure and its unit`)
      .max(most, `is above ${most} ${unit}: check the figure and its unit`)
      .meta({ unit }),
  );

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
export const share = (): Field<number> => field((yup) => number().make(yup).min(0, 'is below 0').max(1, 'is above 1'));

/**
 * A whole number between two bounds.
 *
 * @param least The least that is let through.
 * @param most The most that is let through.
 */
export const whole = (least = 0, most = 10_000): Field<number> =>
  field((yup) =>
    number().make(yup).integer('must be a whole number').min(least, `is below ${least}`).max(most, `is above ${most}`),
  );

// eslint-disable-next-line no-control-regex -- control characters are what is looked for
const CONTROL = /[\u0000-\u0008\u000b\u000c\u000e-\u001f\u007f]/;

/**
 * Text without control characters, empty or not.
 *
 * @param longest Characters, at most.
 */
export const text = (longest = 200): TextField => ({
  make: (yup) =>
    yup
      .string()
      .strict()
      .defined(missing)
      .typeError('must be text')
      .nonNullable(missing)
      .max(longest, `must be at most ${longest} characters`)
      .test('control', 'holds a control character: type it again', (value) => !CONTROL.test(value)),
});

/**
 * Text that says something: a name, a reason.
 *
 * @param longest Characters, at most.
 */
export const name = (longest = 120): TextField => ({
  make: (yup) => text(longest).make(yup).required('must not be empty'),
});

/**
 * A name of a certain form.
 *
 * @param form What it looks like, whole.
 * @param message What it must be, in words.
 */
export const formed = (form: RegExp, message: string): Field<string> =>
  field((yup) => name().make(yup).matches(form, message));

/** A moment in UTC, as ISO 8601. */
export const moment = (): Field<string> =>
  field((yup) =>
    name()
      .make(yup)
      .matches(MOMENT, 'must be a moment in UTC like 2026-03-14T09:30:00Z')
      .test('real', 'is no day of the calendar, or no time of the clock', isOnCalendar),
  );

/** An id: letters, digits, dots, dashes, underscores. */
export const id = (): Field<string> =>
  formed(
    /^[A-Za-z0-9][A-Za-z0-9._-]*$/,
    'must be letters, digits, dots, dashes or underscores, starting with a letter or digit',
  );

/** The SHA-256 of something, in hexadecimal. */
export const hash = (): Field<string> => formed(/^[0-9a-f]{64}$/, 'must be a SHA-256 in hexadecimal');

/** True or false. */
export const flag = (): Field<boolean> =>
  field((yup) => yup.boolean().strict().required(missing).typeError('must be true or false'));

/**
 * One of some values.
 *
 * @param values All that is let through.
 */
export const oneOf = <const T extends string | number>(values: readonly T[]): Field<T> =>
  field((yup) =>
    yup
      .mixed<T>()
      .required(missing)
      .oneOf(values, `must be one of ${values.join(', ')}`),
  );

/**
 * A list of entries of one field.
 *
 * @param item The field of each entry.
 * @param most Entries, at most.
 */
export const list = <T>(item: Field<T>, most = 2000): Field<readonly T[]> =>
  field((yup) =>
    yup
      .array()
      .strict()
      .of(madeWith(yup, item) as Yup.Schema)
      .required(missing)
      .typeError('must be a list')
      .max(most, `must hold at most ${most} entries`)
      .meta({ most }),
  );

/** Fields by key, whatever they let through. */
type AnyFields = Readonly<Record<string, AnyField>>;

const object = (yup: Library, fields: AnyFields) =>
  yup
    .object(Object.fromEntries(Object.entries(fields).map(([key, each]) => [key, madeWith(yup, each) as Yup.Schema])))
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
export const record = <T extends object>(fields: Fields<T>, called?: string): Field<T> =>
  field((yup) => {
    const schema = object(yup, fields as AnyFields);
    return called === undefined ? schema : schema.meta({ name: called });
  });

/**
 * A field that may be left out.
 *
 * @param there The field when it is there.
 */
export const optional = <T>(there: Field<T>): Field<T | undefined> =>
  field((yup) => (madeWith(yup, there) as Yup.Schema).optional());

/** A schema that is known only once its value is: what the value is checked against, and all that it could be. */
export interface Choosing {
  readonly variants: readonly Schema[];
  readonly nullable?: boolean;
  readonly choose: (value: unknown) => Schema;
}

/**
 * Whether a schema is known only once its value is.
 *
 * @param schema Any schema.
 */
export const isChoosing = (schema: object): schema is Choosing => 'choose' in schema;

const choosing = (yup: Library, variants: readonly Schema[], choose: (value: unknown) => Yup.Schema) =>
  Object.assign(yup.lazy(choose), { variants, choose });

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
export const variant = <T, K extends keyof T & string>(key: K, shapes: Shapes<T, K>): Field<T> =>
  field((yup) => {
    const schemas = new Map(
      Object.entries(shapes).map(([value, fields]) => [
        value,
        object(yup, { [key]: oneOf([value]), ...(fields as AnyFields) }),
      ]),
    );
    const unknown = object(yup, { [key]: oneOf([...schemas.keys()]) }).meta({ open: true });
    return choosing(yup, [...schemas.values()], (value) => {
      const given = typeof value === 'object' && value !== null ? (value as Record<string, unknown>)[key] : undefined;
      return (typeof given === 'string' && schemas.get(given)) || unknown;
    });
  });

/**
 * A field that may also be null.
 *
 * @param there The field when it is not null.
 */
export const orNull = <T>(there: Field<T>): Field<T | null> =>
  field((yup) => {
    const [schema, none] = [madeWith(yup, there) as Yup.Schema, yup.mixed().nullable()];
    return Object.assign(
      choosing(yup, [schema], (value) => (value === null ? none : schema)),
      { nullable: true },
    );
  });
