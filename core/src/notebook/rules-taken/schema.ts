import Joi from 'joi'
import { conventions } from '../commonSchema'

export const rulesTakenV1 = Joi.object({ conventions: conventions.required() })
