import Joi from 'joi'
import { shape } from '../../../schema/pieces'
import type { LiquorDiscarded } from './kind'

export const liquorDiscardedV1 = shape<LiquorDiscarded>({
  waste: Joi.string().min(1).max(300).required(),
  yieldKnown: Joi.boolean().required(),
})

export const schemas = { 1: liquorDiscardedV1 }
