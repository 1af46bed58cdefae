import type { RawEntry } from './entry'
import Joi from 'joi'
import { shortName, uuid, type VersionSchemas } from '../schema/pieces'
import { sentence, STRICT } from '../schema/strict'
import { unstorable } from './storable'
import { type Kind, KINDS } from './kinds/list'

/** Schemas by kind and version, as far as they were asked for. */
const bodies = new Map<string, VersionSchemas>()

/** Builds what checks lines of these kinds; each takes some milliseconds, once. Kinds of a newer build have none. */
export async function readySchemas(kinds: Iterable<string> = Object.keys(KINDS)): Promise<void> {
  for (const kind of new Set(kinds))
    if (!bodies.has(kind) && Object.hasOwn(KINDS, kind)) bodies.set(kind, await KINDS[kind as Kind].schemas())
}

/** The same for lines that may be anything. */
export async function readySchemasOf(lines: readonly unknown[]): Promise<void> {
  const kinds = lines.map((raw) => (raw as { kind?: unknown } | null)?.kind)
  await readySchemas(kinds.filter((kind) => typeof kind === 'string'))
}

/**
 * The schemas of a kind by version.
 *
 * @throws where `readySchemas` was not asked for them: a fault of the program
 */
export function schemasOf(kind: Kind): VersionSchemas {
  const known = bodies.get(kind)
  if (!known) throw new Error(`There is no check for entries of the kind “${kind}”.`)
  return known
}

export const ENVELOPE = Joi.object({
  id: uuid
    .pattern(/^.{14}7/)
    .required()
    .messages({ 'string.pattern.base': 'The id of an entry is a UUID of version 7.' }),
  v: Joi.number().integer().min(1).max(10_000).required(),
  ledger: uuid.required(),
  notebook: uuid.required(),
  subject: Joi.alternatives(uuid, shortName).required(),
  kind: Joi.string().min(1).max(60).required(),
  body: Joi.any().required(),
  at: Joi.number().integer().min(0).max(8.64e15).required(),
  author: Joi.string().trim().min(1).max(80).required(),
  device: Joi.string().min(1).max(80).required(),
})

/** A body of a kind this build does not know is kept as it is, up to this size. */
const UNKNOWN_BODY_MOST = 64_000

/**
 * Whether a line may enter the ledger. What checks its kind is ready: see `readySchemas`.
 *
 * @returns null when it may, else what is wrong with it, as a sentence
 */
export function refusalOf(raw: unknown): string | null {
  const cannot = unstorable(raw)
  if (cannot) return cannot
  const { error } = ENVELOPE.validate(raw, STRICT)
  if (error) return sentence(error)
  const { kind, v, body } = raw as RawEntry
  if (!Object.hasOwn(KINDS, kind) || v > KINDS[kind as Kind].version)
    return JSON.stringify(body).length > UNKNOWN_BODY_MOST
      ? 'This entry is of a newer version and too long to save.'
      : null
  const schema = schemasOf(kind as Kind)[v]
  if (!schema) return `“${kind}” was never written in version ${v}.`
  const refused = schema.validate(body, STRICT).error
  if (refused) return `In “${kind}”: ${sentence(refused)}`
  return ofItself(raw as RawEntry) ? 'A sample cannot be made from itself.' : null
}

/** A mixture among its own parts: whatever asks what it is made of would never come to an end. */
function ofItself({ kind, subject, body }: RawEntry): boolean {
  return kind === 'sample named' && (body as { of?: readonly string[] }).of?.includes(subject) === true
}
