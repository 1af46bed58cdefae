import Joi from 'joi'
import { celsius, compound, shape } from '../../../schema/pieces'
import { CANDIDATES_MOST, type CandidatesListed } from './kind'

export const candidatesListedV1 = shape<CandidatesListed>({
  candidates: Joi.array().items(compound).min(1).max(CANDIDATES_MOST).unique('id').required(),
  from: Joi.string().valid('the instructor', 'the shelf', 'this bench').required(),
  window: Joi.object({ lowC: celsius.required(), highC: celsius.min(Joi.ref('lowC')).required() })
    .allow(null)
    .required(),
})

export const schemas = { 1: candidatesListedV1 }
