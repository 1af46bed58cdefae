import type { NotebookId } from '@ivory-crystal/core/ids'
import type { Database } from '../db/open'
import { beginningOf, hashAfter } from './chain'
import type { Head } from './journal'
import { linesAfter } from './tables'

/**
 * Holds the lines of a notebook against their hashes, each once.
 *
 * @param hasGaps lines were set aside: after one that is gone the chain goes on with what the next says of itself
 * @returns whether every line so far is as it was written
 */
export function verifier(db: Database, hasGaps: boolean): (notebook: NotebookId) => Promise<boolean> {
  /** Up to which line each notebook was found to be as it was written. */
  const verified = new Map<NotebookId, Head>()
  return async (notebook) => {
    let last = verified.get(notebook) ?? { seq: 0, hash: beginningOf(notebook) }
    for await (const lines of linesAfter(db, notebook, last.seq))
      for (const line of lines) {
        const isNext = line.seq === last.seq + 1
        if (isNext ? line.hash !== hashAfter(last.hash, line) : !hasGaps) return false
        last = line
      }
    verified.set(notebook, { seq: last.seq, hash: last.hash })
    return true
  }
}
