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
  let copy: OfflineCopy
  beforeEach(async () => {
    copy = await openCopies()
  })
  afterEach(() => {
    copy.close()
    indexedDB.deleteDatabase('ivory-crystal-notebook')
  })
  test('comes back in the server’s order, the notebook last open unless another is named', async () => {
    await copy.keep(facts('a'), [...lines].reverse(), 1)
    await copy.keep(facts('b'), lines.slice(0, 3), 2)
    expect((await copy.read(null))?.notebook).toBe('b')
    const read = await copy.read('a')
    expect(read?.lines.map(({ seq }) => seq)).toEqual(lines.map(({ seq }) => seq))
    expect(read?.lines.map(({ entry }) => entry)).toEqual(lines.map(({ entry }) => entry))
    expect(await copy.read('c')).toBeNull()
  })
  test('tells what the server has no more, and of that notebook alone', async () => {
    await copy.keep(facts('a'), lines, 1)
    await copy.keep(facts('b'), lines.slice(0, 2), 1)
    expect(await copy.keep(facts('b'), lines.slice(0, 2), 2)).toEqual([])
    const gone = await copy.keep(facts('a'), lines.slice(0, 18), 2)
    expect(gone.map(({ seq }) => seq)).toEqual([19, 20])
  })
  test('of the same notebook under another ledger, nothing is missed', async () => {
    await copy.keep(facts('a', 'one'), lines, 1)
    expect(await copy.keep(facts('a', 'two'), lines.slice(0, 5), 2)).toEqual([])
  })
  test('is of the moment the last line came', async () => {
    await copy.keep(facts('a'), lines.slice(0, 5), 1)
    await copy.add('one' as LedgerId, 'a' as NotebookId, lines.slice(5, 6), 7)
    expect(await copy.read('a')).toMatchObject({ keptAtMs: 7 })
    expect((await copy.read('a'))?.lines).toHaveLength(6)
  })
  test('eight notebooks are kept, those opened last, with nothing left of the others', async () => {
    for (let nr = 1; nr <= 11; nr++) await copy.keep(facts(`n${nr}`), lines.slice(0, 2), nr)
    expect(await copy.counted()).toEqual({ notebooks: 8, lines: 16 })
    expect(await copy.read('n3')).toBeNull()
    expect(await copy.read('n4')).not.toBeNull()
  })
})
