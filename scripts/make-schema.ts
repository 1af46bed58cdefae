/** Writes the JSON Schema of an exported notebook from the schemas that lines are checked against; it is committed. */
import { writeFileSync } from 'node:fs'
import { join } from 'node:path'
import parse from 'joi-to-json'
import { notebookJsonSchema } from '../core/src/notebook/jsonSchema'

const schema = notebookJsonSchema((one) => parse(one, 'json-draft-2019-09') as Record<string, unknown>)
writeFileSync(
  join(import.meta.dirname, '../docs/notebook.schema.json'),
  `${JSON.stringify(schema, null, 1)}\n`,
)
