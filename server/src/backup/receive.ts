import { createWriteStream } from 'node:fs'
import { rm } from 'node:fs/promises'
import type { IncomingMessage } from 'node:http'
import { Transform } from 'node:stream'
import { pipeline } from 'node:stream/promises'
import { HttpProblem } from '../http/problem'

/** A backup that comes in is no larger than this, bytes. */
const BACKUP_MOST = 1_000_000_000

/**
 * Writes the body of a request to a file, piece by piece.
 *
 * @throws HttpProblem 415 when it is no zip as it is, 413 when it is too large; nothing is left of it then
 */
export async function receiveZip(request: IncomingMessage, path: string): Promise<void> {
  const { 'content-type': type, 'content-encoding': packed, 'content-length': length } = request.headers
  if (type?.split(';')[0]?.trim() !== 'application/zip' || (packed !== undefined && packed !== 'identity'))
    throw new HttpProblem(415, 'No backup', 'Send a backup as application/zip, without further compression.')
  const tooLarge = () => new HttpProblem(413, 'Too large', 'A backup may hold 1000 MB at most.')
  if (Number(length ?? 0) > BACKUP_MOST) throw tooLarge()
  let bytes = 0
  const bounded = new Transform({
    transform(piece: Buffer, _, done) {
      bytes += piece.length
      done(bytes > BACKUP_MOST ? tooLarge() : null, piece)
    },
  })
  try {
    await pipeline(request, bounded, createWriteStream(path, { mode: 0o600 }))
  } catch (error) {
    await rm(path, { force: true })
    throw error
  }
}
