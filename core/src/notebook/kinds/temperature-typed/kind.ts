import type { Reading } from '../../../units'
import type { EntryId, RunId } from '../../../ids'
import { defineKind } from '../defineKind'

/** A thermometer read by eye during a run, in passing or for a mark pressed a moment before. */
export interface TemperatureTyped {
  readonly run: RunId
  readonly temperature: Reading
  /** When the eye was on the thermometer, s of the run. */
  readonly atS: number
  /** The mark it belongs to; the reading is taken back to that press. */
  readonly mark: EntryId | null
}
export const temperatureTyped = defineKind<TemperatureTyped>()({
  kind: 'temperature typed',
  version: 1,
  about: 'melt',
  sentence: ({ temperature, mark }) =>
    `Read ${temperature.text} °C off the thermometer${mark ? ' for that mark' : ''}.`,
})
