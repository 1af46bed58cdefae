import Joi from 'joi'
import { uuid } from '../pieces'
import { SIGN_WORDS } from './kind'

export const signNamedV1 = Joi.object({
  mark: uuid.required(),
  word: Joi.string()
    .valid(...SIGN_WORDS)
    .required(),
})
