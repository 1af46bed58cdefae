import Joi from 'joi'
import type { DialLearned } from './kind'
import { blockModel, celsius, coreVersion, number, restsOn, shape } from '../../../schema/pieces'

const error = number.min(0).max(1e6).required()
export const dialLearnedV1 = shape<DialLearned>({
  model: blockModel.required(),
  residualC: error,
  standardErrors: Joi.object({ gain: error, exponent: error, timeConstantMin: error }).required(),
  span: Joi.object({
    leastDial: number.positive().required(),
    mostDial: number.positive().required(),
    leastC: celsius.required(),
    mostC: celsius.required(),
  }).required(),
  coreVersion: coreVersion.required(),
  restsOn: restsOn.required(),
})

export const schemas = { 1: dialLearnedV1 }
