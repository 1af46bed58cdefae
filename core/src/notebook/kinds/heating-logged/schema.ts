import Joi from 'joi'
import { celsius, number, shape } from '../../../schema/pieces'
import { HEATING_SOURCES, type HeatingLogged } from './kind'

/** What one body may hold; a longer file is thinned before it is logged. */
const MOST_SAMPLES = 4000

export const heatingLoggedV1 = shape<HeatingLogged>({
  dial: number.positive().max(1000).required(),
  ambientC: celsius.required(),
  samples: Joi.array()
    .items(Joi.array().ordered(number.min(0).max(10_000).required(), celsius.required()).length(2))
    .min(2)
    .max(MOST_SAMPLES)
    .required(),
  from: Joi.string()
    .valid(...HEATING_SOURCES)
    .required(),
})

export const schemas = { 1: heatingLoggedV1 }
