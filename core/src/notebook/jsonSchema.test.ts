import { describe, expect, test } from '@jest/globals'
import { readFileSync } from 'node:fs'
import { join } from 'node:path'
import { Ajv2019 } from 'ajv/dist/2019.js'
import parse from 'joi-to-json'
import { golden } from '../../golden/contract'
import type { RawEntry } from './entry'
import { refusalOf } from '../schemas'
import { notebookJsonSchema } from './jsonSchema'

const made = notebookJsonSchema((schema) => parse(schema, 'json-draft-2019-09') as Record<string, unknown>)
const published = JSON.parse(
  readFileSync(join(import.meta.dirname, '../../../docs/notebook.schema.json'), 'utf8'),
) as object
const check = new Ajv2019({ strict: false }).compile(published)
const file = (entries: readonly unknown[]) => ({
  format: 'ivory-crystal notebook',
  version: 1,
  coreVersion: '0.1.0',
  exportedAt: 1,
  notebook: { id: golden.entries[0]?.notebook, title: 'bench 7' },
  entries,
})

describe('the published JSON Schema of a notebook', () => {
  test('is the one these schemas make (else: npm run schema)', () => {
    expect(published).toEqual(JSON.parse(JSON.stringify(made)))
  })
  test('takes every line of every ledger there has been', () => {
    expect(check(file(golden.entries))).toBe(true)
    for (const version of [1, 2, 3]) {
      const text = readFileSync(join(import.meta.dirname, `../../golden/ledger.v${version}.json`), 'utf8')
      const { entries } = JSON.parse(text) as { entries: readonly RawEntry[] }
      expect(check(file(entries))).toBe(true)
    }
  })
  test('keeps a line of a kind that is not known yet', () => {
    expect(check(file([{ ...golden.entries[0], kind: 'of tomorrow', body: { any: [1] } }]))).toBe(true)
  })
  test('refuses what the app refuses: a missing part, one too many, one of another sort', () => {
    const seen = new Set<string>()
    let tried = 0
    for (const entry of golden.entries) {
      if (seen.has(entry.kind)) continue
      seen.add(entry.kind)
      const body = entry.body as Record<string, unknown>
      for (const [name, value] of Object.entries(body)) {
        const wrong = typeof value === 'string' ? 7.5 : 'wrong'
        for (const bad of [
          { ...body, [name]: wrong },
          { ...body, surplus: 1 },
        ]) {
          const line = { ...entry, body: bad }
          if (refusalOf(line) === null) continue
          tried += 1
          expect({ kind: entry.kind, name, taken: check(file([line])) }).toEqual({
            kind: entry.kind,
            name,
            taken: false,
          })
        }
      }
    }
    expect(tried).toBeGreaterThan(200)
  })
  test('refuses a file that is no notebook', () => {
    expect(check({ ...file([]), format: 'something else' })).toBe(false)
    expect(check(file([7]))).toBe(false)
    expect(check({ ...file(golden.entries), surplus: true })).toBe(false)
  })
})
