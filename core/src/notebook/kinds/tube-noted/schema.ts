import Joi from 'joi'
import { number, slot, uuid } from '../pieces'
import { TUBE_NOTES } from './kind'

export const tubeNotedV1 = Joi.object({
  run: uuid.required(),
  slot: slot.required(),
  note: Joi.string()
    .valid(...TUBE_NOTES)
    .required(),
  atS: number.min(0).max(1e7).required(),
})
