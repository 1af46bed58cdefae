import Joi from 'joi'
import { compound, name, uuid } from '../pieces'
import { SAMPLE_ROLES } from './kind'

export const sampleNamedV1 = Joi.object({
  prep: uuid.allow(null).required(),
  role: Joi.string()
    .valid(...SAMPLE_ROLES.filter((role) => role !== 'grit'))
    .required(),
  label: name.required(),
})

export const sampleNamedV2 = sampleNamedV1.keys({
  role: Joi.string()
    .valid(...SAMPLE_ROLES)
    .required(),
})

export const sampleNamedV3 = sampleNamedV2.keys({
  compound: compound.allow(null).required(),
  of: Joi.array().items(uuid).max(4).required(),
})
