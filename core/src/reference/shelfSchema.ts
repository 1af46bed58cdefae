import { sentence } from '../schema/strict'
import Joi from 'joi'
import { celsius, compound, conventions, name, number, shortName, solvent } from '../schema/pieces'
import { character } from '../schema/character'
import { procedure } from '../procedures/schema'
import { INSTRUMENT_SORTS } from '../instruments/sorts'

const solubility = Joi.object({
  compound: shortName.required(),
  solvent: shortName.required(),
  temperatureC: celsius.required(),
  gPer100ML: number.positive().max(1e5).required(),
  confidence: Joi.string().valid('high', 'medium', 'low').allow(null).required(),
  source: Joi.string().trim().min(1).max(500).required(),
})

/** An instrument of the lab's own; the simulated ones ship with the app and are not changed. */
const instrument = Joi.object({
  id: shortName.required(),
  name: name.required(),
  sort: Joi.string()
    .valid(...INSTRUMENT_SORTS)
    .required(),
  simulated: Joi.boolean().valid(false).required().messages({
    'any.only': 'The simulated instruments ship with the app. You can add your own beside them.',
  }),
  character: character.required(),
  thermometer: Joi.object({
    kind: Joi.string().valid('metal probe', 'glass').required(),
    lowC: celsius.required(),
    highC: celsius.greater(Joi.ref('lowC')).required(),
    immersion: Joi.string().valid('total', 'partial').allow(null).required(),
    filling: Joi.string().valid('mercury', 'spirit').allow(null).required(),
  }).required(),
  highRangeAboveC: celsius.allow(null).required(),
})
const houseRules = conventions.custom(
  (value: { meltRate: { min: number; target: number; max: number } }, helpers) => {
    const { min, target, max } = value.meltRate
    return min <= target && target <= max
      ? value
      : helpers.message({
          custom: `A rate of ${min}, ${target}, ${max} °C/min is not in order: least, wanted, greatest.`,
        })
  },
)

const SCHEMAS = {
  compound,
  solvent,
  solubility,
  procedure,
  instrument,
  'house rules': houseRules,
} as const
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
  return error ? refusedAs(error) : null
}

/** What a person calls what is missing. */
const CALLED: Readonly<Record<string, string>> = {
  molarMassGPerMol: 'the molar mass: give it, a formula or a structure (SMILES)',
  meltLowC: 'where it begins to melt, °C',
  meltHighC: 'where it has melted, °C',
  meltConfidence: 'how sure the melting range is: high, medium or low',
  densityGPerML20: 'the density at 20 °C, g/mL',
  boilingPointC: 'the boiling point, °C',
  waterMiscible: 'whether it mixes with water: full, partial or no',
  gPer100ML: 'how much dissolves, g in 100 mL',
  temperatureC: 'the temperature, °C',
}

function refusedAs(error: Joi.ValidationError): string {
  const [detail] = error.details
  if (detail?.type !== 'any.required') return sentence(error)
  const key = String(detail.context?.key ?? '')
  return `Missing: ${CALLED[key] ?? key}.`
}
