import Joi from 'joi'
import { shortName } from '../commonSchema'
import { STATIONS } from '../stations'

export const rescueTriedV1 = Joi.object({
  station: Joi.string()
    .valid(...STATIONS)
    .required(),
  rescue: shortName.required(),
  remedy: shortName.required(),
  helped: Joi.string().valid('helped', 'did not help').required(),
})
