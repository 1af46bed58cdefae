import Joi from 'joi'
import { reading, shortName } from '../pieces'

export const balancedV1 = Joi.object({
  step: shortName.required(),
  tube: reading.required(),
  partner: reading.required(),
})
