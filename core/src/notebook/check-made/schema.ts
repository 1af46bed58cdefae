import Joi from 'joi'
import { shortName } from '../commonSchema'

export const checkMadeV1 = Joi.object({ check: shortName.required() })
