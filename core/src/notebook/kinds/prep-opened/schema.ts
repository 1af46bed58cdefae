import type { PrepOpened } from './kind'
import { compound, name, shape } from '../../../schema/pieces'

export const prepOpenedV1 = shape<PrepOpened>({ title: name.required(), compound: compound.required() })

export const schemas = { 1: prepOpenedV1 }
