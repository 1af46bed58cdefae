import Joi from 'joi'
import { CLASS_COLUMNS, SOLUBILITY_CLASS_NAMES } from '../substances/shelf'

/** A body without its readonly marks and brands, as a schema sees it. */
type Plain<T> = T extends string | number | boolean | null | undefined
  ? T extends string
    ? string extends T
      ? string
      : T extends { readonly [brand: symbol]: unknown }
        ? string
        : T
    : T
  : T extends readonly (infer U)[]
    ? Plain<U>[]
    : { -readonly [K in keyof T]: Plain<T[K]> }

declare const checked: unique symbol
/** A schema that was held to its body by the compiler. */
export type BodySchema<B> = Joi.Schema & { readonly [checked]: (body: B) => void }
export type VersionSchemas = Readonly<Record<number, Joi.Schema>>

/** An object schema that names every key of its body, each with its sort of schema. */
export function shape<B>(keys: Joi.StrictSchemaMap<Plain<B>>): Joi.ObjectSchema & BodySchema<B> {
  return Joi.object<Plain<B>, true>(keys) as Joi.ObjectSchema & BodySchema<B>
}

/** A body of one of two shapes, told apart by one of its keys. */
export const either =
  <B>() =>
  (key: keyof B & string, is: string, one: BodySchema<never>, other: BodySchema<never>): BodySchema<B> =>
    Joi.alternatives().conditional(`.${key}`, { is, then: one, otherwise: other }) as Joi.Schema &
      BodySchema<B>

/** Pieces the kinds' schemas share. Sizes are bounded everywhere; unknown keys are refused by Joi's default. */
export const number = Joi.number().unsafe()
export const celsius = number.greater(-273.15).max(5000)
export const uuid = Joi.string().pattern(/^[0-9a-f]{8}-[0-9a-f]{4}-[0-9a-f]{4}-[0-9a-f]{4}-[0-9a-f]{12}$/)
export const name = Joi.string().trim().min(1).max(200)
export const text = Joi.string().trim().min(1).max(2000)
export const shortName = Joi.string().pattern(/^[a-z0-9][a-z0-9-]{0,63}$/)

/** A moment, ms since 1970 UTC: of a year that a notebook can be of. It says so, and is moved when a ledger is. */
export const moment = Joi.number()
  .unsafe()
  .integer()
  .min(946_684_800_000)
  .max(7_258_118_400_000)
  .meta({ moment: true })
/** The name of a task of a lab period: whose it is, and which (planning/period/tasks.ts). */
export const taskName = Joi.string().trim().min(1).max(200)

/** A typed number: its text must be that number. */
export const reading = Joi.object({
  text: Joi.string()
    .pattern(/^[+-]?(\d+\.?\d*|\.\d+)$/)
    .max(20)
    .required(),
  value: number.required(),
}).custom((value: { text: string; value: number }, helpers) =>
  Number(value.text) === value.value
    ? value
    : helpers.message({
        custom: `The text ${value.text} and the number ${value.value} of a reading differ.`,
      }),
)

const hazards = Joi.array().items(Joi.string().max(10)).max(40)
export const confidence = Joi.string().valid('high', 'medium', 'low')

export const compound = Joi.object({
  id: shortName.required(),
  name: name.required(),
  smiles: Joi.string().max(2000).allow('').required(),
  formula: Joi.string().max(100).allow('').required(),
  molarMassGPerMol: number.positive().max(1e6).required(),
  cas: Joi.string().max(20).allow(null).required(),
  meltLowC: celsius.required(),
  meltHighC: celsius.min(Joi.ref('meltLowC')).required(),
  meltSpreadC: number.min(0).max(100),
  meltConfidence: confidence.required(),
  behaviour: Joi.string().max(100).required(),
  fusionEnthalpyKJPerMol: number.positive().max(1000).allow(null).required(),
  fusionConfidence: confidence.allow(null).required(),
  colour: Joi.string().max(200).allow('').required(),
  hazards: hazards.required(),
  hazardsToCheck: hazards,
  signalWord: Joi.string().valid('Danger', 'Warning'),
  vapour1mmHgC: celsius,
  sublimes: Joi.string().valid('yes', 'maybe', 'no'),
  meltsUnderWaterC: celsius,
  hydrateWaters: number.positive().max(30),
  anhydrousAtC: celsius,
  solubilityClasses: Joi.object(
    Object.fromEntries(
      CLASS_COLUMNS.map((column) => [column, Joi.string().valid(...SOLUBILITY_CLASS_NAMES)]),
    ),
  ),
  synonyms: Joi.array().items(Joi.string().max(200)).max(40).required(),
  source: Joi.string().max(500).required(),
})

export const solvent = Joi.object({
  id: shortName.required(),
  name: name.required(),
  boilingPointC: celsius.allow(null).required(),
  boilingFromC: celsius,
  boilingToC: celsius,
  autoignitionC: celsius,
  freezingPointC: celsius.allow(null).required(),
  densityGPerML20: number.positive().max(10).required(),
  flashPointC: celsius.allow(null).required(),
  group: Joi.string().max(50).required(),
  waterMiscible: Joi.string().valid('full', 'partial', 'no').required(),
  hazards: hazards.required(),
  source: Joi.string().max(500).required(),
})

const rate = number.positive().max(100)
export const conventions = Joi.object({
  name: name.required(),
  startBelowC: number.min(0).max(200).required(),
  meltRate: Joi.object({ min: rate.required(), target: rate.required(), max: rate.required() }).required(),
  approachRateMaxCPerMin: rate.required(),
  stopAboveC: number.min(0).max(200).required(),
  tubeIn: Joi.string().valid('cold', 'at start temperature').required(),
  dialUse: Joi.string().valid('one setting, nudged', 'stepped').required(),
  fillMm: Joi.array()
    .ordered(number.positive().max(50).required(), number.positive().max(50).required())
    .required(),
  onsetRule: Joi.string().valid('first wetness', 'distinct drop').required(),
  sharpWidthC: number.positive().max(100).required(),
  broadWidthC: number.positive().max(100).required(),
  literatureWithinC: number.positive().max(100).required(),
  repeatWithinC: number.positive().max(100).required(),
  readingErrorC: number.positive().max(100).required(),
  drying: Joi.object({
    atLeastMin: number.min(0).max(10_000).required(),
    constantMassToleranceG: number.min(0).max(100).allow(null).required(),
  }).required(),
  boilingStones: Joi.string().valid('in both flasks', 'in the solvent only').required(),
  crudeRange: Joi.string().valid('before dissolving', 'beside the product').required(),
  unlistedPrior: number.min(0).less(1),
  closed: Joi.array().items(shortName).max(500),
  emergencyCalls: Joi.string().trim().max(500),
})

export const coreVersion = Joi.string().max(40)
export const restsOn = Joi.array().items(uuid).max(500)
export const grain = Joi.string().valid('fine', 'coarse')
export const slot = Joi.number().integer().min(1).max(12)
export const range = Joi.object({ onsetC: celsius.required(), clearC: celsius.required() })
export const fusion = Joi.object({
  meltingPointC: celsius.required(),
  enthalpyKJPerMol: number.positive().max(1000).required(),
  molarMassGPerMol: number.positive().max(1e6).required(),
  estimated: Joi.boolean(),
})

export const blockModel = Joi.object({
  ambientC: celsius.required(),
  gain: number.positive().max(1e5).required(),
  exponent: number.positive().max(100).required(),
  timeConstantMin: number.positive().max(1e5).required(),
})
export const packedHeating = Joi.object({
  rateCPerMin: number.positive().max(100).required(),
  fillMm: number.positive().max(50).required(),
  grain: grain.required(),
})
export const calibrationKeys = {
  method: Joi.string().valid('between the points', 'straight line').required(),
  points: Joi.array()
    .items(Joi.array().ordered(celsius.required(), celsius.required()).length(2))
    .min(1)
    .max(50)
    .required(),
  errorC: number.min(0).max(1000).allow(null).required(),
  heating: packedHeating.allow(null).required(),
}
export const calibration = Joi.object(calibrationKeys)
