import Joi from 'joi'
import { uuid } from '../pieces'

export const runEndedV1 = Joi.object({
  run: uuid.required(),
  atS: Joi.number().integer().min(0).max(1e7).required(),
})
