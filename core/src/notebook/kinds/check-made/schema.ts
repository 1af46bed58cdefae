import type { CheckMade } from './kind'
import { shape, shortName } from '../../../schema/pieces'

export const checkMadeV1 = shape<CheckMade>({ check: shortName.required() })

export const schemas = { 1: checkMadeV1 }
