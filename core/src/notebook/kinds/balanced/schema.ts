import type { Balanced } from './kind'
import { reading, shape, shortName } from '../../../schema/pieces'

export const balancedV1 = shape<Balanced>({
  step: shortName.required(),
  tube: reading.required(),
  partner: reading.required(),
})

export const schemas = { 1: balancedV1 }
