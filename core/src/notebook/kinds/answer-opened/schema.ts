import Joi from 'joi'
import { name, shortName, uuid } from '../pieces'

export const answerOpenedV1 = Joi.object({
  seal: uuid.required(),
  compound: shortName.required(),
  name: name.required(),
  salt: Joi.string()
    .pattern(/^[0-9a-f]{64}$/)
    .required(),
})
