import Joi from 'joi'
import type { RunEnded } from './kind'
import { shape, uuid } from '../../../schema/pieces'

export const runEndedV1 = shape<RunEnded>({
  run: uuid.required(),
  atS: Joi.number().integer().min(0).max(1e7).required(),
})

export const schemas = { 1: runEndedV1 }
