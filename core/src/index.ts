import type { Science } from './contract'
import { meltMin, observedRange, zeroRateRange } from './heating/observedRange'
import { planRamp } from './heating/planRamp'
import { rateOf } from './heating/rateOf'
import { judgeRange } from './judging/judgeRange'
import {
  compositionsFromClearPoint,
  eutectic,
  moleFractionFromMassFraction,
  phaseDiagram,
} from './melting/eutectic'
import { idealSolubility, impurityFromClearPoint, liquidusC, waldenFusionEnthalpy } from './melting/liquidus'
import { liquidFraction, meltingRange } from './melting/meltingRange'
import { planCrystallization } from './solubility/planCrystallization'
import { solubilityAt } from './solubility/solubilityAt'
import { isConstantMass } from './weighing/constantMass'
import { netMass } from './weighing/netMass'
import { massClosure, percentRecovery, percentYield, theoreticalYieldG } from './weighing/recovery'

export * from './contract'
export type * from './wire'
export { attempt, ImpossibleInput } from './problems'

/** The part of the science that is built so far, held to the contract's signatures. */
export const science = {
  netMass,
  percentRecovery,
  percentYield,
  theoreticalYieldG,
  massClosure,
  isConstantMass,
  solubilityAt,
  planCrystallization,
  idealSolubility,
  liquidusC,
  eutectic,
  liquidFraction,
  meltingRange,
  moleFractionFromMassFraction,
  impurityFromClearPoint,
  compositionsFromClearPoint,
  waldenFusionEnthalpy,
  phaseDiagram,
  rateOf,
  planRamp,
  observedRange,
  meltMin,
  zeroRateRange,
  judgeRange,
} as const satisfies Partial<Science>

export {
  netMass,
  percentRecovery,
  percentYield,
  theoreticalYieldG,
  massClosure,
  isConstantMass,
  solubilityAt,
  planCrystallization,
  idealSolubility,
  liquidusC,
  eutectic,
  liquidFraction,
  meltingRange,
  moleFractionFromMassFraction,
  impurityFromClearPoint,
  compositionsFromClearPoint,
  waldenFusionEnthalpy,
  phaseDiagram,
  rateOf,
  planRamp,
  observedRange,
  meltMin,
  zeroRateRange,
  judgeRange,
}

export { VISIBLE_LIQUID_FRACTION } from './melting/meltingRange'
export { decimalsOf, readFromBalance, readReading } from './weighing/reading'
export { flaskForML } from './solubility/glassware'
export { isTooFast, minutesToWindow } from './heating/watching'
export {
  gritMarkML,
  pastThePlanML,
  proposedVolumeML,
  withVolumeML,
  workingTemperatures,
} from './solubility/volume'
export { whyThisSolvent } from './procedures/reasons'
export { DEFAULT_HOUSE_RULES } from './conventions/schools'
export { fusionOf } from './reference/fusionOf'
export { hazardLine, hazardStatement } from './reference/hazards'
export { cautionsFor, disposalFor, LOCAL_RULES } from './procedures/cautions'
export { smallFlaskSteps, type Step } from './procedures/smallFlask'
export { CORE_VERSION } from './version'
export { weighingOf } from './notebook/weighed/kind'

export { idMs, latestOf, nextId } from './notebook/clock'
export { EMPTY_VIEW, fold, latestLine, linesOf, upcast, type SubjectRecord, type View } from './notebook/fold'
export { KINDS, type Bodies, type Kind } from './notebook/kinds'
export { STATIONS, type Station } from './notebook/stations'
export { MOMENTS, type Moment } from './notebook/mark-made/kind'
export { SIGN_WORDS, type SignWord } from './notebook/sign-named/kind'
export { rebase } from './notebook/rebase'
export { TIMER_WORDS } from './notebook/timer-started/kind'
export type { SampleRole } from './notebook/sample-named/kind'
export type { PlanFixed } from './notebook/plan-fixed/kind'
export type { PlannedTube } from './notebook/melt-planned/kind'
export type { Weighed } from './notebook/weighed/kind'
export * from './notebook/selectors/prep'
export * from './notebook/selectors/melt'
export * from './notebook/selectors/ranges'
export * from './notebook/selectors/judgement'
export * from './notebook/selectors/stations'
export * from './notebook/selectors/timers'
export * from './notebook/selectors/log'
export * from './notebook/selectors/losses'
export * from './notebook/selectors/meltPlan'
export { summaryOf } from './notebook/selectors/summary'

export { advance, createBlock, type BlockState } from './simulator/block'
export { createTube, look, type TubeState } from './simulator/tube'
export { PROGRAMMABLE_BLOCK } from './simulator/characters'
export { simulatedContents } from './simulator/contents'
