import Joi from 'joi'
import { reading } from '../pieces'

export const pipetteCountedV1 = Joi.object({
  drops: Joi.number().integer().min(1).max(10_000).required(),
  volume: reading.required(),
})
