import type { DBSchema, IDBPDatabase, OpenDBCallbacks } from 'idb'
import { openDB } from 'idb'

/** A database of the browser that is opened again when the browser closed it, as when its storage is cleared. */
export interface Reopening<S extends DBSchema> {
  /**
   * Does something with the database; on one that was closed meanwhile it is done again, on a new one.
   *
   * @throws what `work` throws on a database that is open
   */
  withDb<T>(work: (db: IDBPDatabase<S>) => Promise<T>): Promise<T>
  close(): void
}

/** What a database says once it was closed from outside. */
const CLOSED = ['InvalidStateError', 'NotFoundError']

/**
 * Opens a database and keeps it open.
 *
 * @param onReopened called on a database that had to be opened again, before anything else is done with it: what it
 *   held may be gone
 */
export async function openReopening<S extends DBSchema>(
  name: string,
  version: number,
  upgrade: NonNullable<OpenDBCallbacks<S>['upgrade']>,
  onReopened: (db: IDBPDatabase<S>) => Promise<void> = () => Promise.resolve(),
): Promise<Reopening<S>> {
  let opened: Promise<IDBPDatabase<S>> | null = null
  let isEnded = false
  function open(): Promise<IDBPDatabase<S>> {
    const opening: Promise<IDBPDatabase<S>> = openDB<S>(name, version, {
      upgrade,
      blocking() {
        // Whoever wants it gone or newer is not held up.
        void opening.then((db) => {
          db.close()
        })
        forget(opening)
      },
      terminated() {
        forget(opening)
      },
    })
    opening.catch(() => {
      forget(opening)
    })
    return opening
  }
  function forget(of: Promise<IDBPDatabase<S>>): void {
    if (opened === of) opened = null
  }
  async function current(): Promise<IDBPDatabase<S>> {
    if (isEnded) throw new Error('This database was closed.')
    if (opened) return opened
    opened = open()
    const mine = opened
    const db = await mine
    await onReopened(db)
    return db
  }
  opened = open()
  await opened
  return {
    async withDb(work) {
      const db = await current()
      try {
        return await work(db)
      } catch (error) {
        if (isEnded || !CLOSED.includes((error as Error).name)) throw error
        opened = null
        return work(await current())
      }
    },
    close() {
      isEnded = true
      void opened?.then((db) => {
        db.close()
      })
    },
  }
}
