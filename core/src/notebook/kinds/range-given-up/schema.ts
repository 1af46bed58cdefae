import Joi from 'joi'
import { shape, slot, uuid } from '../../../schema/pieces'
import { NO_RANGE_REASONS } from '../../../judging/noRange'
import type { RangeGivenUp } from './kind'

export const rangeGivenUpV1 = shape<RangeGivenUp>({
  run: uuid.required(),
  slot: slot.required(),
  reason: Joi.string()
    .valid(...NO_RANGE_REASONS)
    .required(),
})

export const schemas = { 1: rangeGivenUpV1 }
