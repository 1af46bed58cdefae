import Joi from 'joi'
import { slot } from '../pieces'

export const turnTakenV1 = Joi.object({
  who: Joi.string().trim().min(1).max(80).required(),
  slots: slot.required(),
})
