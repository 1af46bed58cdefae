import Joi from 'joi'
import { number, reading, slot, uuid } from '../pieces'
import { MOMENTS } from './kind'

export const markMadeV1 = Joi.object({
  run: uuid.required(),
  slot: slot.required(),
  moment: Joi.string()
    .valid(...MOMENTS)
    .required(),
  pressedAtS: number.min(0).max(1e7).required(),
  lastSample: Joi.number().integer().min(0).max(1e7).required(),
  lastProbe: reading.required(),
})

export const markMadeV2 = markMadeV1.keys({
  lastProbe: reading.allow(null).required(),
  from: Joi.string().valid('key', 'instrument').required(),
})
