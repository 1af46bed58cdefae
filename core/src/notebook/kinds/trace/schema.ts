import Joi from 'joi'
import { celsius, number, uuid } from '../pieces'

export const traceV1 = Joi.object({
  run: uuid.required(),
  firstSample: Joi.number().integer().min(0).max(1e7).required(),
  decimals: Joi.number().integer().min(0).max(4).required(),
  probeC: Joi.array().items(celsius).min(1).max(60).required(),
})

export const traceV2 = traceV1.keys({
  light: Joi.array()
    .items(Joi.array().items(number.min(0).max(1)).max(12))
    .max(60)
    .allow(null)
    .required(),
})
