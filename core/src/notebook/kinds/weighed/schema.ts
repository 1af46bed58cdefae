import Joi from 'joi'
import { number, reading } from '../pieces'

const readabilityG = number.positive().max(10).required()
export const weighedV1 = Joi.alternatives().conditional('.method', {
  is: 'tared',
  then: Joi.object({ method: Joi.string().valid('tared').required(), net: reading.required(), readabilityG }),
  otherwise: Joi.object({
    method: Joi.string().valid('difference').required(),
    empty: reading.required(),
    loaded: reading.required(),
    readabilityG,
  }),
})

const from = Joi.string().valid('typed', 'simulated balance').required()
export const weighedV2 = Joi.alternatives().conditional('.method', {
  is: 'tared',
  then: Joi.object({
    method: Joi.string().valid('tared').required(),
    net: reading.required(),
    readabilityG,
    from,
  }),
  otherwise: Joi.object({
    method: Joi.string().valid('difference').required(),
    empty: reading.required(),
    loaded: reading.required(),
    readabilityG,
    from,
  }),
})
