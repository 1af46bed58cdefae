import Joi from 'joi'
import { uuid } from '../pieces'

export const answerSealedV1 = Joi.object({
  seal: uuid.required(),
  commitment: Joi.string()
    .pattern(/^[0-9a-f]{64}$/)
    .required(),
})
