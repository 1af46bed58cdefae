import { type FileHandle, open, readFile } from 'node:fs/promises'
import type { LedgerId, NotebookId, RawEntry } from '@ivory-crystal/core'

/** One line of the journal. The whole notebook can be read back from these lines with nothing else. */
export type JournalLine =
  | { readonly line: 'ledger'; readonly id: LedgerId; readonly createdAt: number }
  | { readonly line: 'notebook'; readonly id: NotebookId; readonly title: string; readonly createdAt: number }
  | {
      readonly line: 'batch'
      readonly notebook: NotebookId
      readonly recordedAt: number
      readonly entries: readonly { readonly seq: number; readonly entry: RawEntry }[]
    }

export interface Journal {
  /** Bytes on disk. */
  readonly bytes: number
  /** Appends one line and flushes it: when this resolves, the line outlives a power cut. */
  append(line: JournalLine): Promise<void>
  close(): Promise<void>
}

/**
 * Opens a journal for appending. A last line torn by a crash was never acknowledged: it is cut off, after a
 * copy of it is put beside the journal.
 */
export async function openJournal(path: string, say: (sentence: string) => void): Promise<Journal> {
  const file = await open(path, 'a+')
  let { size } = await file.stat()
  const torn = await tornBytes(file, size)
  if (torn > 0) {
    const bytes = Buffer.alloc(torn)
    await file.read(bytes, 0, torn, size - torn)
    const aside = await open(`${path}.torn`, 'a')
    await aside.write(Buffer.concat([bytes, Buffer.from('\n')]))
    await aside.close()
    size -= torn
    await file.truncate(size)
    await file.datasync()
    say(
      `The last line of the journal was torn by a crash (${torn} bytes, never acknowledged); it was set aside.`,
    )
  }
  return {
    get bytes() {
      return size
    },
    async append(line) {
      const bytes = Buffer.from(`${JSON.stringify(line)}\n`)
      try {
        await file.appendFile(bytes)
        await file.datasync()
      } catch (error) {
        // Whatever part reached the disk was not acknowledged: the next line must not be glued to it.
        await file.truncate(size).catch(() => undefined)
        throw error
      }
      size += bytes.length
    },
    close: () => file.close(),
  }
}

async function tornBytes(file: FileHandle, size: number): Promise<number> {
  const chunk = 65_536
  for (let end = size; end > 0; end -= chunk) {
    const start = Math.max(0, end - chunk)
    const buffer = Buffer.alloc(end - start)
    await file.read(buffer, 0, buffer.length, start)
    const newline = buffer.lastIndexOf(10)
    if (newline >= 0) return size - (start + newline + 1)
  }
  return size
}

/**
 * Reads a whole journal.
 *
 * @throws Error naming the line when one in the middle cannot be read
 */
export async function readJournal(path: string): Promise<JournalLine[]> {
  const text = await readFile(path, 'utf8').catch((error: NodeJS.ErrnoException) => {
    if (error.code === 'ENOENT') return ''
    throw error
  })
  return text
    .split('\n')
    .filter((line) => line !== '')
    .map((line, i) => {
      try {
        return JSON.parse(line) as JournalLine
      } catch {
        throw new Error(
          `Line ${i + 1} of ${path} cannot be read. Restore the journal from a backup, or remove that line.`,
        )
      }
    })
}
