import Joi from 'joi'
import type { AnswerOpened } from './kind'
import { name, shape, shortName, uuid } from '../../../schema/pieces'

export const answerOpenedV1 = shape<AnswerOpened>({
  seal: uuid.required(),
  compound: shortName.required(),
  name: name.required(),
  salt: Joi.string()
    .pattern(/^[0-9a-f]{64}$/)
    .required(),
})

export const schemas = { 1: answerOpenedV1 }
