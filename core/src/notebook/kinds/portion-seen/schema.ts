import Joi from 'joi'
import { uuid } from '../pieces'
import { PORTION_EFFECTS } from './kind'

export const portionSeenV1 = Joi.object({
  portion: uuid.required(),
  effect: Joi.string()
    .valid(...PORTION_EFFECTS)
    .required(),
})
