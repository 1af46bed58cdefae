import Joi from 'joi'
import { celsius, compound, number, shortName, solvent } from '../notebook/commonSchema'
import { sentence } from '../notebook/entrySchema'
import { procedure } from '../procedures/schema'

const solubility = Joi.object({
  compound: shortName.required(),
  solvent: shortName.required(),
  temperatureC: celsius.required(),
  gPer100ML: number.positive().max(1e5).required(),
  confidence: Joi.string().valid('high', 'medium', 'low').allow(null).required(),
  source: Joi.string().trim().min(1).max(500).required(),
})

const SCHEMAS = { compound, solvent, solubility, procedure } as const
/** What a lab may put on the shelf. */
export type OwnSort = keyof typeof SCHEMAS
export const OWN_SORTS = Object.keys(SCHEMAS) as readonly OwnSort[]

/**
 * Whether something may stand on the shelf.
 *
 * @returns null when it may, else what is wrong with it, as a sentence
 */
export function shelfRefusal(sort: OwnSort, body: unknown): string | null {
  const { error } = SCHEMAS[sort].validate(body, {
    convert: false,
    errors: { wrap: { label: '“”' } },
  })
  return error ? sentence(error) : null
}
