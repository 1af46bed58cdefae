import { createCipheriv, createDecipheriv, randomBytes, scrypt } from 'node:crypto'
import { promisify } from 'node:util'
import Joi from 'joi'
import { HttpProblem } from '../http/problem'
import type { ShelfRow } from '../shelf/items'
import { rowRefusal } from '../shelf/rows'

/** Letters of an instructor’s word, at least: a short one is guessed. */
const WORD_LEAST = 12

const deriveKey = promisify<string, Buffer, number, object, Buffer>(scrypt)
/** Half a second of work for each guess (RFC 7914). */
const COST = { N: 2 ** 16, r: 8, p: 1, maxmem: 128 * 2 ** 20 }
const KEY_BYTES = 32
const CIPHER = 'aes-256-gcm'

const base64 = Joi.string().base64().max(50_000_000).required()
const file = Joi.object({
  version: Joi.number().valid(1).required(),
  salt: base64,
  iv: base64,
  tag: base64,
  data: base64,
})

/**
 * Sealed answers, encrypted under the instructor’s word (scrypt, AES-256-GCM).
 *
 * @throws HttpProblem 400 when the word is too short
 */
export async function lockAnswers(rows: readonly ShelfRow[], word: string): Promise<Buffer> {
  if ([...word].length < WORD_LEAST)
    throw new HttpProblem(
      400,
      'Too short',
      `The instructor’s word needs at least ${WORD_LEAST} letters: a shorter one is easily guessed.`,
    )
  const salt = randomBytes(16)
  const iv = randomBytes(12)
  const cipher = createCipheriv(CIPHER, await keyOf(word, salt), iv)
  const data = Buffer.concat([cipher.update(JSON.stringify(rows), 'utf8'), cipher.final()])
  const sealed = { version: 1, salt, iv, tag: cipher.getAuthTag(), data }
  return Buffer.from(
    JSON.stringify(sealed, (_, value: unknown) => {
      const bytes = value as { type?: string; data?: number[] } | null
      return bytes?.type === 'Buffer' ? Buffer.from(bytes.data ?? []).toString('base64') : value
    }),
  )
}

/**
 * Opens them again.
 *
 * @throws HttpProblem 403 when the word is another, 400 when the file is damaged
 */
export async function unlockAnswers(locked: Uint8Array, word: string): Promise<readonly ShelfRow[]> {
  const { value, error } = file.validate(parsed(locked), { convert: false }) as {
    value: Record<'salt' | 'iv' | 'tag' | 'data', string>
    error?: Error
  }
  if (error) throw new HttpProblem(400, 'Damaged', 'The sealed answers in this backup cannot be read.')
  const [salt, iv, tag, data] = [value.salt, value.iv, value.tag, value.data].map((text) =>
    Buffer.from(text, 'base64'),
  ) as [Buffer, Buffer, Buffer, Buffer]
  try {
    const decipher = createDecipheriv(CIPHER, await keyOf(word, salt), iv)
    decipher.setAuthTag(tag)
    const text = Buffer.concat([decipher.update(data), decipher.final()]).toString('utf8')
    return (JSON.parse(text) as unknown[]).filter((row): row is ShelfRow => rowRefusal(row) === null)
  } catch {
    throw new HttpProblem(
      403,
      'Another word',
      'The instructor’s word is wrong, so the sealed answers stay sealed. Leave it empty to restore everything else.',
    )
  }
}

function keyOf(word: string, salt: Buffer): Promise<Buffer> {
  return deriveKey(word.normalize('NFKC'), salt, KEY_BYTES, COST)
}

function parsed(bytes: Uint8Array): unknown {
  try {
    return JSON.parse(Buffer.from(bytes).toString('utf8')) as unknown
  } catch {
    return null
  }
}
