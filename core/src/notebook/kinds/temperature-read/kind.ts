import type { Reading } from '../../../units'
import { defineKind } from '../defineKind'

/** Temperature of the cooling solution, °C, read by hand. */
export interface TemperatureRead {
  readonly temperature: Reading
}
export const temperatureRead = defineKind<TemperatureRead>()({
  kind: 'temperature read',
  version: 1,
  about: 'prep',
  sentence: (body) => `The solution was at ${body.temperature.text} °C.`,
})
