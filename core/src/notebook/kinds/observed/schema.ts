import Joi from 'joi'
import { text } from '../pieces'
import { STATIONS } from '../../views/stationNames'

export const observedV1 = Joi.object({
  station: Joi.string()
    .valid(...STATIONS)
    .required(),
  text: text.required(),
})
