import { wholeInstrument } from '@ivory-crystal/core/instruments'
import { OWN_SORTS, type OwnSort, pieces, shelfRefusal, unstorable } from '@ivory-crystal/core/checks'
import Joi from 'joi'
import { sentence } from '@ivory-crystal/core/checks'
import { hashOf } from '../ledger/chain'
import type { Damage } from '../ledger/journal'
import { readLines } from '../lineFile'
import { idOf, isOn, type ShelfRow } from './items'

const VERSION_MOST = 1_000_000
/** A row of a sort this build does not know is kept as it is, up to this size. */
const UNKNOWN_BODY_MOST = 64_000

const ENVELOPE = Joi.object({
  sort: Joi.string().min(1).max(40).required(),
  id: Joi.string().min(1).max(300).required(),
  version: Joi.number().integer().min(1).max(VERSION_MOST).required(),
  origin: Joi.string().valid('own', 'reference', 'default', 'simulated', 'demo').required(),
  body: Joi.any().required(),
  createdAt: Joi.number().integer().min(0).max(8.64e15).required(),
  author: Joi.string().max(80).allow(null),
})
const SEALED = Joi.object({
  notebook: pieces.uuid.required(),
  unknown: pieces.uuid.required(),
  compound: Joi.object().required(),
  purity: Joi.number().min(0.5).max(1).required(),
  salt: Joi.string()
    .pattern(/^[0-9a-f]{64}$/)
    .required(),
})
const STRICT = { convert: false, errors: { wrap: { label: '“”' } } } as const

/**
 * Whether a row may stand in the shelf’s file: the one door for rows that are written, restored, or read at a start.
 *
 * @returns null when it may, else what is wrong with it, as a sentence
 */
export function rowRefusal(value: unknown): string | null {
  const cannot = unstorable(value)
  if (cannot) return cannot
  const { error } = ENVELOPE.validate(value, STRICT)
  if (error) return sentence(error)
  const row = value as ShelfRow
  if (row.body === null || typeof row.body !== 'object') return 'Its content is not something a shelf holds.'
  if (!isOn(row)) return null
  if (row.sort === 'sealed answer') return sealedRefusal(row.body)
  if (!OWN_SORTS.includes(row.sort))
    return JSON.stringify(row.body).length > UNKNOWN_BODY_MOST
      ? 'It is of a newer version and too long to save.'
      : null
  return bodyRefusal(row.sort, row.id, row.body)
}

function sealedRefusal(body: unknown): string | null {
  const { error } = SEALED.validate(body, STRICT)
  if (error) return sentence(error)
  return shelfRefusal('compound', (body as { compound: unknown }).compound)
}

function bodyRefusal(sort: OwnSort, id: string, body: unknown): string | null {
  try {
    const refused = shelfRefusal(sort, sort === 'instrument' ? wholeInstrument(body) : body)
    if (refused) return refused
    return idOf(sort, body) === id ? null : `It is saved under “${id}”, which is not its name.`
  } catch {
    return `It is no ${sort}.`
  }
}

/** A row as it stands in the file: with the hash of the row before it, and its own over all of that. */
export type HashedRow = ShelfRow & { readonly before: string; readonly hash: string }

/** What the first row of the file follows. */
export const SHELF_BEGINNING = ''

/** The row, chained to the one before it. */
export function hashedRow(row: ShelfRow, before: string): HashedRow {
  const { sort, id, version, origin, body, createdAt, author } = row
  // Versions of before authors were kept have none.
  const plain = { sort, id, version, origin, body, createdAt, ...(author ? { author } : {}), before }
  return { ...plain, hash: hashOf(plain) }
}

export interface ReadShelf {
  readonly rows: readonly ShelfRow[]
  readonly damages: readonly Damage[]
  /** Hash of the last row that can be read. */
  readonly last: string
}

/**
 * Reads the shelf's file and walks its chain. A row that cannot be read, is not as it was written, or is nothing that
 * may stand on a shelf is told and left out; the rest stands. Rows of before there was a chain have no `before`, and
 * those of before there were hashes no hash: such a row counts only where none before it has one.
 */
export async function readShelfFile(path: string): Promise<ReadShelf> {
  const rows: ShelfRow[] = []
  const damages: Damage[] = []
  let last = SHELF_BEGINNING
  let isHashed = false
  let isChained = false
  let isHurt = false
  for await (const { number, text, parsed } of readLines(path)) {
    const report = (reason: string, isLoss = true) => damages.push({ line: number, reason, text, isLoss })
    const trouble = parsed === undefined ? 'It cannot be read.' : wrongIn(parsed)
    if (trouble) {
      report(trouble)
      isHurt = true
      continue
    }
    const { hash, before, ...row } = parsed as ShelfRow & { hash?: string; before?: string }
    if ((hash === undefined && isHashed) || (before === undefined && isChained)) {
      report('Its hash does not follow from the row before it.')
      isHurt = true
      continue
    }
    if (before !== undefined && before !== last && !isHurt)
      report('Rows are missing before it, or one before it was changed.', false)
    isHashed ||= hash !== undefined
    isChained ||= before !== undefined
    last = hash ?? hashOf(row)
    isHurt = false
    rows.push(row)
  }
  return { rows, damages, last }
}

/** What is wrong with a line of the file, held against its own hash. */
function wrongIn(parsed: unknown): string | null {
  if (parsed === null || typeof parsed !== 'object' || Array.isArray(parsed))
    return 'It is not a row of a shelf.'
  const { hash, before, ...row } = parsed as { hash?: unknown; before?: unknown }
  try {
    if (hash !== undefined && hash !== hashOf(parsed)) return 'It is not as it was written.'
  } catch {
    return 'It cannot be read.'
  }
  if (before !== undefined && typeof before !== 'string') return 'It cannot be read.'
  const refused = rowRefusal(row)
  return refused === null ? null : `It is not allowed on the shelf. ${refused}`
}
