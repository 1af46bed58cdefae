import Joi from 'joi'
import type { TurnEnded } from './kind'
import { shape, uuid } from '../../../schema/pieces'

export const turnEndedV1 = shape<TurnEnded>({
  turn: uuid.required(),
  glassCleared: Joi.boolean().required(),
  switchedOff: Joi.boolean().required(),
})

export const schemas = { 1: turnEndedV1 }
