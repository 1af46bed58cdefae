import type { TemperatureRead } from './kind'
import { reading, shape } from '../../../schema/pieces'

export const temperatureReadV1 = shape<TemperatureRead>({
  temperature: reading
    .custom((value: { value: number }, helpers) =>
      value.value > -100 && value.value < 300
        ? value
        : helpers.message({ custom: `A solution at ${value.value} °C cannot be.` }),
    )
    .required(),
})

export const schemas = { 1: temperatureReadV1 }
