import Joi from 'joi'
import { number, shape, slot, uuid } from '../../../schema/pieces'
import { TUBE_NOTES, type TubeNoted } from './kind'

export const tubeNotedV1 = shape<TubeNoted>({
  run: uuid.required(),
  slot: slot.required(),
  note: Joi.string()
    .valid(...TUBE_NOTES)
    .required(),
  atS: number.min(0).max(1e7).required(),
})

export const schemas = { 1: tubeNotedV1 }
