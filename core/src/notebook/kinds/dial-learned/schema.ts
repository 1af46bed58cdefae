import Joi from 'joi'
import { blockModel, celsius, coreVersion, number, restsOn } from '../pieces'

const error = number.min(0).max(1e6).required()
export const dialLearnedV1 = Joi.object({
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
