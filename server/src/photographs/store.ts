import { createHash } from 'node:crypto'
import { existsSync } from 'node:fs'
import { mkdir, open, readdir, readFile, rename } from 'node:fs/promises'
import { join } from 'node:path'
import { jpegTrouble, PHOTOGRAPH_BYTES_MOST, PHOTOGRAPH_PX_MOST } from '@ivory-crystal/core/notebook'
import { HttpProblem } from '../http/problem'
import { flushFolder, freeName } from '../lineFile'
import { openDecoder } from './decoder'

/** Pictures of the notebooks, each a file once, under its SHA-256. */
export interface PhotographStore {
  /**
   * Keeps a picture. When this resolves it outlives a power cut.
   *
   * @returns whether it was new
   * @throws HttpProblem when the bytes are no picture, too many, of another hash, or carry details beside the picture
   */
  keep(sha256: string, bytes: Buffer): Promise<boolean>
  /** What stands in the way of keeping a picture, decoded; null when nothing does. */
  refusal(sha256: string, bytes: Uint8Array): Promise<HttpProblem | null>
  /** null where there is none, or the file is damaged: that one is set aside. */
  read(sha256: string): Promise<Buffer | null>
  all(): Promise<readonly string[]>
  close(): Promise<void>
}

const REFUSED = {
  'no picture': [400, 'No picture', 'This is not a complete JPEG picture.'],
  details: [
    422,
    'Details in the picture',
    'This picture contains hidden details, such as where and when it was taken. Save it without them (a smaller copy usually has none), and send that.',
  ],
  'too large': [413, 'Too large', `A photograph is ${PHOTOGRAPH_PX_MOST} pixels wide or high at most.`],
} as const
function refused(why: keyof typeof REFUSED): HttpProblem {
  const [status, title, detail] = REFUSED[why]
  return new HttpProblem(status, title, detail)
}

const OWN_FILE = 0o600
const OWN_FOLDER = 0o700
const NAME = /^([0-9a-f]{64})\.jpg$/

export const shaOf = (bytes: Uint8Array) => createHash('sha256').update(bytes).digest('hex')

export function openPhotographs(folder: string, requireRoom: () => Promise<void>): PhotographStore {
  const place = join(folder, 'photographs')
  const pathOf = (sha256: string) => join(place, `${sha256}.jpg`)
  const decoder = openDecoder()
  let turn = 0
  async function refusal(sha256: string, bytes: Uint8Array): Promise<HttpProblem | null> {
    if (bytes.length > PHOTOGRAPH_BYTES_MOST)
      return new HttpProblem(413, 'Too large', 'A photograph takes at most 1 MB here.')
    if (shaOf(bytes) !== sha256)
      return new HttpProblem(
        400,
        'Damaged on the way',
        'The picture that arrived is not the one that was sent.',
      )
    const trouble = jpegTrouble(bytes)
    if (trouble) return refused(trouble)
    return (await decoder.decodes(bytes)) ? null : refused('no picture')
  }

  async function read(sha256: string): Promise<Buffer | null> {
    const bytes = await readFile(pathOf(sha256)).catch(() => null)
    if (!bytes || shaOf(bytes) === sha256) return bytes
    await rename(pathOf(sha256), freeName(pathOf(sha256), 'damaged'))
    return null
  }

  return {
    read,
    refusal,
    close: decoder.close,
    async keep(sha256, bytes) {
      if (shaOf(bytes) === sha256 && (await read(sha256))) return false
      const wrong = await refusal(sha256, bytes)
      if (wrong) throw wrong
      await requireRoom()
      const isFirst = !existsSync(place)
      await mkdir(place, { recursive: true, mode: OWN_FOLDER })
      if (isFirst) await flushFolder(folder)
      // Written whole beside its place, and then moved there: a crash leaves no half picture under a whole one's name.
      const making = `${pathOf(sha256)}.${process.pid}-${turn++}.new`
      const file = await open(making, 'w', OWN_FILE)
      try {
        await file.writeFile(bytes)
        await file.sync()
      } finally {
        await file.close()
      }
      await rename(making, pathOf(sha256))
      await flushFolder(place)
      return true
    },
    async all() {
      const names = await readdir(place).catch(() => [])
      return names.flatMap((name) => NAME.exec(name)?.[1] ?? []).sort()
    },
  }
}

/** What is wrong with a picture in a folder; null when nothing is. */
export function photographTrouble(sha256: string, bytes: Uint8Array): string | null {
  return shaOf(bytes) === sha256 ? null : `photographs/${sha256}.jpg is not as it was written.`
}

/** What is found of the pictures in a folder, each read by itself. */
export async function picturesIn<T>(
  folder: string,
  look: (sha256: string, bytes: Uint8Array) => T | null,
): Promise<readonly T[]> {
  const place = join(folder, 'photographs')
  const found: T[] = []
  for (const name of (await readdir(place).catch(() => [] as string[])).sort()) {
    const sha256 = NAME.exec(name)?.[1]
    const seen = sha256 ? look(sha256, await readFile(join(place, name))) : null
    if (seen !== null) found.push(seen)
  }
  return found
}
