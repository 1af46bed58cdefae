import Joi from 'joi'
import { celsius, compound } from '../pieces'
import { CANDIDATES_MOST } from './kind'

export const candidatesListedV1 = Joi.object({
  candidates: Joi.array().items(compound).min(1).max(CANDIDATES_MOST).unique('id').required(),
  from: Joi.string().valid('the instructor', 'the shelf').required(),
  window: Joi.object({ lowC: celsius.required(), highC: celsius.min(Joi.ref('lowC')).required() })
    .allow(null)
    .required(),
})
