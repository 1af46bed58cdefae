import { createHash } from 'node:crypto'
import { createWriteStream } from 'node:fs'
import { mkdir, stat } from 'node:fs/promises'
import { join } from 'node:path'
import { type Readable, Transform } from 'node:stream'
import { pipeline } from 'node:stream/promises'
import Joi from 'joi'
import { type Entry as ZipEntry, openPromise, type ZipFile } from 'yauzl'
import { pieces } from '@ivory-crystal/core/checks'
import { HttpProblem } from '../http/problem'
import { flushFolder } from '../lineFile'
import { type BackupFacts, FACTS, isOurs, PHOTOGRAPHS } from './format'

/** Unpacked, a backup is no larger than this, bytes: what claims more is not unpacked. */
const UNPACKED_MOST = 2_000_000_000
/** Nor does any file that was written here pack better than this. */
const TIMES_PACKED_MOST = 100
const SMALL = 1_000_000
const FACTS_MOST = 30_000_000
const FILES_MOST = 100_000

const hash = Joi.string()
  .pattern(/^[0-9a-f]{64}$/)
  .required()
const factsBody = Joi.object({
  format: Joi.string().valid('ivory-crystal backup').required(),
  version: Joi.number().valid(1, 2).required(),
  coreVersion: Joi.string().max(40).required(),
  madeAt: pieces.moment.required(),
  ledger: pieces.uuid.required(),
  files: Joi.array()
    .items(
      Joi.object({
        name: Joi.string().max(120).required(),
        bytes: Joi.number().integer().min(0).required(),
        sha256: hash,
      }),
    )
    .max(FILES_MOST)
    .required(),
  notebooks: Joi.array()
    .items(
      Joi.object({
        id: pieces.uuid.required(),
        title: Joi.string().min(1).max(200).required(),
        seq: Joi.number().integer().min(0).required(),
        hash: Joi.string().max(64).required(),
      }),
    )
    .required(),
  sealedAnswers: Joi.number().integer().min(0),
})

const no = (detail: string) => new HttpProblem(400, 'No backup', detail)

/**
 * Unpacks a backup into a folder, file by file: what it claims is held against what a backup can be before anything is
 * unpacked, only files of its own names are, and every one is held against its sum. Memory does not grow with it.
 *
 * @param zip path of the zip
 * @param into an empty folder
 * @throws HttpProblem 400 with a sentence when it is none, or is damaged
 */
export async function unpackBackup(zip: string, into: string): Promise<BackupFacts> {
  const packed = await openPromise(zip, { autoClose: false, lazyEntries: true }).catch(() => {
    throw no('This file cannot be unpacked. It is not a zip file, or it is damaged.')
  })
  try {
    const files = await listOf(packed, (await stat(zip)).size)
    const factsFile = files.get(FACTS)
    if (!factsFile) throw no('This zip is not a backup of Ivory Crystal: it has no backup.json.')
    const facts = factsIn(await readAll(packed, factsFile))
    await mkdir(join(into, PHOTOGRAPHS), { recursive: true, mode: 0o700 })
    for (const { name, bytes, sha256 } of facts.files) {
      const file = isOurs(name) ? files.get(name) : undefined
      if (!file) throw no(`“${name}” is missing from this backup.`)
      const sum = await unpackOne(packed, file, join(into, name))
      if (sum.bytes !== bytes || sum.sha256 !== sha256)
        throw no(`“${name}” has changed since the backup was made: its checksum differs.`)
    }
    await flushFolder(join(into, PHOTOGRAPHS))
    await flushFolder(into)
    return facts
  } catch (error) {
    if (error instanceof HttpProblem || (error as NodeJS.ErrnoException).code === 'ENOSPC') throw error
    throw no('This file cannot be unpacked. It is not a zip file, or it is damaged.')
  } finally {
    packed.close()
  }
}

/** The files of a zip that belong into a backup, once what they claim is found to be possible. */
async function listOf(packed: ZipFile, zipBytes: number): Promise<ReadonlyMap<string, ZipEntry>> {
  const files = new Map<string, ZipEntry>()
  let claimed = 0
  if (packed.entryCount > FILES_MOST) throw no('This zip claims to hold more files than any backup does.')
  for await (const entry of packed.eachEntry()) {
    if (!isOurs(entry.fileName)) continue
    if (files.has(entry.fileName)) throw no(`“${entry.fileName}” is in this zip twice.`)
    claimed += entry.uncompressedSize
    files.set(entry.fileName, entry)
  }
  if (claimed > UNPACKED_MOST || claimed > Math.max(SMALL, zipBytes * TIMES_PACKED_MOST))
    throw no('This zip claims to hold more than any backup does, so it was not unpacked.')
  return files
}

async function readAll(packed: ZipFile, entry: ZipEntry): Promise<Buffer> {
  if (entry.uncompressedSize > FACTS_MOST) throw no('The description in this backup is too long.')
  const pieces: Buffer[] = []
  for await (const piece of await packed.openReadStreamPromise(entry)) pieces.push(piece as Buffer)
  return Buffer.concat(pieces)
}

async function unpackOne(packed: ZipFile, entry: ZipEntry, to: string) {
  const stream: Readable = await packed.openReadStreamPromise(entry)
  const sum = createHash('sha256')
  let bytes = 0
  const counted = new Transform({
    transform(piece: Buffer, _, done) {
      sum.update(piece)
      bytes += piece.length
      done(null, piece)
    },
  })
  await pipeline(stream, counted, createWriteStream(to, { mode: 0o600, flags: 'wx', flush: true }))
  return { bytes, sha256: sum.digest('hex') }
}

function factsIn(bytes: Buffer): BackupFacts {
  const { value, error } = factsBody.validate(parsed(bytes), { convert: false }) as {
    value: BackupFacts
    error?: Error
  }
  if (error) throw no('The description in this backup cannot be read. It could be from a newer version.')
  return value
}

function parsed(bytes: Buffer): unknown {
  try {
    return JSON.parse(bytes.toString('utf8')) as unknown
  } catch {
    return null
  }
}
