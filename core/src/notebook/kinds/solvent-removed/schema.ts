import type { SolventRemoved } from './kind'
import { reading, shape } from '../../../schema/pieces'

export const solventRemovedV1 = shape<SolventRemoved>({
  volume: reading
    .custom((value: { value: number }, helpers) =>
      value.value > 0 && value.value <= 10_000
        ? value
        : helpers.message({ custom: `${value.value} mL cannot have boiled away.` }),
    )
    .required(),
})

export const schemas = { 1: solventRemovedV1 }
