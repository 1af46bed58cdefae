import Joi from 'joi'
import type { TaskSetAside } from './kind'
import { moment, shape, taskName } from '../../../schema/pieces'

export const taskSetAsideV1 = shape<TaskSetAside>({
  task: taskName.required(),
  words: Joi.string().trim().min(1).max(300).required(),
  until: Joi.string().valid('another day', 'not put off', 'a time').required(),
  untilAtMs: moment.allow(null).required(),
})

export const schemas = { 1: taskSetAsideV1 }
