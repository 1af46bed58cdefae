export { checksFor, scaleTrouble, uncheckedOf } from './checks'
export { compareSchools } from './compareSchools'
export { compositionFromRange } from './compositionFromRange'
export { type LightSample, detectMelt } from './detectMelt'
export { dialForRate, modelledC, plateauC, rateCPerMin } from './dial'
export type { Heating } from './heatingPlan'
export {
  type Grain,
  type Packing,
  meltMin,
  observedRange,
  wideningByFillC,
  zeroRateRange,
} from './observedRange'
export type { RampPlan } from './planRamp'
export { rateOf } from './rateOf'
export { isTooFast } from './watching'
