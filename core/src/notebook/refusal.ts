import type { RawEntry } from './entry'
import Joi from 'joi'
import { shortName, uuid, type VersionSchemas } from '../schema/pieces'
import { sentence, STRICT } from '../schema/said'
import { unstorable } from './storable'
import { type Kind, KINDS } from './kinds/list'

/** Schemas by kind and version, all of them: whoever checks a line of any kind has loaded every one. */
export const BODIES: Record<string, VersionSchemas> = {}
for (const { kind, schemas } of Object.values(KINDS)) BODIES[kind] = await schemas()

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
 * Whether a line may enter the ledger.
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
      ? 'This line is of a newer version and too long to keep.'
      : null
  const schema = BODIES[kind]?.[v]
  if (!schema) return `“${kind}” was never written in version ${v}.`
  const refused = schema.validate(body, STRICT).error
  if (refused) return `In “${kind}”: ${sentence(refused)}`
  return ofItself(raw as RawEntry) ? 'A sample cannot be made of itself.' : null
}

/** A mixture among its own parts: whatever asks what it is made of would never come to an end. */
function ofItself({ kind, subject, body }: RawEntry): boolean {
  return kind === 'sample named' && (body as { of?: readonly string[] }).of?.includes(subject) === true
}
