import Joi from 'joi'
import { compound, name } from '../pieces'

export const prepOpenedV1 = Joi.object({ title: name.required(), compound: compound.required() })
