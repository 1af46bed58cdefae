import Joi from 'joi'
import type { UnknownOpened } from './kind'
import { name, shape, uuid } from '../../../schema/pieces'

export const unknownOpenedV1 = shape<UnknownOpened>({
  code: name.required(),
  appearance: Joi.string().max(500).allow('').required(),
  sample: uuid.required(),
})

export const schemas = { 1: unknownOpenedV1 }
