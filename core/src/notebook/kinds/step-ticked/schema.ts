import Joi from 'joi'
import type { StepTicked } from './kind'
import { shape, shortName } from '../../../schema/pieces'

export const stepTickedV1 = shape<StepTicked>({
  step: shortName.required(),
  isLeftOut: Joi.boolean().valid(true),
})

export const schemas = { 1: stepTickedV1 }
