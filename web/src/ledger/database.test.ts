import 'fake-indexeddb/auto'
import { expect, test } from '@jest/globals'
import type { LedgerId } from '@ivory-crystal/core/ids'
import type { RawEntry } from '@ivory-crystal/core/notebook'
import { golden } from '../../../core/golden/contract'
import { openCopies } from './offlineCopies'
import { openOutbox } from './outbox'
import { openPhotographs } from './photographs'

const LEDGER = '0a5a1c7e-0000-4000-8000-0000000000aa' as LedgerId
const cleared = (name: string) =>
  new Promise<void>((resolve, reject) => {
    const request = indexedDB.deleteDatabase(name)
    request.onsuccess = () => resolve()
    request.onerror = () => reject(request.error ?? new Error('It could not be cleared.'))
  })
const [first, second] = golden.entries as readonly [RawEntry, RawEntry, ...RawEntry[]]

test('an outbox whose storage is cleared while it is open holds what this page put in, and takes more', async () => {
  const outbox = await openOutbox(LEDGER)
  await outbox.put([first])
  await cleared('ivory-crystal-outbox')
  expect(await outbox.waiting()).toEqual([first])
  await cleared('ivory-crystal-outbox')
  await outbox.put([second])
  expect((await outbox.waiting()).map(({ id }) => id).sort()).toEqual([first.id, second.id].sort())
  const sent: string[] = []
  await outbox.drain((_, groups) => {
    const lines = groups.flat()
    sent.push(...lines.map(({ id }) => id))
    return Promise.resolve(lines.map(({ id }) => ({ id, outcome: 'stored' as const, seq: 1, recordedAt: 1 })))
  })
  expect(sent.sort()).toEqual([first.id, second.id].sort())
  // What has left does not come back with the next clearing.
  await cleared('ivory-crystal-outbox')
  expect(await outbox.waiting()).toEqual([])
  outbox.close()
  await expect(outbox.waiting()).rejects.toThrow('was closed')
})

test('copies and photographs are kept again after theirs is cleared', async () => {
  const copies = await openCopies()
  const photographs = await openPhotographs()
  await photographs.put('a', new Uint8Array([1]).buffer)
  await cleared('ivory-crystal-notebook')
  await cleared('ivory-crystal-photographs')
  expect(await copies.read(null)).toBeNull()
  expect(await copies.counted()).toEqual({ notebooks: 0, lines: 0 })
  await photographs.put('b', new Uint8Array([2]).buffer)
  expect((await photographs.waiting()).count).toBe(1)
  copies.close()
  photographs.close()
})
