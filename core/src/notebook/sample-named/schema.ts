import Joi from 'joi'
import { name, uuid } from '../commonSchema'
import { SAMPLE_ROLES } from './kind'

export const sampleNamedV1 = Joi.object({
  prep: uuid.allow(null).required(),
  role: Joi.string()
    .valid(...SAMPLE_ROLES)
    .required(),
  label: name.required(),
})
