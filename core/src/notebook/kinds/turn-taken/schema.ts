import Joi from 'joi'
import type { TurnTaken } from './kind'
import { shape, slot } from '../../../schema/pieces'

export const turnTakenV1 = shape<TurnTaken>({
  who: Joi.string().trim().min(1).max(80).required(),
  slots: slot.required(),
})

export const schemas = { 1: turnTakenV1 }
