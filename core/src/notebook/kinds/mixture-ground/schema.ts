import Joi from 'joi'
import type { MixtureGround } from './kind'
import { number, reading, shape } from '../../../schema/pieces'

export const mixtureGroundV1 = shape<MixtureGround>({
  massFractionFirst: number.greater(0).less(1).required(),
  by: Joi.string().valid('mass', 'eye').required(),
  massesG: Joi.array().ordered(reading.required(), reading.required()).length(2).allow(null).required(),
})

export const schemas = { 1: mixtureGroundV1 }
