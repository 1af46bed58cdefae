import Joi from 'joi'
import { number, reading, shape, slot, uuid } from '../../../schema/pieces'
import { type MarkMade, MOMENTS } from './kind'

const first = {
  run: uuid.required(),
  slot: slot.required(),
  moment: Joi.string().valid('early sign', 'first liquid', 'all liquid').required(),
  pressedAtS: number.min(0).max(1e7).required(),
  lastSample: Joi.number().integer().min(0).max(1e7).required(),
  lastProbe: reading.required(),
}
export const markMadeV1 = Joi.object(first)

export const markMadeV2 = shape<MarkMade>({
  ...first,
  moment: Joi.string()
    .valid(...MOMENTS)
    .required(),
  lastProbe: reading.allow(null).required(),
  from: Joi.string().valid('key', 'instrument').required(),
})

export const schemas = { 1: markMadeV1, 2: markMadeV2 }
