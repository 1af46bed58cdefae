import Joi from 'joi'
import { name, uuid } from '../pieces'

export const unknownOpenedV1 = Joi.object({
  code: name.required(),
  appearance: Joi.string().max(500).allow('').required(),
  sample: uuid.required(),
})
