import Joi from 'joi'
import { text } from '../pieces'

export const explainedV1 = Joi.object({ text: text.required() })
