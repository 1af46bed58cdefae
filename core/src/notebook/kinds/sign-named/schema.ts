import Joi from 'joi'
import { shape, uuid } from '../../../schema/pieces'
import { SIGN_WORDS, type SignNamed } from './kind'

export const signNamedV1 = shape<SignNamed>({
  mark: uuid.required(),
  word: Joi.string()
    .valid(...SIGN_WORDS)
    .required(),
})

export const schemas = { 1: signNamedV1 }
