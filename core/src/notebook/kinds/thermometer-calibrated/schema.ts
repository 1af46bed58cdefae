import { calibration, coreVersion, restsOn } from '../pieces'

export const thermometerCalibratedV1 = calibration.keys({
  coreVersion: coreVersion.required(),
  restsOn: restsOn.required(),
})
