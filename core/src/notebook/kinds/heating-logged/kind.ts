import { defineKind } from '../defineKind'

export const HEATING_SOURCES = ['typed', 'file', 'simulated run', 'run'] as const
/** A heating with the dial left at one setting, logged to learn what the dial does. */
export interface HeatingLogged {
  readonly dial: number
  readonly ambientC: number
  /** Minutes from when the dial was set, and what the thermometer read, °C. */
  readonly samples: readonly (readonly [minutes: number, temperatureC: number])[]
  readonly from: (typeof HEATING_SOURCES)[number]
}
export const heatingLogged = defineKind<HeatingLogged>()({
  kind: 'heating logged',
  version: 1,
  about: 'instrument',
  sentence: ({ dial, samples, from }) =>
    `Logged a heating at setting ${dial}: ${samples.length} readings (${from}).`,
})
