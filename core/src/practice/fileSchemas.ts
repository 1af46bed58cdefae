import Joi from 'joi'
import { problem, type Result } from '../problems'
import type { Practical, PracticalResults } from './practical'

/** What a practice file holds. */
export type PracticeFile =
  | { readonly kind: 'practical'; readonly practical: Practical }
  | { readonly kind: 'results'; readonly results: PracticalResults }

const FORMAT = 'practice of a melting bench'
const VERSION = 1
/** Nothing of this sort is larger, letters. */
const LONGEST = 200_000

const degrees = Joi.number().min(-100).max(600).allow(null).required()
const practical = Joi.object({
  id: Joi.string().trim().min(1).max(60).required(),
  title: Joi.string().trim().min(1).max(120).required(),
  tubes: Joi.array().items(Joi.string().max(60)).min(1).max(60).required(),
})
const results = Joi.object({
  practical: Joi.string().max(60).required(),
  title: Joi.string().max(120).required(),
  learner: Joi.string().trim().min(1).max(60).required(),
  handedInAtMs: Joi.number().integer().min(0).required(),
  tubes: Joi.array()
    .items(
      Joi.object({
        firstC: degrees,
        allC: degrees,
        wasFirstC: degrees.invalid(null),
        wasAllC: degrees.invalid(null),
        firstErrorC: degrees,
        allErrorC: degrees,
        tookS: Joi.number().min(0).max(86_400).required(),
      }).allow(null),
    )
    .max(60)
    .required(),
})

export function practiceFileText(file: PracticeFile): string {
  return `${JSON.stringify({ format: FORMAT, version: VERSION, ...file }, null, 2)}\n`
}

/**
 * A practice file as it was handed over.
 *
 * @param name of the file, for what is said of it
 * @returns a sentence where it is no such file, damaged, or of a newer version; the file itself is never changed
 */
export function readPracticeFile(name: string, text: string): Result<PracticeFile> {
  const no = (why: string): Result<PracticeFile> => problem('bad-options', `“${name}” ${why}`)
  if (text.length > LONGEST) return no('is too large for a practice file.')
  let whole: unknown
  try {
    whole = JSON.parse(text.replace(/^\uFEFF/, ''))
  } catch {
    return no('cannot be read: it is incomplete or not a practice file.')
  }
  if (typeof whole !== 'object' || whole === null || (whole as { format?: unknown }).format !== FORMAT)
    return no('is not a practice file.')
  const { version, kind } = whole as { version?: unknown; kind?: unknown }
  if (typeof version === 'number' && version > VERSION)
    return no(
      `was made by a newer version (${version}; this one reads up to ${VERSION}). It is left as it is. Open it there.`,
    )
  const schema = kind === 'practical' ? practical : kind === 'results' ? results : null
  const held =
    kind === 'practical' || kind === 'results' ? (whole as Record<string, unknown>)[kind] : undefined
  if (!schema || held === undefined) return no('is damaged: its content is not described.')
  const checked = schema.validate(held, { convert: false })
  if (checked.error) return no(`is damaged: ${checked.error.message.replaceAll('"', '')}.`)
  const value: unknown = checked.value
  return { ok: true, value: { kind, [kind as string]: value } as unknown as PracticeFile }
}
