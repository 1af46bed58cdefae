import Joi from 'joi'
import type { RescueTried } from './kind'
import { shape, shortName, text } from '../../../schema/pieces'
import { STATIONS } from '../../../stations/stations'

const helped = Joi.string().valid('helped', 'did not help').required()

const rescueTriedV1 = shape<Omit<RescueTried, 'words'>>({
  // The stations as they were then.
  station: Joi.string()
    .valid('plan', 'dissolve', 'crystallize', 'collect', 'weigh', 'melt', 'judge', 'page')
    .required(),
  rescue: shortName.required(),
  remedy: shortName.required(),
  helped,
})

const rescueTriedV2 = shape<RescueTried>({
  station: Joi.string()
    .valid(...STATIONS)
    .required(),
  rescue: shortName.required(),
  remedy: shortName.required(),
  words: shape<RescueTried['words']>({ rescue: text.required(), remedy: text.required() }).required(),
  helped,
})

export const schemas = { 1: rescueTriedV1, 2: rescueTriedV2 }
