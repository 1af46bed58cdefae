import Joi from 'joi'
import type { TaskNoted } from './kind'
import { shape, taskName } from '../../../schema/pieces'

export const taskNotedV1 = shape<TaskNoted>({
  task: taskName.required(),
  words: Joi.string().trim().min(1).max(300).required(),
  is: Joi.string().valid('begun', 'done').required(),
})

export const schemas = { 1: taskNotedV1 }
