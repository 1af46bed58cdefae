import Joi from 'joi'
import type { Trace } from './kind'
import { celsius, number, shape, uuid } from '../../../schema/pieces'

const first = {
  run: uuid.required(),
  firstSample: Joi.number().integer().min(0).max(1e7).required(),
  decimals: Joi.number().integer().min(0).max(4).required(),
  probeC: Joi.array().items(celsius).min(1).max(60).required(),
}
export const traceV1 = Joi.object(first)

export const traceV2 = shape<Trace>({
  ...first,
  light: Joi.array()
    .items(Joi.array().items(number.min(0).max(1)).max(12))
    .max(60)
    .allow(null)
    .required(),
})

export const schemas = { 1: traceV1, 2: traceV2 }
