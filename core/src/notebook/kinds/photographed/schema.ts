import Joi from 'joi'
import type { Photographed } from './kind'
import { number, shape } from '../../../schema/pieces'
import { PHOTOGRAPH_BYTES_MOST, PHOTOGRAPH_PX_MOST, PHOTOGRAPH_SHOWS } from '../../photograph'

const px = number.integer().min(1).max(PHOTOGRAPH_PX_MOST).required()
export const photographedV1 = shape<Photographed>({
  sha256: Joi.string()
    .pattern(/^[0-9a-f]{64}$/)
    .required(),
  bytes: number.integer().min(1).max(PHOTOGRAPH_BYTES_MOST).required(),
  widthPx: px,
  heightPx: px,
  shows: Joi.string()
    .valid(...PHOTOGRAPH_SHOWS)
    .required(),
  text: Joi.string().trim().allow('').max(300).required(),
})

export const schemas = { 1: photographedV1 }
