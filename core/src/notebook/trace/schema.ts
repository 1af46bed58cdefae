import Joi from 'joi'
import { celsius, uuid } from '../commonSchema'

export const traceV1 = Joi.object({
  run: uuid.required(),
  firstSample: Joi.number().integer().min(0).max(1e7).required(),
  decimals: Joi.number().integer().min(0).max(4).required(),
  probeC: Joi.array().items(celsius).min(1).max(60).required(),
})
