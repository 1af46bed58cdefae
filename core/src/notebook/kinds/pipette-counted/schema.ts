import Joi from 'joi'
import type { PipetteCounted } from './kind'
import { reading, shape } from '../../../schema/pieces'

export const pipetteCountedV1 = shape<PipetteCounted>({
  drops: Joi.number().integer().min(1).max(10_000).required(),
  volume: reading.required(),
})

export const schemas = { 1: pipetteCountedV1 }
