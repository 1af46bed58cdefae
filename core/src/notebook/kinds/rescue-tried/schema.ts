import Joi from 'joi'
import { shortName } from '../pieces'
import { STATIONS } from '../../views/stationNames'

export const rescueTriedV1 = Joi.object({
  station: Joi.string()
    .valid(...STATIONS)
    .required(),
  rescue: shortName.required(),
  remedy: shortName.required(),
  helped: Joi.string().valid('helped', 'did not help').required(),
})
