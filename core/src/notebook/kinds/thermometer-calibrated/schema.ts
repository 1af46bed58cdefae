import { calibrationKeys, coreVersion, restsOn, shape } from '../../../schema/pieces'
import type { ThermometerCalibrated } from './kind'

export const thermometerCalibratedV1 = shape<ThermometerCalibrated>({
  ...calibrationKeys,
  coreVersion: coreVersion.required(),
  restsOn: restsOn.required(),
})

export const schemas = { 1: thermometerCalibratedV1 }
