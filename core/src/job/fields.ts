import * as yup from 'yup';
import { LONGEST } from '../units/index.ts';

/** Yup fields for job documents: strict (nothing is converted), every key required, unknown keys refused. */

const missing = 'is missing';

/** A length, mm, within ±50 m. */
export const length = () =>
  yup
    .number()
    .strict()
    .required(missing)
    .typeError('must be a number of millimetres')
    .min(-LONGEST, 'is below −50 000 mm: check the figure and its unit')
    .max(LONGEST, 'is above 50 000 mm: check the figure and its unit')
    .meta({ unit: 'mm' });

/** A plain number, finite. */
export const number = () =>
  yup
    .number()
    .strict()
    .required(missing)
    .typeError('must be a number')
    .test('finite', 'must be a finite number', (value) => value === undefined || Number.isFinite(value));

/** A number between two bounds that nothing on a truck frame passes: beyond them it is a slip of the keys. */
const bounded = (least: number, most: number, unit: string) =>
  number()
    .min(least, `is below ${least} ${unit}: check the figure and its unit`)
    .max(most, `is above ${most} ${unit}: check the figure and its unit`)
    .meta({ unit });

export const angle = () => bounded(-7, 7, 'radians');

export const mass = () => bounded(0, 100_000, 'kg');

export const stress = () => bounded(0, 10_000, 'MPa');

export const density = () => bounded(0, 1e-3, 'kg per mm³');

/** A part of the whole. */
export const share = () => number().min(0, 'is below 0').max(1, 'is above 1');

export const whole = () =>
  number().integer('must be a whole number').min(0, 'is below 0').max(10_000, 'is above 10 000');

// eslint-disable-next-line no-control-regex -- control characters are what is looked for
const CONTROL = /[\u0000-\u0008\u000b\u000c\u000e-\u001f\u007f]/;

export const text = (longest = 200) =>
  yup
    .string()
    .strict()
    .defined(missing)
    .typeError('must be text')
    .nonNullable(missing)
    .max(longest, `must be at most ${longest} characters`)
    .test('control', 'holds a control character: type it again', (value) => !CONTROL.test(value));

/** A name or id: not empty. */
export const name = () => text(120).required('must not be empty');

export const moment = () =>
  name().matches(
    /^\d{4}-\d{2}-\d{2}T\d{2}:\d{2}:\d{2}(\.\d{1,3})?Z$/,
    'must be a moment in UTC like 2026-03-14T09:30:00Z',
  );

export const id = () =>
  name().matches(
    /^[A-Za-z0-9][A-Za-z0-9._-]*$/,
    'must be letters, digits, dots, dashes or underscores, starting with a letter or digit',
  );

export const flag = () => yup.boolean().strict().required(missing).typeError('must be true or false');

export const oneOf = <const T extends string | number>(values: readonly T[]) =>
  yup
    .mixed<T>()
    .required(missing)
    .oneOf(values, `must be one of ${values.join(', ')}`);

export const list = (item: yup.ISchema<unknown>, most = 2000) =>
  yup
    .array()
    .strict()
    .of(item as yup.Schema)
    .required(missing)
    .typeError('must be a list')
    .max(most, `must hold at most ${most} entries`)
    .meta({ most });

export const record = (fields: yup.ObjectShape) =>
  yup
    .object(fields)
    .strict()
    .noUnknown(({ unknown }) => `has the unknown key “${String(unknown)}”`)
    .required(missing)
    .typeError('must be an object');

/** A schema that is known only once its value is: what the value is checked against, and all that it could be. */
export interface Choosing {
  readonly variants: readonly yup.ISchema<unknown>[];
  readonly nullable?: boolean;
  readonly choose: (value: unknown) => yup.ISchema<unknown>;
}

export const isChoosing = (schema: object): schema is Choosing => 'choose' in schema;

/** A record whose shape depends on the value of one key. */
export function variant(key: string, shapes: Readonly<Record<string, yup.ObjectShape>>) {
  const schemas = new Map(
    Object.entries(shapes).map(([value, fields]) => [value, record({ [key]: oneOf([value]), ...fields })]),
  );
  const unknown = record({ [key]: oneOf(Object.keys(shapes)) }).meta({ open: true });
  const choose = (value: unknown) => {
    const given = typeof value === 'object' && value !== null ? (value as Record<string, unknown>)[key] : undefined;
    return (typeof given === 'string' && schemas.get(given)) || unknown;
  };
  return Object.assign(yup.lazy(choose), { variants: [...schemas.values()], choose });
}

/** A field that may also be null. */
export const orNull = (schema: yup.ISchema<unknown>) => {
  const choose = (value: unknown) => (value === null ? yup.mixed().nullable() : (schema as yup.Schema));
  return Object.assign(yup.lazy(choose), { variants: [schema], nullable: true, choose });
};
