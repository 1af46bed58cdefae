import type { Explained } from './kind'
import { shape, text } from '../../../schema/pieces'

export const explainedV1 = shape<Explained>({ text: text.required() })

export const schemas = { 1: explainedV1 }
