import Joi from 'joi'
import { shape, uuid } from '../../../schema/pieces'
import { PORTION_EFFECTS, type PortionSeen } from './kind'

export const portionSeenV1 = shape<PortionSeen>({
  portion: uuid.required(),
  effect: Joi.string()
    .valid(...PORTION_EFFECTS)
    .required(),
})

export const schemas = { 1: portionSeenV1 }
