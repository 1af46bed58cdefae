import Joi from 'joi'
import { shortName } from '../pieces'

export const checkMadeV1 = Joi.object({ check: shortName.required() })
