import Joi from 'joi'
import { BENCH_THINGS, type Takes } from './takes'
import { number, shape, text } from '../schema/pieces'

const minutes = number.integer().min(0).max(10_000)
const things = Joi.array()
  .items(Joi.string().valid(...BENCH_THINGS))
  .max(BENCH_THINGS.length)

/** What a step takes, where the lab says it itself. */
export const takes = shape<Takes>({
  handsMin: minutes.required(),
  isByVolume: Joi.boolean(),
  aloneMin: minutes,
  uses: things,
  aloneUses: things,
  isAttended: Joi.boolean(),
  watch: text.max(200),
  waitsFor: Joi.string().valid('all before', 'the hands before', 'nothing'),
  withinMin: minutes,
  work: Joi.string().trim().min(1).max(60),
})
