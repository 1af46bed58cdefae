import Joi from 'joi'
import { grain, name, number, uuid } from '../pieces'

export const tubePackedV1 = Joi.object({
  sample: uuid.required(),
  label: name.required(),
  fillMm: number.positive().max(50).required(),
  grain: grain.required(),
  set: Joi.string().trim().min(1).max(10).allow(null).required(),
})
