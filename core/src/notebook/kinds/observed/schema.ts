import Joi from 'joi'
import type { Observed } from './kind'
import { shape, text } from '../pieces'
import { STATIONS } from '../../views/stationNames'

export const observedV1 = shape<Observed>({
  station: Joi.string()
    .valid(...STATIONS)
    .required(),
  text: text.required(),
})

export const schemas = { 1: observedV1 }
