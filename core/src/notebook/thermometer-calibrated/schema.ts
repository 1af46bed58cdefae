import { calibration, coreVersion, restsOn } from '../commonSchema'

export const thermometerCalibratedV1 = calibration.keys({
  coreVersion: coreVersion.required(),
  restsOn: restsOn.required(),
})
