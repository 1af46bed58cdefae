import Joi from 'joi'
import { text, uuid } from '../pieces'

export const struckV1 = Joi.object({ target: uuid.required(), reason: text.required() })
