import { createHash } from 'node:crypto'
import { readFileSync } from 'node:fs'
import { expect, test } from '@jest/globals'
import { readySchemas, schemasOf } from '../refusal'
import { type Kind, KINDS } from './list'

/** Of each version of a body that is no longer written: the hash of what its schema lets in. */
const FROZEN = JSON.parse(
  readFileSync(new URL('../../../golden/frozen.json', import.meta.url), 'utf8'),
) as Readonly<Record<string, string>>

await readySchemas()
const older = (Object.keys(KINDS) as Kind[]).flatMap((kind) =>
  Object.entries(schemasOf(kind))
    .filter(([v]) => Number(v) < KINDS[kind].version)
    .map(([v, schema]) => ({ name: `${kind} v${v}`, schema })),
)

test('every older version is frozen, and no other', () => {
  expect(Object.keys(FROZEN).sort()).toEqual(older.map(({ name }) => name).sort())
})
test.each(older)('what $name may hold is what it could hold when it was written', ({ name, schema }) => {
  // One that fails here reads a list or a piece that has grown since: give that version a copy of its own.
  const described = createHash('sha256').update(JSON.stringify(schema.describe())).digest('hex')
  expect({ [name]: described }).toEqual({ [name]: FROZEN[name] })
})
