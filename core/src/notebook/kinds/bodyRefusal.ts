import { type Bodies, type Kind, KINDS } from './list'
import { sentence, STRICT } from '../../schema/strict'

/**
 * Whether a body of this build may be written, by the schema of its kind, loaded with the first body checked.
 *
 * @returns null when it may, else what is wrong with it, as a sentence
 */
export async function bodyRefusal<K extends Kind>(kind: K, body: Bodies[K]): Promise<string | null> {
  const { schemas, version } = KINDS[kind]
  const { error } = (await schemas())[version]?.validate(body, STRICT) ?? {}
  return error ? sentence(error) : null
}
