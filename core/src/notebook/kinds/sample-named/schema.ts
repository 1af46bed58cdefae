import Joi from 'joi'
import { compound, name, shape, uuid } from '../../../schema/pieces'
import { SAMPLE_ROLES, type SampleNamed } from './kind'

const first = {
  prep: uuid.allow(null).required(),
  role: Joi.string()
    .valid(...SAMPLE_ROLES.filter((role) => role !== 'grit'))
    .required(),
  label: name.required(),
}
export const sampleNamedV1 = Joi.object(first)

export const sampleNamedV2 = sampleNamedV1.keys({
  role: Joi.string()
    .valid(...SAMPLE_ROLES)
    .required(),
})

export const sampleNamedV3 = shape<SampleNamed>({
  ...first,
  role: Joi.string()
    .valid(...SAMPLE_ROLES)
    .required(),
  compound: compound.allow(null).required(),
  of: Joi.array().items(uuid).max(4).required(),
})

export const schemas = { 1: sampleNamedV1, 2: sampleNamedV2, 3: sampleNamedV3 }
