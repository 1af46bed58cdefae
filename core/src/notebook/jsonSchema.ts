import Joi from 'joi'
import { type Kind, KINDS } from './kinds/list'
import { ENVELOPE, readySchemas, schemasOf } from './refusal'
import { uuid } from '../schema/pieces'

await readySchemas()

/** Makes a JSON Schema of a Joi schema. */
export type ToJsonSchema = (schema: Joi.Schema) => Readonly<Record<string, unknown>>

/**
 * The JSON Schema of a notebook as it is exported, from the schemas that lines are checked against: one shape for each
 * kind and version of line. Lines of kinds not listed are of a newer version, and are kept as they are.
 *
 * What a schema cannot say, the app checks besides: that a reading’s text is its number, that a range ends after it
 * begins, and that a sample is not made of itself.
 */
export function notebookJsonSchema(convert: ToJsonSchema): Readonly<Record<string, unknown>> {
  const toJsonSchema = (schema: Joi.Schema) => sayable(convert(schema)) as Readonly<Record<string, unknown>>
  const kinds = (Object.keys(KINDS) as Kind[]).flatMap((kind) =>
    Object.entries(schemasOf(kind)).map(([v, schema]) => ({
      kind,
      v: Number(v),
      name: `${kind} v${v}`,
      schema,
    })),
  )
  const file = toJsonSchema(
    Joi.object({
      format: Joi.string().valid('ivory-crystal notebook').required(),
      version: Joi.number().valid(1).required(),
      coreVersion: Joi.string().max(40).required(),
      exportedAt: Joi.number().integer().required(),
      notebook: Joi.object({
        id: uuid.required(),
        title: Joi.string().min(1).max(200).required(),
      }).required(),
    }),
  )
  const properties = file['properties'] as Readonly<Record<string, unknown>>
  return {
    $schema: 'https://json-schema.org/draft/2019-09/schema',
    title: 'A notebook of Ivory Crystal, as it is exported',
    type: 'object',
    properties: { ...properties, entries: { type: 'array', items: { $ref: '#/$defs/line' } } },
    required: [...(file['required'] as readonly string[]), 'entries'],
    additionalProperties: false,
    $defs: {
      line: {
        allOf: [
          toJsonSchema(ENVELOPE),
          ...kinds.map(({ kind, v, name }) => ({
            if: { properties: { kind: { const: kind }, v: { const: v } } },
            then: { properties: { body: { $ref: `#/$defs/${encodeURIComponent(name)}` } } },
          })),
        ],
      },
      ...Object.fromEntries(kinds.map(({ name, schema }) => [name, toJsonSchema(schema)])),
    },
  }
}

const BOUNDS: ReadonlySet<string> = new Set(['minimum', 'maximum', 'exclusiveMinimum', 'exclusiveMaximum'])

/** Without bounds that are another value of the same line: JSON Schema knows only numbers. */
function sayable(schema: unknown): unknown {
  if (Array.isArray(schema)) return schema.map(sayable)
  if (schema === null || typeof schema !== 'object') return schema
  const { properties, patternProperties } = schema as { properties?: object; patternProperties?: object }
  // Names of its own choosing: what has no names listed takes any.
  const takesAny = Object.keys({ ...properties, ...patternProperties }).length === 0
  return Object.fromEntries(
    Object.entries(schema)
      .filter(([key, value]) => !BOUNDS.has(key) || typeof value === 'number')
      .filter(([key]) => key !== 'additionalProperties' || !takesAny)
      .map(([key, value]) => [key, sayable(value)]),
  )
}
