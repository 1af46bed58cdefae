import { constants, existsSync } from 'node:fs'
import { copyFile, type FileHandle, link, open, rename } from 'node:fs/promises'
import { dirname } from 'node:path'

/** A file of lines, one JSON object each, that only grows. */
export interface LineFile {
  /** Bytes on disk. */
  readonly bytes: number
  /** Bytes of a last line that a crash tore, and that were set aside as it was opened. */
  readonly tornBytes: number
  /** Appends lines and flushes them: when this resolves they outlive a power cut. */
  append(lines: readonly unknown[]): Promise<void>
  /**
   * Puts a whole new content in its place, and keeps the old file beside it under a name that says why.
   *
   * @returns the path of the old file
   */
  replaceWith(lines: AsyncIterable<unknown>, why: string): Promise<string>
  close(): Promise<void>
}

/** No line that was ever written is longer; of one that is, only the beginning is kept in memory. */
const LINE_BYTES_MOST = 64 << 20
const TOLD_BYTES = 1000

/** Files of the notebook are their owner's alone. */
const OWN_FILE = 0o600
const NEWLINE = 10

/**
 * Opens a file of lines for appending. A last line that lacks only its newline was written whole, and is kept; one
 * torn by a crash was never acknowledged, and is cut off after a copy of it is put beside the file.
 */
export async function openLineFile(path: string, say: (sentence: string) => void): Promise<LineFile> {
  let file = await openFlushed(path)
  let { size } = await file.stat()
  let tornBytes = 0
  const tail = await lastLine(file, size)
  if (tail.length > 0) {
    if (isJson(tail)) {
      await file.appendFile('\n')
      size += 1
    } else {
      await setAside(`${path}.torn`, tail)
      size -= tail.length
      tornBytes = tail.length
      await file.truncate(size)
      say(
        `The last line of ${path} was torn by a crash (${tail.length} bytes, never acknowledged); it was set aside.`,
      )
    }
    await file.datasync()
  }
  /** True while bytes may lie beyond what was acknowledged: the next line must not be glued to them. */
  let unclean = false
  return {
    get bytes() {
      return size
    },
    tornBytes,
    async append(lines) {
      if (lines.length === 0) return
      if (unclean) await file.truncate(size)
      unclean = true
      const bytes = Buffer.from(lines.map((line) => `${JSON.stringify(line)}\n`).join(''))
      try {
        await file.appendFile(bytes)
        await file.datasync()
      } catch (error) {
        await file.truncate(size).then(
          () => {
            unclean = false
          },
          () => undefined,
        )
        throw error
      }
      unclean = false
      size += bytes.length
    },
    async replaceWith(lines, why) {
      const making = `${path}.new`
      const made = await open(making, 'w', OWN_FILE)
      for await (const line of lines) await made.appendFile(`${JSON.stringify(line)}\n`)
      await made.sync()
      await made.close()
      await file.close()
      const oldPath = freeName(path, why)
      // The old file has both names for a moment, so that at no moment there is none.
      await link(path, oldPath).catch(() => copyFile(path, oldPath))
      await rename(making, path)
      await flushFolder(dirname(path))
      file = await openFlushed(path)
      size = (await file.stat()).size
      unclean = false
      return oldPath
    },
    close: () => file.close(),
  }
}

/** The first name of its kind that nothing has yet. */
export function freeName(path: string, why: string): string {
  let number = 1
  while (existsSync(`${path}.${why}-${number}`)) number++
  return `${path}.${why}-${number}`
}

/** A new file's name is in its folder only once the folder is flushed too. */
async function openFlushed(path: string): Promise<FileHandle> {
  try {
    const made = await open(
      path,
      constants.O_RDWR | constants.O_APPEND | constants.O_CREAT | constants.O_EXCL,
      OWN_FILE,
    )
    await flushFolder(dirname(path))
    return made
  } catch (error) {
    if ((error as NodeJS.ErrnoException).code !== 'EEXIST') throw error
    return open(path, 'a+', OWN_FILE)
  }
}

/** A new name is in its folder for good only once the folder itself is flushed. */
export async function flushFolder(path: string): Promise<void> {
  const folder = await open(path, 'r')
  try {
    await folder.sync()
  } finally {
    await folder.close()
  }
}

async function setAside(path: string, bytes: Buffer): Promise<void> {
  const aside = await open(path, 'a', OWN_FILE)
  await aside.write(Buffer.concat([bytes, Buffer.from('\n')]))
  await aside.close()
}

function isJson(bytes: Buffer): boolean {
  if (bytes.length > LINE_BYTES_MOST) return false
  try {
    return typeof JSON.parse(bytes.toString('utf8')) === 'object'
  } catch {
    return false
  }
}

/** What stands after the last newline. */
async function lastLine(file: FileHandle, size: number): Promise<Buffer> {
  const chunk = 65_536
  const parts: Buffer[] = []
  for (let end = size; end > 0; end -= chunk) {
    const start = Math.max(0, end - chunk)
    const buffer = Buffer.alloc(end - start)
    await file.read(buffer, 0, buffer.length, start)
    const newline = buffer.lastIndexOf(NEWLINE)
    parts.unshift(buffer.subarray(newline + 1))
    if (newline >= 0) break
  }
  return Buffer.concat(parts)
}

/** One line as it stands in the file, with its number from 1. */
export interface NumberedLine {
  readonly number: number
  readonly text: string
  /** What it says; undefined when it cannot be read. */
  readonly parsed: unknown
}

/**
 * Reads a file of lines from its beginning, a piece at a time: no file is too long, and a line that is longer than any
 * that was written cannot be read. None at all when there is no file.
 */
export async function* readLines(path: string): AsyncGenerator<NumberedLine> {
  const file = await open(path, 'r').catch((error: NodeJS.ErrnoException) => {
    if (error.code === 'ENOENT') return null
    throw error
  })
  if (!file) return
  try {
    let number = 0
    let rest: Buffer[] = []
    let restBytes = 0
    const keepRest = (bytes: Buffer) => {
      if (bytes.length === 0) return
      restBytes += bytes.length
      if (restBytes <= LINE_BYTES_MOST) rest.push(Buffer.from(bytes))
      // Of a line too long to be one, the beginning says enough.
      else rest = [(rest[0] ?? bytes).subarray(0, TOLD_BYTES)]
    }
    const whole = (last: Buffer) => {
      if (restBytes === 0 && last.length <= LINE_BYTES_MOST) return numbered(++number, last)
      const line = restBytes + last.length > LINE_BYTES_MOST ? null : Buffer.concat([...rest, last])
      const start = Buffer.concat([...rest, last.subarray(0, TOLD_BYTES)])
      rest = []
      restBytes = 0
      number += 1
      return line
        ? numbered(number, line)
        : { number, text: start.subarray(0, TOLD_BYTES).toString('utf8'), parsed: undefined }
    }
    for await (const piece of file.createReadStream({ autoClose: false, highWaterMark: 1 << 20 })) {
      const bytes = piece as Buffer
      let from = 0
      for (let at = bytes.indexOf(NEWLINE); at >= 0; at = bytes.indexOf(NEWLINE, from)) {
        const line = whole(bytes.subarray(from, at))
        from = at + 1
        if (line.text.length > 0) yield line
      }
      keepRest(bytes.subarray(from))
    }
    if (restBytes > 0) yield whole(Buffer.alloc(0))
  } finally {
    await file.close()
  }
}

function numbered(number: number, bytes: Buffer): NumberedLine {
  const text = bytes.toString('utf8')
  try {
    // Bytes that are no UTF-8 are read as the sign for a letter that cannot be read: such a line was damaged.
    const isWhole = !text.includes('\uFFFD') || Buffer.from(text).equals(bytes)
    return { number, text, parsed: isWhole ? (JSON.parse(text) as unknown) : undefined }
  } catch {
    return { number, text, parsed: undefined }
  }
}
