import { expect, test } from '@jest/globals'
import Joi from 'joi'
import { linesToAppend } from '../../golden/append'
import { golden } from '../../golden/contract'
import type { PrepId } from '../ids'
import { idMs, nextId } from './clock'
import type { RawEntry } from './entry'
import { rebase, refusalOf } from '../schemas'
import { momentsIn, moveMoments } from './moments'
import { moment } from '../schema/pieces'

const DAY_MS = 86_400_000
const [first] = golden.entries as readonly [RawEntry, ...RawEntry[]]
const YEAR_MS = 365 * DAY_MS

/** Every number in a body that could be a moment near the golden one, whatever it is called. */
const likeMoments = (value: unknown): number[] => {
  if (typeof value === 'number') return Math.abs(value - golden.nowMs) < 5 * YEAR_MS ? [value] : []
  return value !== null && typeof value === 'object' ? Object.values(value).flatMap(likeMoments) : []
}

test('a moment is moved by what its schema says, whatever its key is called', () => {
  const schema = Joi.object({
    ready: moment.required(),
    breaks: Joi.array().items(Joi.object({ from: moment, minutes: Joi.number() })),
    either: Joi.alternatives().conditional('.sort', {
      is: 'at',
      then: Joi.object({ sort: Joi.string(), when: moment.allow(null) }),
      otherwise: Joi.object({ sort: Joi.string(), inMin: Joi.number() }),
    }),
    looksAtMs: Joi.number(),
  })
  const body = {
    ready: golden.nowMs,
    breaks: [{ from: golden.nowMs, minutes: 4 }],
    either: { sort: 'at', when: golden.nowMs },
    looksAtMs: 12,
  }
  expect(moveMoments(body, momentsIn(schema), 7)).toEqual({
    ready: golden.nowMs + 7,
    breaks: [{ from: golden.nowMs + 7, minutes: 4 }],
    either: { sort: 'at', when: golden.nowMs + 7 },
    looksAtMs: 12,
  })
  expect(moveMoments({ either: { sort: 'at', when: null } }, momentsIn(schema), 7)).toEqual({
    either: { sort: 'at', when: null },
  })
  expect(momentsIn(Joi.object({ mass: Joi.number() }))).toBeNull()
})

test('no moment of the golden ledger is left behind', () => {
  const before = golden.entries.map(({ body }) => likeMoments(body))
  expect(before.flat().length).toBeGreaterThan(4)
  expect(rebase(golden.entries, DAY_MS, first).map(({ body }) => likeMoments(body))).toEqual(
    before.map((moments) => moments.map((one) => one + DAY_MS)),
  )
})

test('the demo gone on with in the app: its new lines join the golden ledger at their own moment', () => {
  const awayMs = 10 * DAY_MS + 4321
  const exported = rebase(golden.entries, awayMs, { ...first, notebook: crypto.randomUUID() as never })
  const opened = exported.find(({ kind }) => kind === 'prep opened') as RawEntry
  const subject = crypto.randomUUID() as PrepId
  const at = golden.nowMs + awayMs + 60_000
  const line = { ...opened, id: nextId(null, at, new Uint8Array(8).fill(9)), at, subject }
  const ended = exported.find(({ kind }) => kind === 'run ended') as RawEntry
  const run = crypto.randomUUID()
  const endedThere = {
    ...ended,
    id: nextId(line.id, at, new Uint8Array(8).fill(9)),
    body: { ...(ended.body as object), run },
  }
  const added = linesToAppend(golden.entries, [...exported, line, endedThere], 0)
  expect(added).toHaveLength(2)
  const names = JSON.stringify(added)
  expect([names.includes(subject), names.includes(run)]).toEqual([false, false])
  expect(added[0]).toMatchObject({
    at: golden.nowMs + 60_000,
    ledger: first.ledger,
    notebook: first.notebook,
    body: opened.body,
  })
  expect(added[0]?.subject).toMatch(/^0a5a1c7e-0000-4000-8000-000000000/)
  expect(golden.entries.map((entry) => entry.subject)).not.toContain(added[0]?.subject)
  expect(added.map(refusalOf)).toEqual([null, null])
  expect((added[1]?.body as { run: string }).run).toMatch(/^0a5a1c7e-0000-4000-8000-000000000/)
})

test('a notebook of another time comes to the golden moment by its own', () => {
  const at = golden.nowMs - 99 * DAY_MS
  const line = { ...first, id: nextId(null, at, new Uint8Array(8).fill(3)), at }
  const [added] = linesToAppend(golden.entries, [line], 99 * DAY_MS - 1000)
  expect(added?.at).toBe(golden.nowMs - 1000)
  expect(idMs(added?.id ?? '')).toBe(golden.nowMs - 1000)
  expect(added?.subject).toBe(first.subject)
})
