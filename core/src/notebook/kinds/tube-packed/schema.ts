import Joi from 'joi'
import type { TubePacked } from './kind'
import { grain, name, number, shape, uuid } from '../../../schema/pieces'

export const tubePackedV1 = shape<TubePacked>({
  sample: uuid.required(),
  label: name.required(),
  fillMm: number.positive().max(50).required(),
  grain: grain.required(),
  set: Joi.string().trim().min(1).max(10).allow(null).required(),
})

export const schemas = { 1: tubePackedV1 }
