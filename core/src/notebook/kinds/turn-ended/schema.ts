import Joi from 'joi'
import { uuid } from '../pieces'

export const turnEndedV1 = Joi.object({
  turn: uuid.required(),
  glassCleared: Joi.boolean().required(),
  switchedOff: Joi.boolean().required(),
})
