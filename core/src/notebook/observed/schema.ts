import Joi from 'joi'
import { text } from '../commonSchema'
import { STATIONS } from '../stations'

export const observedV1 = Joi.object({
  station: Joi.string()
    .valid(...STATIONS)
    .required(),
  text: text.required(),
})
