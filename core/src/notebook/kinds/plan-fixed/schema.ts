import Joi from 'joi'
import type { PlanFixed } from './kind'
import { COLLECTS, INSERTS, STEP_ASKS, STEP_MARKS } from '../../../procedures/procedure'
import {
  celsius,
  compound,
  confidence,
  conventions,
  coreVersion,
  name,
  number,
  restsOn,
  shape,
  shortName,
  solvent,
} from '../../../schema/pieces'
import { PORTION_USES } from '../../../procedures/portions'
import { takes } from '../../../procedures/takesSchema'
import { STATIONS } from '../../../stations/stations'

const points = Joi.array()
  .items(Joi.array().ordered(celsius.required(), number.positive().max(1e5).required()))
  .max(200)
const basis = Joi.string().valid('between points', 'beyond points', 'single point').required()
const amount = number.min(0).max(1e7).required()

const first = {
  procedure: Joi.string().valid('small flask and suction funnel').required(),
  compound: compound.required(),
  impurity: compound.allow(null).required(),
  solvent: solvent.required(),
  solubilitySource: Joi.string().max(500).required(),
  input: Joi.object({
    crudeG: number.positive().max(1e6).required(),
    assay: number.min(0).max(1).required(),
    product: points.min(1).required(),
    impurity: points,
    productFusionKJPerMol: number.positive().max(1000),
    hotC: celsius.required(),
    coldC: celsius.required(),
    excess: number.min(0).max(1e6).required(),
    washML: number.min(0).max(1e5).required(),
  }).required(),
  result: Joi.object({
    minimumHotML: amount,
    hotML: amount,
    gritG: amount,
    productInLiquorG: amount,
    productCrystalsG: amount,
    impurityInCrystalsG: amount,
    crystalMassG: amount,
    crystalMassFraction: number.min(0).max(1).required(),
    recoveryPercentOfCrude: amount,
    recoveryPercentOfProduct: amount,
    washLossUpToG: amount,
    impurityStaysDissolvedML: number.min(0).max(1e7).allow(null).required(),
    impurityAssumedDissolved: Joi.boolean().required(),
    hotBasis: basis,
    coldBasis: basis,
  }).required(),
  conventions: conventions.required(),
  coreVersion: coreVersion.required(),
  restsOn: restsOn.required(),
}
export const planFixedV1 = Joi.object(first)

/** What steps could be made of when the second and third version were written; later lists are the fourth's. */
const THEN = {
  stations: ['plan', 'dissolve', 'crystallize', 'collect', 'weigh', 'melt', 'judge', 'page'],
  uses: ['dissolve', 'dilute', 'rinse', 'second'],
  asks: ['centrifuge partner', 'temperature', 'liquor kept'],
  marks: ['stones out', 'ice', 'liquor kept', 'put aside'],
  collects: ['large funnel', 'small funnel', 'Craig tube', 'centrifuge tube', 'watch glass'],
  inserts: ['hot filtration', 'charcoal'],
  timers: ['cool', 'ice', 'air', 'spin', 'boil', 'dry'],
} as const

const sentence = Joi.string().max(1500)
const stepV2 = Joi.object({
  id: shortName.required(),
  station: Joi.string()
    .valid(...THEN.stations)
    .required(),
  text: sentence.required(),
  caution: sentence,
  timer: Joi.object({
    timer: Joi.string()
      .valid(...THEN.timers)
      .required(),
    minutes: number.positive().max(10_000).required(),
  }),
  portions: Joi.string().valid(...THEN.uses),
  asks: Joi.string().valid(...THEN.asks),
  meanwhile: sentence,
  stop: sentence,
})
const stepsOf = (step: Joi.ObjectSchema) => Joi.array().items(step).min(1).max(80).unique('id').required()
const second = {
  ...first,
  procedure: Joi.object({
    id: shortName.required(),
    name: name.required(),
    collect: Joi.string()
      .valid(...THEN.collects)
      .required(),
  }).required(),
  steps: stepsOf(stepV2),
  waste: Joi.array().items(sentence).max(20).required(),
  inserts: Joi.array()
    .items(Joi.string().valid(...THEN.inserts))
    .max(5)
    .required(),
  crudeText: Joi.string()
    .pattern(/^(\d+\.?\d*|\.\d+)$/)
    .max(20)
    .required(),
  amount: Joi.string().valid('least hot solvent', 'measured volume').required(),
  pair: Joi.object({
    solvent: solvent.required(),
    points: points.required(),
    goodML: amount,
    poorML: amount,
  })
    .allow(null)
    .required(),
}
export const planFixedV2 = Joi.object(second)

/** The third version has marks on steps that other parts of the notebook rest on. */
const stepV3 = stepV2.keys({ means: Joi.string().valid(...THEN.marks) })
const third = { ...second, steps: stepsOf(stepV3) }
export const planFixedV3 = Joi.object(third)

/** The fourth version knows what was kept back, how sure the solubilities are, and whose leave was asked. */
export const planFixedV4 = shape<PlanFixed>({
  ...third,
  procedure: second.procedure.keys({
    collect: Joi.string()
      .valid(...COLLECTS)
      .required(),
  }),
  inserts: Joi.array()
    .items(Joi.string().valid(...INSERTS))
    .max(5)
    .required(),
  // A lab’s own step may say what it takes.
  steps: stepsOf(
    stepV3.keys({
      station: Joi.string()
        .valid(...STATIONS)
        .required(),
      portions: Joi.string().valid(...PORTION_USES),
      asks: Joi.string().valid(...STEP_ASKS),
      means: Joi.string().valid(...STEP_MARKS),
      takes,
    }),
  ),
  keptBackG: number.min(0).max(1e3).required(),
  solubilityConfidence: confidence.allow(null).required(),
  inCharge: name.allow(null).required(),
})

export const schemas = { 1: planFixedV1, 2: planFixedV2, 3: planFixedV3, 4: planFixedV4 }
