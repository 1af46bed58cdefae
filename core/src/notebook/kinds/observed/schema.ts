import Joi from 'joi'
import type { Observed } from './kind'
import { shape, text } from '../../../schema/pieces'
import { STATIONS } from '../../../stations/stations'

export const observedV1 = shape<Observed>({
  station: Joi.string()
    .valid(...STATIONS)
    .required(),
  text: text.required(),
})

export const schemas = { 1: observedV1 }
