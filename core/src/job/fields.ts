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

export const angle = () => number().meta({ unit: 'radians' });

export const mass = () => number().meta({ unit: 'kg' });

export const stress = () => number().meta({ unit: 'MPa' });

export const whole = () => number().integer('must be a whole number');

export const text = (longest = 200) =>
  yup
    .string()
    .strict()
    .defined(missing)
    .typeError('must be text')
    .nonNullable(missing)
    .max(longest, `must be at most ${longest} characters`);

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
    .max(most, `must hold at most ${most} entries`);

export const record = (fields: yup.ObjectShape) =>
  yup
    .object(fields)
    .strict()
    .noUnknown(({ unknown }) => `has the unknown key “${String(unknown)}”`)
    .required(missing)
    .typeError('must be an object');

/** A record whose shape depends on the value of one key. */
export function variant(key: string, shapes: Readonly<Record<string, yup.ObjectShape>>) {
  const schemas = new Map(
    Object.entries(shapes).map(([value, fields]) => [value, record({ [key]: oneOf([value]), ...fields })]),
  );
  const unknown = record({ [key]: oneOf(Object.keys(shapes)) }).noUnknown(false);
  const lazy = yup.lazy((value: unknown) => {
    const given = typeof value === 'object' && value !== null ? (value as Record<string, unknown>)[key] : undefined;
    return (typeof given === 'string' && schemas.get(given)) || unknown;
  });
  return Object.assign(lazy, { variants: [...schemas.values()] });
}

/** A field that may also be null. */
export const orNull = (schema: yup.ISchema<unknown>) => {
  const lazy = yup.lazy((value: unknown) => (value === null ? yup.mixed().nullable() : (schema as yup.Schema)));
  return Object.assign(lazy, { variants: [schema], nullable: true });
};
