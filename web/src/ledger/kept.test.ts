import 'fake-indexeddb/auto'
import { afterEach, beforeEach, describe, expect, test } from '@jest/globals'
import type { LedgerId, NotebookId } from '@ivory-crystal/core/ids'
import type { About, Shelf } from '@ivory-crystal/core/wire'
import { golden } from '../../../core/golden/contract'
import { type OfflineCopy, openCopies } from './offlineCopies'

const about = (ledger: string): About => ({ ledger: ledger as LedgerId, demo: false, byHand: false })
const facts = (notebook: string, ledger = 'one') => ({
  about: about(ledger),
  notebooks: [],
  shelf: {} as Shelf,
  notebook: notebook as NotebookId,
})
const lines = golden.entries.slice(0, 20).map((entry, i) => ({ seq: i + 1, entry }))

describe('the copy of what was open', () => {
  let kept: OfflineCopy
  beforeEach(async () => {
    kept = await openCopies()
  })
  afterEach(() => {
    kept.close()
    indexedDB.deleteDatabase('ivory-crystal-notebook')
  })
  test('comes back in the server’s order, the notebook last open unless another is named', async () => {
    await kept.keep(facts('a'), [...lines].reverse(), 1)
    await kept.keep(facts('b'), lines.slice(0, 3), 2)
    expect((await kept.read(null))?.notebook).toBe('b')
    const copy = await kept.read('a')
    expect(copy?.lines.map(({ seq }) => seq)).toEqual(lines.map(({ seq }) => seq))
    expect(copy?.lines.map(({ entry }) => entry)).toEqual(lines.map(({ entry }) => entry))
    expect(await kept.read('c')).toBeNull()
  })
  test('tells what the server has no more, and of that notebook alone', async () => {
    await kept.keep(facts('a'), lines, 1)
    await kept.keep(facts('b'), lines.slice(0, 2), 1)
    expect(await kept.keep(facts('b'), lines.slice(0, 2), 2)).toEqual([])
    const gone = await kept.keep(facts('a'), lines.slice(0, 18), 2)
    expect(gone.map(({ seq }) => seq)).toEqual([19, 20])
  })
  test('of the same notebook under another ledger, nothing is missed', async () => {
    await kept.keep(facts('a', 'one'), lines, 1)
    expect(await kept.keep(facts('a', 'two'), lines.slice(0, 5), 2)).toEqual([])
  })
  test('is of the moment the last line came', async () => {
    await kept.keep(facts('a'), lines.slice(0, 5), 1)
    await kept.add('one' as LedgerId, 'a' as NotebookId, lines.slice(5, 6), 7)
    expect(await kept.read('a')).toMatchObject({ keptAtMs: 7 })
    expect((await kept.read('a'))?.lines).toHaveLength(6)
  })
  test('eight notebooks are kept, those opened last, with nothing left of the others', async () => {
    for (let nr = 1; nr <= 11; nr++) await kept.keep(facts(`n${nr}`), lines.slice(0, 2), nr)
    expect(await kept.counted()).toEqual({ notebooks: 8, lines: 16 })
    expect(await kept.read('n3')).toBeNull()
    expect(await kept.read('n4')).not.toBeNull()
  })
})
