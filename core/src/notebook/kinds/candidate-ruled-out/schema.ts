import Joi from 'joi'
import { name, shortName } from '../pieces'

export const candidateRuledOutV1 = Joi.object({
  candidate: shortName.required(),
  name: name.required(),
  reason: Joi.string().trim().min(1).max(500).required(),
})
