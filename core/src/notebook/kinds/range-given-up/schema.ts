import Joi from 'joi'
import { shape, slot, uuid } from '../pieces'
import { GIVE_UP_REASONS, type RangeGivenUp } from './kind'

export const rangeGivenUpV1 = shape<RangeGivenUp>({
  run: uuid.required(),
  slot: slot.required(),
  reason: Joi.string()
    .valid(...GIVE_UP_REASONS)
    .required(),
})

export const schemas = { 1: rangeGivenUpV1 }
