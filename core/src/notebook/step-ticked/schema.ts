import Joi from 'joi'
import { shortName } from '../commonSchema'

export const stepTickedV1 = Joi.object({ step: shortName.required() })
