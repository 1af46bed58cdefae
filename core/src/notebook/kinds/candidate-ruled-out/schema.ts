import Joi from 'joi'
import type { CandidateRuledOut } from './kind'
import { name, shape, shortName } from '../../../schema/pieces'

export const candidateRuledOutV1 = shape<CandidateRuledOut>({
  candidate: shortName.required(),
  name: name.required(),
  reason: Joi.string().trim().min(1).max(500).required(),
})

export const schemas = { 1: candidateRuledOutV1 }
