import Joi from 'joi'
import type { StandardRead } from './kind'
import { type BodySchema, celsius, name, packedHeating, reading, shape } from '../../../schema/pieces'

export const standardReadV1: BodySchema<StandardRead> = shape<StandardRead>({
  standard: name.required(),
  literature: Joi.object({
    lowC: celsius.required(),
    highC: celsius.min(Joi.ref('lowC')).required(),
    source: Joi.string().trim().min(1).max(500).required(),
  }).required(),
  read: Joi.array().items(reading).min(1).max(2).required(),
  heating: packedHeating.allow(null).required(),
}).custom((value: { read: { value: number }[]; heating: object | null }, helpers) => {
  const [onset, clear] = value.read
  if (onset && clear && onset.value > clear.value)
    return helpers.message({
      custom: `An onset of ${onset.value} °C above the clear point of ${clear.value} °C. Were the two swapped?`,
    })
  return value
})

export const schemas: { readonly 1: BodySchema<StandardRead> } = { 1: standardReadV1 }
