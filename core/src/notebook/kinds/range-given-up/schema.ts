import Joi from 'joi'
import { slot, uuid } from '../pieces'
import { GIVE_UP_REASONS } from './kind'

export const rangeGivenUpV1 = Joi.object({
  run: uuid.required(),
  slot: slot.required(),
  reason: Joi.string()
    .valid(...GIVE_UP_REASONS)
    .required(),
})
