import Joi from 'joi'
import type { PlatePhotographed } from './kind'
import { number, shape } from '../../../schema/pieces'

/** Characters of base64: about 220 kB of picture. */
const JPEG_MOST = 300_000

const part = number.min(0).max(1).required()
export const platePhotographedV1 = shape<PlatePhotographed>({
  jpeg: Joi.string()
    .pattern(/^[A-Za-z0-9+/]+=*$/)
    .max(JPEG_MOST)
    .required(),
  left: part,
  right: part,
  top: part,
  bottom: part,
})

export const schemas = { 1: platePhotographedV1 }
