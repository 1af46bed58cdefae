import Joi from 'joi'
import type { MeltDetected } from './kind'
import { celsius, number, shape, slot, uuid } from '../../../schema/pieces'

const share = number.min(0).max(1).required()
export const meltDetectedV1 = shape<MeltDetected>({
  run: uuid.allow(null).required(),
  slot: slot.required(),
  onsetC: celsius.required(),
  clearC: celsius.min(Joi.ref('onsetC')).required(),
  shares: Joi.object({ onsetAt: share, clearAt: share }).allow(null).required(),
  decimals: Joi.number().integer().min(0).max(4).required(),
  light: Joi.array()
    .items(Joi.array().ordered(celsius.required(), number.min(-1e9).max(1e9).required()).length(2))
    .max(4000)
    .required(),
  rateCPerMin: number.positive().max(100).allow(null).required(),
})

export const schemas = { 1: meltDetectedV1 }
