import Joi from 'joi'
import type { PeriodOpened } from './kind'
import { moment, number, shape, shortName, taskName, uuid } from '../../../schema/pieces'

const minutes = number.integer().min(0).max(10_000).required()

export const periodOpenedV1 = shape<PeriodOpened>({
  beginsAtMs: moment.required(),
  // A day at the most: a slip of the date is no period.
  endsAtMs: moment
    .greater(Joi.ref('beginsAtMs'))
    .max(Joi.ref('beginsAtMs', { adjust: (begins: number) => begins + 86_400_000 }))
    .required(),
  hands: Joi.number().valid(1, 2).required(),
  isOwnPace: Joi.boolean().required(),
  busy: Joi.array()
    .items(
      Joi.object({
        what: Joi.alternatives(Joi.string().valid('balance', 'hot plate', 'flame'), shortName).required(),
        who: Joi.string().trim().min(1).max(80).required(),
        fromAtMs: moment.required(),
        toAtMs: moment.greater(Joi.ref('fromAtMs')).required(),
      }),
    )
    .max(40)
    .required(),
  first: uuid.allow(null).required(),
  planned: Joi.array()
    .items(
      Joi.object({
        task: taskName.required(),
        words: Joi.string().max(300).required(),
        startMin: minutes,
        durationMin: minutes,
      }),
    )
    .max(300)
    .required(),
})

export const schemas = { 1: periodOpenedV1 }
