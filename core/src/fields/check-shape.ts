import * as yup from 'yup';
import type { InputProblem } from '../input-error.ts';
import { type AnyField, isChoosing, madeWith } from './fields.ts';

/** More problems than this are not looked for: nobody reads them, and looking costs the one who asks nothing. */
export const MOST_PROBLEMS = 100;

/**
 * The Yup schema of a field.
 *
 * @param field Any field.
 */
export const schemaOf = (field: AnyField): yup.ISchema<unknown> => madeWith(yup, field);

/** What a record or a list was missing or had too much of, before anything inside it is looked at. */
interface Shape {
  readonly type: string;
  readonly fields?: Readonly<Record<string, yup.ISchema<unknown>>>;
  readonly innerType?: yup.ISchema<unknown>;
  readonly spec: { readonly optional: boolean; readonly meta?: { readonly most?: number; readonly open?: boolean } };
}

const at = (path: string, key: string | number): string =>
  typeof key === 'number' ? `${path}[${key}]` : path === '' ? key : `${path}.${key}`;

/** As many values of a field are remembered, and none that is longer. */
const [MOST_KNOWN, LONGEST_KNOWN] = [1000, 64];
/**
 * Values that fit the schema of a figure or a text: whether one does depends on it alone, and a document mostly holds what
 * it held at the last save.
 */
const passed = new WeakMap<object, Set<unknown>>();

const isKnown = (schema: object, value: unknown): boolean => passed.get(schema)?.has(value) ?? false;

function know(schema: object, value: unknown): void {
  if (typeof value === 'object' || (typeof value === 'string' && value.length > LONGEST_KNOWN)) return;
  const known = passed.get(schema) ?? new Set();
  if (known.size >= MOST_KNOWN) known.clear();
  passed.set(schema, known.add(value));
}

/**
 * Ways in which a value differs from a field or a schema, each with its path; none when it fits. The length of a
 * list is looked at before what is in it, and no more than `MOST_PROBLEMS` are listed, so that nothing that can be sent
 * takes long. Records and lists are walked here; each figure and text in them is checked by its Yup schema.
 *
 * @param what A field, or a Yup schema.
 * @param value The value, untrusted.
 */
export function schemaProblems(what: AnyField | yup.ISchema<unknown>, value: unknown): InputProblem[] {
  const problems: InputProblem[] = [];
  const add = (type: string, path: string, message: string) =>
    problems.push({ code: `document/${type}`, path, message });

  const walkRecord = ({ fields = {}, spec }: Shape, given: unknown, path: string): void => {
    if (given === undefined || given === null) {
      if (given === undefined && spec.optional) return;
      return void add('required', path, 'is missing');
    }
    if (typeof given !== 'object' || Array.isArray(given)) return void add('typeError', path, 'must be an object');
    const record = given as Readonly<Record<string, unknown>>;
    const unknown = spec.meta?.open ? undefined : Object.keys(record).find((key) => !Object.hasOwn(fields, key));
    if (unknown !== undefined) add('noUnknown', path, `has the unknown key “${unknown.slice(0, 80)}”`);
    for (const [key, field] of Object.entries(fields)) {
      if (problems.length >= MOST_PROBLEMS) return;
      walk(field, Object.hasOwn(record, key) ? record[key] : undefined, at(path, key));
    }
  };

  const walkList = ({ innerType, spec }: Shape, given: unknown, path: string): void => {
    if (given === undefined && spec.optional) return;
    if (given === undefined || given === null) return void add('required', path, 'is missing');
    if (!Array.isArray(given)) return void add('typeError', path, 'must be a list');
    const most = spec.meta?.most;
    if (most !== undefined && given.length > most)
      return void add('max', path, `must hold at most ${most} entries, not ${given.length}`);
    if (!innerType) return;
    for (const [index, item] of given.entries()) {
      if (problems.length >= MOST_PROBLEMS) return;
      walk(innerType, item, at(path, index));
    }
  };

  const walk = (field: yup.ISchema<unknown>, given: unknown, path: string): void => {
    const chosen = isChoosing(field) ? field.choose(given) : field;
    const shape = chosen as unknown as Shape;
    if (shape.type === 'object') return walkRecord(shape, given, path);
    if (shape.type === 'array') return walkList(shape, given, path);
    if (given === undefined && !shape.spec.optional) return void add('required', path, 'is missing');
    if (isKnown(chosen, given)) return;
    try {
      (chosen as yup.Schema).validateSync(given, { abortEarly: true, strict: true, disableStackTrace: true });
      know(chosen, given);
    } catch (error) {
      if (!(error instanceof yup.ValidationError)) throw error;
      add(error.type ?? 'wrong', path, error.message);
    }
  };

  walk('make' in what ? schemaOf(what) : what, value, '');
  return problems.slice(0, MOST_PROBLEMS);
}
