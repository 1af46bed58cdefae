import type { DBSchema } from 'idb'
import { openReopening } from './database'

/** A picture taken on this device. */
interface KeptPhotograph {
  readonly sha256: string
  readonly jpeg: ArrayBuffer
  /** 1 until the server has it: an index knows no booleans. */
  readonly waits: 0 | 1
}
interface PhotographSchema extends DBSchema {
  kept: { key: string; value: KeptPhotograph; indexes: { waits: number } }
}

/** Pictures taken here: kept on this device at once, sent when they can be, and shown from here while they wait. */
export interface Photographs {
  /** Keeps a picture; when this resolves it outlives the browser. */
  put(sha256: string, jpeg: ArrayBuffer): Promise<void>
  read(sha256: string): Promise<ArrayBuffer | null>
  /** Bytes of what waits for the server. */
  waiting(): Promise<{ readonly count: number; readonly bytes: number }>
  usage(): Promise<{ readonly count: number; readonly bytes: number }>
  /**
   * Sends what waits.
   *
   * @throws what `post` throws; what was not answered stays
   */
  send(post: (sha256: string, jpeg: ArrayBuffer) => Promise<unknown>): Promise<void>
  close(): void
}

export async function openPhotographs(): Promise<Photographs> {
  const database = await openReopening<PhotographSchema>('ivory-crystal-photographs', 1, (made) => {
    made.createObjectStore('kept', { keyPath: 'sha256' }).createIndex('waits', 'waits')
  })
  const { withDb, close } = database
  const counted = (all: readonly KeptPhotograph[]) => ({
    count: all.length,
    bytes: all.reduce((sum, { jpeg }) => sum + jpeg.byteLength, 0),
  })
  return {
    put: (sha256, jpeg) =>
      withDb(async (db) => {
        const tx = db.transaction('kept', 'readwrite', { durability: 'strict' })
        const known = await tx.store.get(sha256)
        await Promise.all([tx.store.put({ sha256, jpeg, waits: known?.waits ?? 1 }), tx.done])
      }),
    read: async (sha256) => (await withDb((db) => db.get('kept', sha256)))?.jpeg ?? null,
    waiting: async () => counted(await withDb((db) => db.getAllFromIndex('kept', 'waits', 1))),
    usage: async () => counted(await withDb((db) => db.getAll('kept'))),
    async send(post) {
      for (const one of await withDb((db) => db.getAllFromIndex('kept', 'waits', 1))) {
        await post(one.sha256, one.jpeg)
        await withDb((db) => db.put('kept', { ...one, waits: 0 }))
      }
    },
    close,
  }
}
