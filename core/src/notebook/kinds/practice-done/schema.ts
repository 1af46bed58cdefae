import Joi from 'joi'
import type { PracticeDone } from './kind'
import { number, shape } from '../../../schema/pieces'

const error = number.min(-500).max(500).allow(null).required()

export const practiceDoneV1 = shape<PracticeDone>({
  exercise: Joi.string().trim().min(1).max(60).required(),
  seed: number
    .integer()
    .min(0)
    .max(2 ** 31)
    .required(),
  level: Joi.number().valid(1, 2, 3).required(),
  isGood: Joi.boolean().required(),
  share: number.min(0).max(1).required(),
  tookS: number.min(0).max(86_400).required(),
  sentence: Joi.string().max(600).required(),
  tubes: Joi.array()
    .items(Joi.object({ firstErrorC: error, allErrorC: error }))
    .max(3)
    .required(),
  code: Joi.string().max(60).allow(null).required(),
  practical: Joi.object({
    id: Joi.string().max(60).required(),
    tube: number.integer().min(0).less(Joi.ref('of')).required(),
    of: number.integer().min(1).max(60).required(),
  })
    .allow(null)
    .required(),
})

export const schemas = { 1: practiceDoneV1 }
