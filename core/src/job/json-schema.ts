import type * as yup from 'yup';
import { isChoosing, schemaOf } from '../fields/index.ts';
import { jobFileSchema } from './schema.ts';

/** A JSON Schema (2020-12), as plain data. */
export type JsonSchema = Readonly<Record<string, unknown>>;

/** Schemas whose meta has a name: written once, under `$defs`. */
type Definitions = Map<string, JsonSchema>;

/**
 * The JSON Schema of the same shape as a Yup schema of `fields.ts`. Conditions across fields (ids that must exist,
 * stations in order) are not in it: `parseJobFile` checks those.
 */
function jsonSchemaOf(schema: yup.ISchema<unknown>, definitions: Definitions): JsonSchema {
  if (isChoosing(schema)) {
    const anyOf = [
      ...schema.variants.map((each) => jsonSchemaOf(each, definitions)),
      ...(schema.nullable ? [{ type: 'null' }] : []),
    ];
    return anyOf.length === 1 ? (anyOf[0] as JsonSchema) : { anyOf };
  }
  const described = (schema as yup.Schema).describe() as yup.SchemaDescription;
  const note = described.meta as { readonly unit?: string; readonly name?: string } | undefined;
  const unit = note?.unit ? { description: note.unit } : {};
  switch (described.type) {
    case 'object': {
      const shape = objectSchema(schema as yup.ObjectSchema<yup.AnyObject>, definitions);
      if (note?.name === undefined) return shape;
      definitions.set(note.name, shape);
      return { $ref: `#/$defs/${note.name}` };
    }
    case 'array': {
      const { innerType } = schema as yup.ArraySchema<unknown[], yup.AnyObject>;
      const most = limitOf(described, 'max');
      return {
        type: 'array',
        ...(innerType ? { items: jsonSchemaOf(innerType as yup.ISchema<unknown>, definitions) } : {}),
        ...(most === undefined ? {} : { maxItems: most }),
      };
    }
    case 'number': {
      const [least, most] = [limitOf(described, 'min'), limitOf(described, 'max')];
      return {
        type: described.tests.some(({ name }) => name === 'integer') ? 'integer' : 'number',
        ...unit,
        ...(least === undefined ? {} : { minimum: least }),
        ...(most === undefined ? {} : { maximum: most }),
      };
    }
    case 'string': {
      const most = limitOf(described, 'max');
      const pattern = described.tests.find(({ name }) => name === 'matches')?.params?.regex as RegExp | undefined;
      return {
        type: 'string',
        ...(described.optional || !described.tests.some(({ name }) => name === 'required') ? {} : { minLength: 1 }),
        ...(most === undefined ? {} : { maxLength: most }),
        ...(pattern ? { pattern: pattern.source } : {}),
      };
    }
    case 'boolean':
      return { type: 'boolean' };
    default:
      return { enum: described.oneOf };
  }
}

function objectSchema(schema: yup.ObjectSchema<yup.AnyObject>, definitions: Definitions): JsonSchema {
  const fields = Object.entries(schema.fields as Readonly<Record<string, yup.ISchema<unknown>>>);
  const required = fields.filter(([, field]) => isChoosing(field) || !isOptional(field)).map(([key]) => key);
  return {
    type: 'object',
    properties: Object.fromEntries(fields.map(([key, field]) => [key, jsonSchemaOf(field, definitions)])),
    ...(required.length > 0 ? { required } : {}),
    additionalProperties: false,
  };
}

const isOptional = (field: yup.ISchema<unknown>): boolean =>
  ((field as yup.Schema).describe() as yup.SchemaDescription).optional;

const limitOf = (described: yup.SchemaDescription, test: 'min' | 'max'): number | undefined =>
  described.tests.find(({ name }) => name === test)?.params?.[test] as number | undefined;

/** The JSON Schema of a job file. */
export function jobFileJsonSchema(): JsonSchema {
  const definitions: Definitions = new Map();
  const file = jsonSchemaOf(schemaOf(jobFileSchema), definitions);
  return {
    $schema: 'https://json-schema.org/draft/2020-12/schema',
    title: 'Splay job file',
    ...file,
    $defs: Object.fromEntries(definitions),
  };
}
