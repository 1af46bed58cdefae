import type { NotebookId } from '@ivory-crystal/core/ids'
import type { Database } from '../db/open'
import { hashAfter, type HashedLine } from './chain'
import { batchLines } from './journal'
import type { BatchLine } from './journalTypes'
import { linesAfter } from './tables'

/**
 * Lines of the database after a number as batches, as far as each follows from the one before it; each batch was
 * recorded at one moment.
 */
export async function* batchesAfter(
  db: Database,
  id: NotebookId,
  seq: number,
  from: string,
): AsyncGenerator<BatchLine> {
  let before = from
  let last = { seq, hash: from }
  for await (const lines of linesAfter(db, id, seq)) {
    const following: HashedLine[] = []
    for (const line of lines) {
      const hash = hashAfter(last.hash, line)
      // One of before there were hashes has none, and is chained as it is read.
      if (line.seq !== last.seq + 1 || (line.hash !== '' && line.hash !== hash)) break
      following.push({ ...line, hash })
      last = { seq: line.seq, hash }
    }
    for (const batch of byMoment(following)) {
      yield* batchLines(id, before, batch)
      before = batch[batch.length - 1]?.hash ?? before
    }
    if (following.length < lines.length) return
  }
}

function byMoment(lines: readonly HashedLine[]): HashedLine[][] {
  const batches: HashedLine[][] = []
  for (const line of lines) {
    const last = batches[batches.length - 1]
    if (last?.[0]?.recordedAt === line.recordedAt) last.push(line)
    else batches.push([line])
  }
  return batches
}
