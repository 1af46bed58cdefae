import { open, readFile } from 'node:fs/promises'
import type { ShelfRow } from './items'

export interface ShelfJournal {
  /** Appends rows and flushes them: when this resolves they outlive a power cut. */
  append(rows: readonly ShelfRow[]): Promise<void>
  close(): Promise<void>
}

/**
 * What the lab itself puts on the shelf, one JSON object a line, beside the ledger's journal and for the same
 * reason: the database never flushes to disk and can be made again from it.
 *
 * @returns the journal and the rows in it; a last line torn by a crash was never acknowledged and is left out
 */
export async function openShelfJournal(
  path: string,
): Promise<{ readonly journal: ShelfJournal; readonly rows: readonly ShelfRow[] }> {
  const text = await readFile(path, 'utf8').catch((error: NodeJS.ErrnoException) => {
    if (error.code === 'ENOENT') return ''
    throw error
  })
  const whole = text.slice(0, text.lastIndexOf('\n') + 1)
  const file = await open(path, 'a')
  if (whole.length < text.length) await file.truncate(Buffer.byteLength(whole))
  const rows = whole
    .split('\n')
    .filter((line) => line !== '')
    .map((line) => JSON.parse(line) as ShelfRow)
  return {
    rows,
    journal: {
      async append(added) {
        if (added.length === 0) return
        await file.appendFile(added.map((row) => `${JSON.stringify(row)}\n`).join(''))
        await file.datasync()
      },
      close: () => file.close(),
    },
  }
}
