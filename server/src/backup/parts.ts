import type { Clock } from '../clock'
import type { LedgerStore } from '../ledger/storeTypes'
import type { PhotographStore } from '../photographs/store'
import type { ShelfStore } from '../shelf/shelf'

/** What a backup is made of, and brought back into. */
export interface BackupParts {
  readonly folder: string
  /** Lines lie in a PostgreSQL server, and not in the folder. */
  readonly isElsewhere: boolean
  readonly store: LedgerStore
  readonly shelf: ShelfStore
  readonly photographs: PhotographStore
  readonly clock: Clock
}
