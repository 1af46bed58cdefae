import type { EntryId } from '../../../ids'
import type { Calibration } from '../../../thermometer/correctReading'
import { defineKind } from '../defineKind'

/** The readings of standards made into a calibration, with the rate and packing they were taken at. */
export interface ThermometerCalibrated extends Calibration {
  readonly coreVersion: string
  readonly restsOn: readonly EntryId[]
}
export const thermometerCalibrated = defineKind<ThermometerCalibrated>()({
  kind: 'thermometer calibrated',
  version: 1,
  about: 'instrument',
  sentence: ({ points, method }) =>
    `Calibrated the thermometer by ${points.length} ${points.length === 1 ? 'point' : 'points'}, ${method}.`,
})
