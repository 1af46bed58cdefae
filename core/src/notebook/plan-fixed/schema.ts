import Joi from 'joi'
import { celsius, compound, conventions, coreVersion, number, restsOn, solvent } from '../commonSchema'

const points = Joi.array()
  .items(Joi.array().ordered(celsius.required(), number.positive().max(1e5).required()))
  .max(200)
const basis = Joi.string().valid('between points', 'beyond points', 'single point').required()
const amount = number.min(0).max(1e7).required()

export const planFixedV1 = Joi.object({
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
})
