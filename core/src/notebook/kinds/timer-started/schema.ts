import Joi from 'joi'
import type { TimerStarted } from './kind'
import { number, shape } from '../../../schema/pieces'

const first = {
  timer: Joi.string().valid('cool', 'ice', 'air').required(),
  minutes: number.positive().max(10_000).required(),
}
export const timerStartedV1 = Joi.object(first)

export const timerStartedV2 = shape<TimerStarted>({
  ...first,
  timer: Joi.string().valid('cool', 'ice', 'air', 'spin', 'boil', 'dry').required(),
})

export const schemas = { 1: timerStartedV1, 2: timerStartedV2 }
