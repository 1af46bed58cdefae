import Joi from 'joi'
import type { PeriodClosed } from './kind'
import { moment, shape, taskName } from '../../../schema/pieces'

const words = Joi.string().max(300)

export const periodClosedV1 = shape<PeriodClosed>({
  outAtMs: moment.required(),
  done: Joi.array()
    .items(
      Joi.object({
        task: taskName.required(),
        words: words.required(),
        fromAtMs: moment.required(),
        toAtMs: moment.min(Joi.ref('fromAtMs')).required(),
      }),
    )
    .max(300)
    .required(),
  left: Joi.array().items(words).max(300).required(),
})

export const schemas = { 1: periodClosedV1 }
