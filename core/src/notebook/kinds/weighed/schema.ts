import Joi from 'joi'
import { either, number, reading, shape, text } from '../../../schema/pieces'
import type { Weighed } from './kind'

const readabilityG = number.positive().max(10).required()
const tared = { method: Joi.string().valid('tared').required(), net: reading.required(), readabilityG }
const difference = {
  method: Joi.string().valid('difference').required(),
  empty: reading.required(),
  loaded: reading.required(),
  readabilityG,
}
export const weighedV1 = Joi.alternatives().conditional('.method', {
  is: 'tared',
  then: Joi.object(tared),
  otherwise: Joi.object(difference),
})

const from = Joi.string().valid('typed', 'simulated balance').required()
export const weighedV2 = either<Weighed>()(
  'method',
  'tared',
  shape<Extract<Weighed, { method: 'tared' }>>({ ...tared, from }),
  shape<Extract<Weighed, { method: 'difference' }>>({ ...difference, from, vessel: text.max(60) }),
)

export const schemas = { 1: weighedV1, 2: weighedV2 }
