import Joi from 'joi'
import type { RescueTried } from './kind'
import { shape, shortName } from '../../../schema/pieces'
import { STATIONS } from '../../../stations/stations'

export const rescueTriedV1 = shape<RescueTried>({
  station: Joi.string()
    .valid(...STATIONS)
    .required(),
  rescue: shortName.required(),
  remedy: shortName.required(),
  helped: Joi.string().valid('helped', 'did not help').required(),
})

export const schemas = { 1: rescueTriedV1 }
