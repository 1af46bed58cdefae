import type { TemperatureTyped } from './kind'
import { number, reading, shape, uuid } from '../../../schema/pieces'

export const temperatureTypedV1 = shape<TemperatureTyped>({
  run: uuid.required(),
  temperature: reading
    .custom((value: { value: number }, helpers) =>
      value.value > -100 && value.value < 600
        ? value
        : helpers.message({ custom: `No thermometer here reads ${value.value} °C.` }),
    )
    .required(),
  atS: number.min(0).max(1e7).required(),
  mark: uuid.allow(null).required(),
})

export const schemas = { 1: temperatureTypedV1 }
