import Joi from 'joi'
import { number } from '../pieces'

export const timerStartedV1 = Joi.object({
  timer: Joi.string().valid('cool', 'ice', 'air').required(),
  minutes: number.positive().max(10_000).required(),
})

export const timerStartedV2 = timerStartedV1.keys({
  timer: Joi.string().valid('cool', 'ice', 'air', 'spin', 'boil', 'dry').required(),
})
