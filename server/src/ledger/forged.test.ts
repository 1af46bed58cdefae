import { mkdtemp, readFile, rm, writeFile } from 'node:fs/promises'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { afterEach, beforeEach, describe, expect, test } from '@jest/globals'
import fc from 'fast-check'
import type { LedgerId, NotebookId } from '@ivory-crystal/core/ids'
import { line } from '../testing/bench'
import { verifyFolder } from '../verify'
import { beginningOf, chained, type HashedLine, hashAfter, hashOf } from './chain'
import {
  batchLines,
  type BatchLine,
  type Damage,
  type JournalLine,
  ledgerLine,
  notebookLine,
  readJournal,
} from './journal'
import { runs } from '../../../core/golden/depth'

const LEDGER = '0a5a1c7e-0000-4000-8000-00000000000a' as LedgerId
const HOME = '0a5a1c7e-0000-4000-8000-00000000000b' as NotebookId
const OTHER = '0a5a1c7e-0000-4000-8000-00000000000c' as NotebookId

let folder: string
let path: string
let rows: JournalLine[]
beforeEach(async () => {
  folder = await mkdtemp(join(tmpdir(), 'ivory-forged-'))
  path = join(folder, 'journal.jsonl')
  rows = written()
})
afterEach(() => rm(folder, { recursive: true, force: true }))

/** Five batches of three entries in one notebook, and one batch in another between them. */
function written(): JournalLine[] {
  const made: JournalLine[] = [
    ledgerLine(LEDGER, 1),
    notebookLine(HOME, 'Bench 7', 2),
    notebookLine(OTHER, 'Bench 8', 3),
  ]
  let before = beginningOf(HOME)
  for (let batch = 0; batch < 5; batch++) {
    const lines = chained(
      before,
      [1, 2, 3].map((i) => ({
        seq: batch * 3 + i,
        recordedAt: 100 + batch,
        entry: line({ ledger: LEDGER, notebook: HOME }),
      })),
    )
    made.push(...batchLines(HOME, before, lines))
    before = lines[2]?.hash ?? ''
    if (batch === 1) {
      const beside = chained(beginningOf(OTHER), [
        { seq: 1, recordedAt: 150, entry: line({ ledger: LEDGER, notebook: OTHER }) },
      ])
      made.push(...batchLines(OTHER, beginningOf(OTHER), beside))
    }
  }
  return made
}
/** Batches of the first notebook, as they can be changed. */
type Batch = {
  -readonly [K in keyof BatchLine]: BatchLine[K] extends readonly (infer E)[]
    ? { -readonly [F in keyof E]: E[F] }[]
    : BatchLine[K]
}
const batches = () => rows.filter((row) => row.line === 'batch' && row.notebook === HOME) as Batch[]
const batch = (i: number) => batches()[i] as Batch
const entryAt = (i: number, k: number) => batch(i).entries[k] as Batch['entries'][number]
function reword(i: number, k: number): void {
  const one = entryAt(i, k)
  one.entry = { ...one.entry, body: { station: 'plan', text: 'rewritten' } }
}
/** Works the hashes of a batch anew, from what it says it follows. */
function rehash(i: number): string {
  const { recordedAt, entries } = batch(i)
  let last = batch(i).before ?? ''
  for (const one of entries) {
    last = hashAfter(last, { seq: one.seq, recordedAt, entry: one.entry })
    one.hash = last
  }
  return last
}
async function read() {
  await writeFile(path, rows.map((row) => `${JSON.stringify(row)}\n`).join(''))
  const lines: HashedLine[] = []
  const damages: Damage[] = []
  const titles: string[] = []
  for await (const step of readJournal(path)) {
    if (step.step === 'lines' && step.notebook === HOME) lines.push(...step.lines)
    if (step.step === 'damage') damages.push(step.damage)
    if (step.step === 'notebook') titles.push(step.title)
  }
  lines.sort((p, q) => p.seq - q.seq)
  return { lines, damages, titles, texts: lines.map(({ entry }) => (entry.body as { text: string }).text) }
}
const ORIGINAL = 15

test('as it was written nothing is told, and every entry stands', async () => {
  const { lines, damages, titles } = await read()
  expect([lines.length, damages, titles]).toEqual([ORIGINAL, [], ['Bench 7', 'Bench 8']])
  expect((await verifyFolder(folder)).isAsExpected).toBe(true)
})

/** What was done to the file, and how many of the entries still stand. */
const WAYS: readonly (readonly [string, () => void, number])[] = [
  [
    'a text changed',
    () => {
      reword(1, 1)
    },
    14,
  ],
  [
    'the text of a batch’s last entry changed, and its hash taken out',
    () => {
      reword(1, 2)
      delete (entryAt(1, 2) as { hash?: string }).hash
    },
    14,
  ],
  [
    'the text of a batch’s last entry changed, and its hash worked anew',
    () => {
      reword(1, 2)
      rehash(1)
    },
    14,
  ],
  [
    'the text of a batch’s first entry changed, and the hashes of the batch worked anew',
    () => {
      reword(1, 0)
      rehash(1)
    },
    14,
  ],
  [
    'a batch worked anew, and the next told to follow it',
    () => {
      reword(1, 0)
      batch(2).before = rehash(1)
    },
    14,
  ],
  [
    'the hash of an entry in the middle taken out, its text as it was',
    () => {
      delete (entryAt(2, 1) as { hash?: string }).hash
    },
    15,
  ],
  [
    'the hash of a last entry taken out, its text as it was',
    () => {
      delete (entryAt(2, 2) as { hash?: string }).hash
    },
    15,
  ],
  [
    'all hashes of a batch taken out',
    () => {
      for (const one of batch(2).entries) delete (one as { hash?: string }).hash
    },
    13,
  ],
  [
    'what a batch says it follows taken out',
    () => {
      delete (batch(2) as { before?: string }).before
    },
    15,
  ],
  [
    'what a batch says it follows changed',
    () => {
      batch(2).before = 'f'.repeat(64)
    },
    15,
  ],
  [
    'a batch taken out',
    () => {
      rows.splice(rows.indexOf(batch(2)), 1)
    },
    12,
  ],
  [
    'a batch copied behind itself',
    () => {
      rows.splice(rows.indexOf(batch(2)), 0, structuredClone(batch(2)) as JournalLine)
    },
    15,
  ],
  [
    'two batches in each other’s place',
    () => {
      const [p, q] = [batch(2), batch(3)]
      const [i, k] = [rows.indexOf(p), rows.indexOf(q)]
      rows[i] = q
      rows[k] = p
    },
    15,
  ],
  [
    'the moment of recording changed',
    () => {
      batch(2).recordedAt += 1
    },
    12,
  ],
  [
    'the title changed, and its hash taken out',
    () => {
      rows[1] = { line: 'notebook', id: HOME, title: 'Bench 9', createdAt: 2 }
    },
    15,
  ],
  [
    'a second title',
    () => {
      rows.splice(4, 0, notebookLine(HOME, 'Bench 9', 2))
    },
    15,
  ],
  [
    'an entry that was never written, in the place of one',
    () => {
      rows.push(
        ...batchLines(
          HOME,
          batch(3).entries[2]?.hash ?? '',
          chained(batch(3).entries[2]?.hash ?? '', [
            { seq: 13, recordedAt: 1, entry: line({ ledger: LEDGER, notebook: HOME }) },
          ]),
        ),
      )
    },
    15,
  ],
  [
    'the entries of another notebook in a batch',
    () => {
      for (const one of batch(2).entries) one.entry = { ...one.entry, notebook: OTHER }
    },
    12,
  ],
  [
    'all hashes of the file taken out',
    () => {
      rows = JSON.parse(
        JSON.stringify(rows, (key, value: unknown) =>
          key === 'hash' || key === 'before' ? undefined : value,
        ),
      ) as JournalLine[]
    },
    15,
  ],
]

describe('a journal that was rewritten', () => {
  test.each(WAYS)('%s: it is told, and only what fits stands', async (_, forge, stands) => {
    forge()
    const { lines, damages, texts } = await read()
    expect(damages.length).toBeGreaterThan(0)
    expect(lines).toHaveLength(stands)
    expect(new Set(lines.map(({ seq }) => seq)).size).toBe(lines.length)
    // Where a whole batch was worked anew, which of its entries was rewritten cannot be known: that is told.
    if (texts.includes('rewritten'))
      expect(damages.map(({ reason }) => reason).join()).toMatch(
        /an earlier one was rewritten|an earlier one/,
      )
    const { isAsExpected, damages: verified } = await verifyFolder(folder)
    expect([isAsExpected, verified.length]).toEqual([false, damages.length])
  })

  test('worked anew from an entry on to the end it looks whole; only a hash that was kept elsewhere tells', async () => {
    const last = batch(4).entries[2]?.hash ?? ''
    const early = batch(0).entries[2]?.hash ?? ''
    reword(1, 0)
    for (let i = 1; i < 5; i++) {
      batch(i).before = i === 1 ? batch(i).before : (batch(i - 1).entries[2]?.hash ?? '')
      rehash(i)
    }
    expect((await read()).damages).toEqual([])
    expect((await verifyFolder(folder)).isAsExpected).toBe(true)
    const report = await verifyFolder(folder, last)
    expect([report.isAsExpected, report.troubles.join()]).toEqual([
      false,
      expect.stringContaining('No entry has the hash'),
    ])
    // What was kept before the change still fits: up to there nothing was rewritten.
    const earlier = await verifyFolder(folder, early.slice(0, 16))
    expect([earlier.isAsExpected, earlier.remarks.join()]).toEqual([
      true,
      expect.stringContaining('Entry 3 of Bench 7'),
    ])
  })

  test('with its end cut off it looks whole; only a hash that was kept elsewhere tells', async () => {
    const last = batch(4).entries[2]?.hash ?? ''
    rows = rows.slice(0, -2)
    await read()
    expect((await verifyFolder(folder)).isAsExpected).toBe(true)
    expect((await verifyFolder(folder, last)).isAsExpected).toBe(false)
  })

  test('a change of any one entry, with any hashes after it worked anew but the last batch’s, is told', async () => {
    await fc.assert(
      fc.asyncProperty(fc.nat(3), fc.nat(2), fc.nat(2), async (i, k, more) => {
        rows = written()
        reword(i, k)
        for (let j = i; j <= Math.min(3, i + more); j++) {
          if (j > i) batch(j).before = batch(j - 1).entries[2]?.hash ?? ''
          rehash(j)
        }
        expect((await read()).damages.length).toBeGreaterThan(0)
      }),
      { numRuns: runs(40) },
    )
  })
})

describe('whatever the bytes of a journal are', () => {
  test('reading it ends, tells every number once, and lets nothing through that a table could not hold', async () => {
    const nasty = [
      { line: 'batch', notebook: HOME, recordedAt: 1, before: '', entries: [] },
      { line: 'batch', notebook: HOME, recordedAt: -1, entries: [{ seq: 1, entry: {} }] },
      { line: 'notebook', id: HOME, title: 'a\0b\ud83d', createdAt: 1 },
      { line: 'notebook', id: OTHER, title: 5, createdAt: 1 },
      { line: 'ledger', id: 'x' },
      { line: 'ledger', id: LEDGER, createdAt: 1e300 },
      null,
      [],
      'x',
      JSON.parse(`${'['.repeat(500)}${']'.repeat(500)}`) as unknown,
    ]
    await fc.assert(
      fc.asyncProperty(
        fc.array(
          fc.tuple(
            fc.nat(30),
            fc.constantFrom(...nasty.map((one) => JSON.stringify(one)), '{"a":', '\u0000', '1e999'),
          ),
          { maxLength: 4 },
        ),
        fc.array(fc.tuple(fc.nat(20_000), fc.nat(255)), { maxLength: 4 }),
        async (inserted, flipped) => {
          const text = written().map((row) => JSON.stringify(row))
          for (const [at, what] of inserted) text.splice(at % text.length, 0, what)
          const bytes = Buffer.from(`${text.join('\n')}\n`)
          for (const [at, value] of flipped) bytes.writeUInt8(value, at % bytes.length)
          await writeFile(path, bytes)
          const seen = new Set<string>()
          const ids = new Set<string>()
          for await (const step of readJournal(path)) {
            if (step.step === 'notebook') expect(step.title).toMatch(/^[^\0\ud800-\udfff]+$/)
            if (step.step !== 'lines') continue
            for (const { seq, entry } of step.lines) {
              const key = `${step.notebook} ${seq}`
              expect([seen.has(key), ids.has(entry.id)]).toEqual([false, false])
              seen.add(key)
              ids.add(entry.id)
              expect(JSON.stringify(entry)).not.toContain('\\u0000')
            }
          }
        },
      ),
      { numRuns: runs(120) },
    )
  })

  test('the one door: an odd entry with a right hash is told and left out', async () => {
    for (const odd of [
      { ...line({ ledger: LEDGER, notebook: HOME }), id: 'no id' },
      { ...line({ ledger: LEDGER, notebook: HOME }), body: { station: 'plan', text: 'a\0b' } },
      { ...line({ ledger: LEDGER, notebook: HOME }), kind: 'x'.repeat(500) },
    ]) {
      rows = written()
      const before = batch(4).entries[2]?.hash ?? ''
      const hash = hashAfter(before, { seq: 16, recordedAt: 9, entry: odd as never })
      rows.push({
        line: 'batch',
        notebook: HOME,
        recordedAt: 9,
        before,
        entries: [{ seq: 16, entry: odd as never, hash }],
      })
      const { lines, damages } = await read()
      expect([lines.length, damages.map(({ reason }) => reason)]).toEqual([ORIGINAL, ['It cannot be read.']])
    }
    expect(hashOf({ a: 1 })).toBe(hashOf({ a: 1, hash: 'x' }))
    expect(await readFile(path, 'utf8')).toContain('Bench 7')
  })
})

describe('verify', () => {
  test.each([
    ['a folder that is not there', async () => rm(folder, { recursive: true }), 'There is no folder'],
    ['a journal that is gone', async () => rm(path), 'holds no journal'],
    ['an empty journal', async () => writeFile(path, ''), 'is empty'],
  ])('%s is said, not taken for right', async (_, change, sentence) => {
    await read()
    await change()
    await expect(verifyFolder(folder)).rejects.toThrow(sentence)
  })
  test('what is no hash is said', async () => {
    await read()
    await expect(verifyFolder(folder, 'abc')).rejects.toThrow('is not a hash')
  })
})
