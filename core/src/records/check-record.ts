import {
  type Field,
  type Fields,
  id,
  MOST_PROBLEMS,
  moment,
  name,
  optional,
  record,
  schemaProblems,
  variant,
  whole,
} from '../fields/index.ts';
import { InputError, type InputProblem } from '../input-error.ts';
import { definitionOf, RECORD_KINDS, type RecordKind, type ShopRecord } from './record.ts';

/**
 * The schema of a record of any kind, or of some.
 *
 * @param kinds The kinds that are let through.
 */
export const recordSchema = (kinds: readonly RecordKind[] = RECORD_KINDS): Field<ShopRecord> =>
  variant<{ kind: string }, 'kind'>(
    'kind',
    Object.fromEntries(
      kinds.map((kind) => {
        const { version, fields } = definitionOf(kind);
        return [
          kind,
          {
            id: id(),
            version: whole(version, version),
            body: record(fields as Fields<object>),
            taken: moment(),
            by: name(),
            replaces: optional(id()),
          },
        ];
      }),
    ) as never,
  ) as Field<unknown> as Field<ShopRecord>;

/**
 * A record with its body brought up to the present version of its kind; anything else as it is.
 *
 * @param value The value, untrusted.
 */
export function upgradeRecord(value: unknown): unknown {
  if (typeof value !== 'object' || value === null) return value;
  const { kind, version, body } = value as Readonly<Record<string, unknown>>;
  const known = RECORD_KINDS.find((candidate) => candidate === kind);
  if (!known || typeof version !== 'number' || typeof body !== 'object' || body === null) return value;
  const { version: present, upgrade = {} } = definitionOf(known);
  let [at, now] = [version, body as Readonly<Record<string, unknown>>];
  while (at < present && upgrade[at]) {
    now = upgrade[at]?.(now) ?? now;
    at += 1;
  }
  return { ...value, version: at, body: now };
}

let schema: Field<ShopRecord> | undefined;

/**
 * A record from untrusted data, its body brought up.
 *
 * @param value The value, untrusted.
 * @throws InputError with the problems found.
 */
export function checkRecord(value: unknown): ShopRecord {
  schema ??= recordSchema();
  const present = upgradeRecord(value);
  const problems: InputProblem[] = schemaProblems(schema, present);
  if (problems.length > 0) throw new InputError(problems.slice(0, MOST_PROBLEMS));
  const record = present as ShopRecord;
  if (record.replaces === record.id)
    throw new InputError([{ code: 'record/replaces', path: 'replaces', message: 'names this record itself' }]);
  return record;
}
