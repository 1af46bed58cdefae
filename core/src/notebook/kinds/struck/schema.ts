import type { Struck } from './kind'
import { shape, text, uuid } from '../../../schema/pieces'

export const struckV1 = shape<Struck>({ target: uuid.required(), reason: text.required() })

export const schemas = { 1: struckV1 }
