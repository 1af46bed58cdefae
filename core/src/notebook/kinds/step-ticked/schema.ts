import Joi from 'joi'
import { shortName } from '../pieces'

export const stepTickedV1 = Joi.object({ step: shortName.required() })
