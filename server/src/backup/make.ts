import { createHash } from 'node:crypto'
import { open } from 'node:fs/promises'
import { join } from 'node:path'
import { strToU8, Zip, ZipDeflate, ZipPassThrough } from 'fflate'
import type { LedgerId } from '@ivory-crystal/core/ids'
import { CORE_VERSION } from '@ivory-crystal/core/version'
import type { PhotographStore } from '../photographs/store'
import { hashedRow, readShelfFile, SHELF_BEGINNING } from '../shelf/rows'
import { type BackupFacts, FACTS, JOURNAL, SEALED, SHELF } from './format'
import { lockAnswers } from './sealedAnswers'

const PIECE = 1 << 20
const NEWLINE = 10

/** A file of lines up to its last whole line: what is appended meanwhile is of the next backup. */
async function* wholeLines(path: string): AsyncGenerator<Buffer> {
  const file = await open(path, 'r').catch((error: NodeJS.ErrnoException) => {
    if (error.code === 'ENOENT') return null
    throw error
  })
  if (!file) return
  try {
    let left = (await file.stat()).size
    let rest = Buffer.alloc(0)
    while (left > 0) {
      const piece = Buffer.alloc(Math.min(PIECE, left))
      const { bytesRead } = await file.read(piece, 0, piece.length)
      if (bytesRead === 0) break
      left -= bytesRead
      const text = Buffer.concat([rest, piece.subarray(0, bytesRead)])
      const end = text.lastIndexOf(NEWLINE) + 1
      rest = text.subarray(end)
      if (end > 0) yield text.subarray(0, end)
    }
  } finally {
    await file.close()
  }
}

/**
 * A data folder as one zip, while it is being written to: its journal, the lab's shelf and its photographs, each with
 * its SHA-256. The database is made anew from them. Sealed answers go along only under the instructor's word.
 */
export async function* makeBackup(given: {
  readonly folder: string
  readonly ledger: LedgerId
  readonly notebooks: BackupFacts['notebooks']
  readonly photographs: PhotographStore
  readonly nowMs: number
  /** Sealed answers are encrypted under it; null leaves them out. */
  readonly word: string | null
}): AsyncGenerator<Uint8Array> {
  const { folder, ledger, notebooks, photographs, nowMs, word } = given
  const { rows } = await readShelfFile(join(folder, SHELF))
  const sealed = rows.filter(({ sort }) => sort === 'sealed answer')
  const locked = word === null || sealed.length === 0 ? null : await lockAnswers(sealed, word)
  let made: Uint8Array[] = []
  let failed: Error | null = null
  const zip = new Zip((error, piece) => {
    if (error) failed = error
    else made.push(piece)
  })
  const flushed = () => {
    if (failed) throw failed
    const pieces = made
    made = []
    return pieces
  }
  const files: { name: string; bytes: number; sha256: string }[] = []
  async function* add(
    name: string,
    pieces: AsyncIterable<Uint8Array> | Iterable<Uint8Array>,
    isPacked: boolean,
  ) {
    const file = isPacked ? new ZipPassThrough(name) : new ZipDeflate(name, { level: 6 })
    file.mtime = nowMs
    zip.add(file)
    const sum = createHash('sha256')
    let bytes = 0
    for await (const piece of pieces) {
      sum.update(piece)
      bytes += piece.length
      file.push(piece)
      yield* flushed()
    }
    file.push(new Uint8Array(0), true)
    yield* flushed()
    files.push({ name, bytes, sha256: sum.digest('hex') })
  }
  yield* add(JOURNAL, wholeLines(join(folder, JOURNAL)), false)
  let before = SHELF_BEGINNING
  const shelf = rows
    .filter((row) => !sealed.includes(row))
    .map((row) => {
      const hashed = hashedRow(row, before)
      before = hashed.hash
      return strToU8(`${JSON.stringify(hashed)}\n`)
    })
  yield* add(SHELF, shelf, false)
  if (locked) yield* add(SEALED, [locked], false)
  for (const sha256 of await photographs.all()) {
    const bytes = await photographs.read(sha256)
    if (bytes) yield* add(`photographs/${sha256}.jpg`, [bytes], true)
  }
  const facts: BackupFacts = {
    format: 'ivory-crystal backup',
    version: 2,
    coreVersion: CORE_VERSION,
    madeAt: nowMs,
    ledger,
    files: [...files],
    notebooks,
    sealedAnswers: sealed.length,
  }
  yield* add(FACTS, [strToU8(JSON.stringify(facts, null, 2))], false)
  zip.end()
  yield* flushed()
}
