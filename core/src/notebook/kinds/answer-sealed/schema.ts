import Joi from 'joi'
import type { AnswerSealed } from './kind'
import { shape, uuid } from '../../../schema/pieces'

export const answerSealedV1 = shape<AnswerSealed>({
  seal: uuid.required(),
  commitment: Joi.string()
    .pattern(/^[0-9a-f]{64}$/)
    .required(),
})

export const schemas = { 1: answerSealedV1 }
