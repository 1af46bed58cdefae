import { createHash } from 'node:crypto'
import { existsSync } from 'node:fs'
import { mkdir, open, readdir, readFile, rename } from 'node:fs/promises'
import { join } from 'node:path'
import { isJpeg, PHOTOGRAPH_BYTES_MOST } from '@ivory-crystal/core'
import { HttpProblem } from '../http/problem'
import { flushFolder, freeName } from '../lineFile'

/** Pictures of the notebooks, each a file once, under its SHA-256. */
export interface PhotographStore {
  /**
   * Keeps a picture. When this resolves it outlives a power cut.
   *
   * @returns whether it was new
   * @throws HttpProblem when the bytes are no JPEG, too many, or of another hash
   */
  keep(sha256: string, bytes: Buffer): Promise<boolean>
  /** null where there is none, or the file is damaged: that one is set aside. */
  read(sha256: string): Promise<Buffer | null>
  all(): Promise<readonly string[]>
}

const OWN_FILE = 0o600
const OWN_FOLDER = 0o700
const NAME = /^([0-9a-f]{64})\.jpg$/

export const shaOf = (bytes: Uint8Array) => createHash('sha256').update(bytes).digest('hex')

export function openPhotographs(folder: string, requireRoom: () => Promise<void>): PhotographStore {
  const place = join(folder, 'photographs')
  const pathOf = (sha256: string) => join(place, `${sha256}.jpg`)
  let turn = 0

  async function read(sha256: string): Promise<Buffer | null> {
    const bytes = await readFile(pathOf(sha256)).catch(() => null)
    if (!bytes || shaOf(bytes) === sha256) return bytes
    await rename(pathOf(sha256), freeName(pathOf(sha256), 'damaged'))
    return null
  }

  return {
    read,
    async keep(sha256, bytes) {
      if (bytes.length > PHOTOGRAPH_BYTES_MOST)
        throw new HttpProblem(413, 'Too large', 'A photograph takes at most 1 MB here.')
      if (!isJpeg(bytes)) throw new HttpProblem(400, 'No picture', 'These bytes are no whole JPEG.')
      if (shaOf(bytes) !== sha256)
        throw new HttpProblem(
          400,
          'Damaged on the way',
          'The picture that came is not the one that was sent.',
        )
      if (await read(sha256)) return false
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
