import Joi from 'joi'
import { compound, name, shape, uuid } from '../../../schema/pieces'
import { SAMPLE_ROLES, type SampleNamed } from './kind'

/** What a sample could be when the first version was written; the second knew what is filtered off besides. */
const THEN = ['crude', 'product', 'second crop', 'residue', 'authentic', 'mixture', 'unknown'] as const
const first = {
  prep: uuid.allow(null).required(),
  role: Joi.string()
    .valid(...THEN)
    .required(),
  label: name.required(),
}
export const sampleNamedV1 = Joi.object(first)

export const sampleNamedV2 = sampleNamedV1.keys({
  role: Joi.string()
    .valid(...THEN, 'grit')
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
