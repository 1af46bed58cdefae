import Joi from 'joi'
import { conventions } from '../pieces'

export const rulesTakenV1 = Joi.object({ conventions: conventions.required() })
