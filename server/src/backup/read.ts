import { createHash } from 'node:crypto'
import Joi from 'joi'
import { strFromU8, unzipSync } from 'fflate'
import { pieces } from '@ivory-crystal/core/schemas'
import { HttpProblem } from '../http/problem'
import { type BackupFacts, FACTS, isOurs, JOURNAL, PICTURE, SHELF } from './format'

/** Unpacked, a backup is no larger than this: what claims more is not unpacked. */
const UNPACKED_MOST = 2_000_000_000
const FILES_MOST = 100_000

const hash = Joi.string()
  .pattern(/^[0-9a-f]{64}$/)
  .required()
const factsBody = Joi.object({
  format: Joi.string().valid('ivory-crystal backup').required(),
  version: Joi.number().valid(1).required(),
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
})

export interface ReadBackup {
  readonly facts: BackupFacts
  readonly journal: Uint8Array
  readonly shelf: Uint8Array
  /** By SHA-256. */
  readonly pictures: ReadonlyMap<string, Uint8Array>
}

const no = (detail: string) => new HttpProblem(400, 'No backup', detail)

/**
 * Opens a backup. Only files of its own names are unpacked, and every one is held against its sum.
 *
 * @throws HttpProblem 400 with a sentence when it is none, or is damaged
 */
export function readBackup(zip: Uint8Array): ReadBackup {
  let unpacked = 0
  const files = (() => {
    try {
      return unzipSync(zip, {
        filter({ name, originalSize }) {
          if (!isOurs(name)) return false
          unpacked += originalSize
          if (unpacked > UNPACKED_MOST) throw no('This zip claims to hold more than any backup does.')
          return true
        },
      })
    } catch (error) {
      throw error instanceof HttpProblem
        ? error
        : no('This file cannot be unpacked: it is no zip, or it is damaged.')
    }
  })()
  const told = files[FACTS]
  if (!told) throw no('This zip is no backup of Ivory Crystal: it has no backup.json.')
  const { value, error } = factsBody.validate(parsed(told), { convert: false }) as {
    value: BackupFacts
    error?: Error
  }
  if (error) throw no('What this backup says of itself cannot be read. It may be of a newer version.')
  for (const { name, bytes, sha256 } of value.files) {
    const file = isOurs(name) ? files[name] : undefined
    if (!file) throw no(`“${name}” is missing from this backup.`)
    if (file.length !== bytes || createHash('sha256').update(file).digest('hex') !== sha256)
      throw no(`“${name}” is not as it was when the backup was made: its sum differs.`)
  }
  const summed = new Set(value.files.map(({ name }) => name))
  const held = (name: string) => (summed.has(name) ? files[name] : undefined)
  return {
    facts: value,
    journal: held(JOURNAL) ?? new Uint8Array(),
    shelf: held(SHELF) ?? new Uint8Array(),
    pictures: new Map(
      [...summed].flatMap((name) => {
        const sha256 = PICTURE.exec(name)?.[1]
        const bytes = files[name]
        return sha256 && bytes ? [[sha256, bytes] as const] : []
      }),
    ),
  }
}

function parsed(bytes: Uint8Array): unknown {
  try {
    return JSON.parse(strFromU8(bytes)) as unknown
  } catch {
    return null
  }
}
