import { afterAll, beforeAll, describe, expect, test } from '@jest/globals'
import type { RawEntry } from '@ivory-crystal/core'
import { ledgerContract } from '../../../core/golden/contract'
import { SYSTEM_CLOCK } from '../clock'
import { type LedgerStore, openStore } from '../ledger/store'
import { type OpenDatabase, openPostgres } from './open'

/** A PostgreSQL server to try the contract on; without one there is nothing to test here. */
const AROUND = { clock: SYSTEM_CLOCK, say: () => undefined }
const url = process.env['TEST_DATABASE_URL']

if (url === undefined)
  test.skip('a PostgreSQL server keeps the contract too (set TEST_DATABASE_URL)', () => undefined)
else
  describe('a PostgreSQL server in place of PGlite and journal', () => {
    let database: OpenDatabase
    let store: LedgerStore
    beforeAll(async () => {
      database = await openPostgres(url)
      store = await openStore(database.db, null, AROUND)
    })
    afterAll(() => database.close())
    ledgerContract(
      'a PostgreSQL server',
      async () => ({ ledger: store.ledger, notebook: (await store.createNotebook({ title: 'empty' })).id }),
      async (lines) => {
        const notebook = (lines[0] as RawEntry).notebook
        await store.append(
          notebook,
          lines.map((line) => [line]),
        )
        return store.all(notebook)
      },
    )
    test('keeps its ledger’s id', async () => {
      const again = await openStore(database.db, null, AROUND)
      expect(again.ledger).toBe(store.ledger)
    })
  })
