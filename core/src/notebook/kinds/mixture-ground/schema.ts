import Joi from 'joi'
import { number, reading } from '../pieces'

export const mixtureGroundV1 = Joi.object({
  massFractionFirst: number.greater(0).less(1).required(),
  by: Joi.string().valid('mass', 'eye').required(),
  massesG: Joi.array().ordered(reading.required(), reading.required()).length(2).allow(null).required(),
})
