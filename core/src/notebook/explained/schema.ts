import Joi from 'joi'
import { text } from '../commonSchema'

export const explainedV1 = Joi.object({ text: text.required() })
