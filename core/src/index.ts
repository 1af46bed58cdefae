import { compareSchools } from './heating/compareSchools'
import { retentionFactor } from './chromatography/retentionFactor'
import { detectMelt } from './heating/detectMelt'
import { mixedVerdict } from './identity/mixedVerdict'
import { nextMixture } from './identity/nextMixture'
import { rankCandidates } from './identity/rankCandidates'
import { compositionFromRange } from './melting/compositionFromRange'
import { coolDownMin, dialForRate, minutesToReach, plateauC, rateCPerMin } from './heating/dial'
import { fitBlockModel } from './heating/fitBlockModel'
import { planDial } from './heating/planDial'
import { planTubeRuns } from './scheduling/planTubeRuns'
import { atTheEvent } from './thermometer/atTheEvent'
import { calibrationLine, correctReading } from './thermometer/correctReading'
import { emergentStemCorrectionC } from './thermometer/emergentStem'
import type { Science } from './contract'
import { meltMin, observedRange, zeroRateRange } from './heating/observedRange'
import { planRamp } from './heating/planRamp'
import { rateOf } from './heating/rateOf'
import { judgeRange } from './judging/judgeRange'
import {
  compositionsFromClearPoint,
  eutectic,
  massFractionFromMoleFraction,
  moleFractionFromMassFraction,
  phaseDiagram,
} from './melting/eutectic'
import { idealSolubility, impurityFromClearPoint, liquidusC, waldenFusionEnthalpy } from './melting/liquidus'
import { liquidFraction, meltingRange } from './melting/meltingRange'
import { assayFromRange } from './solubility/assayFromRange'
import { crystallizationCycles, cyclesToReach, secondCrop } from './solubility/cycles'
import { oilingRisk } from './solubility/oilingRisk'
import { planCrystallization } from './solubility/planCrystallization'
import { rankSolvents } from './solubility/rankSolvents'
import { crystallizedFraction, saturationC } from './solubility/saturation'
import { planSolventPair } from './solubility/solventPair'
import { leastSolventForPurity, solventTradeoff } from './solubility/solventTradeoff'
import { solubilityAt } from './solubility/solubilityAt'
import { isConstantMass } from './weighing/constantMass'
import { netMass } from './weighing/netMass'
import { massClosure, percentRecovery, percentYield, theoreticalYieldG } from './weighing/recovery'

export * from './contract'
export * from './wire'
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
  solventTradeoff,
  leastSolventForPurity,
  oilingRisk,
  crystallizationCycles,
  cyclesToReach,
  secondCrop,
  saturationC,
  crystallizedFraction,
  rankSolvents,
  planSolventPair,
  assayFromRange,
  massFractionFromMoleFraction,
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
  plateauC,
  rateCPerMin,
  minutesToReach,
  dialForRate,
  coolDownMin,
  fitBlockModel,
  planDial,
  compareSchools,
  correctReading,
  calibrationLine,
  emergentStemCorrectionC,
  atTheEvent,
  planTubeRuns,
  detectMelt,
  judgeRange,
  compositionFromRange,
  rankCandidates,
  nextMixture,
  mixedVerdict,
  retentionFactor,
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
  solventTradeoff,
  leastSolventForPurity,
  oilingRisk,
  crystallizationCycles,
  cyclesToReach,
  secondCrop,
  saturationC,
  crystallizedFraction,
  rankSolvents,
  planSolventPair,
  assayFromRange,
  massFractionFromMoleFraction,
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
  plateauC,
  rateCPerMin,
  minutesToReach,
  dialForRate,
  coolDownMin,
  fitBlockModel,
  planDial,
  compareSchools,
  correctReading,
  calibrationLine,
  emergentStemCorrectionC,
  atTheEvent,
  planTubeRuns,
  detectMelt,
  judgeRange,
  compositionFromRange,
  rankCandidates,
  nextMixture,
  mixedVerdict,
  retentionFactor,
}

export { RANK_OPTIONS } from './identity/likelihood'
export {
  BY_EYE_WITHIN,
  depressionDoubt,
  outcomeWords,
  whyNoMixture,
  type NextMixture,
} from './identity/nextMixture'
export type { Ranked } from './identity/rankCandidates'
export type { MixedVerdict } from './identity/mixedVerdict'
export { whyHere, type WhyHere } from './identity/whyHere'
export { poorEvidence, spotsAgree, type RetentionFactor } from './chromatography/retentionFactor'
export {
  LANE_KINDS,
  readLanes,
  readPlate,
  type Lane,
  type LaneKind,
  type PlateOpinion,
  type ReadLane,
} from './chromatography/readPlate'
export { PLATE_STEPS, type PlateStep } from './chromatography/plateSteps'
export { determinations, type Determinations } from './repeats/determinations'
export { assumedImpurity, type CompositionFromRange } from './melting/compositionFromRange'
export { massFractionOf } from './melting/eutectic'
export { authenticWithinC } from './judging/judgeRange'
export { CANDIDATES_MOST } from './notebook/candidates-listed/kind'
export { phasePoint, type PhasePoint } from './melting/phasePoint'
export { heatingShare, withoutHeating } from './heating/heatingShare'
export { VISIBLE_LIQUID_FRACTION } from './melting/meltingRange'
export { decimalsOf, readFromBalance, readReading } from './weighing/reading'
export { flaskForML } from './solubility/glassware'
export { isTooFast, minutesToWindow } from './heating/watching'
export { modelledC } from './heating/dial'
export { TYPICAL_LAGS } from './heating/compareSchools'
export { wideningByFillC } from './heating/observedRange'
export type { FittedBlockModel } from './heating/fitBlockModel'
export type { LightSample } from './heating/detectMelt'
export { costOfRuns } from './scheduling/planTubeRuns'
export {
  correctBy,
  interpolationErrorC,
  lineErrorC,
  type CalibrationPoint,
} from './thermometer/correctReading'
export { THREAD_EXPANSION } from './thermometer/emergentStem'
export { readingDoubt } from './thermometer/atTheEvent'
export {
  gritMarkML,
  pastThePlanML,
  proposedVolumeML,
  withVolumeML,
  workingTemperatures,
} from './solubility/volume'
export { whyThisSolvent } from './procedures/reasons'
export { DEFAULT_HOUSE_RULES, SCHOOLS } from './conventions/schools'
export * from './line/protocol'
export { checksFor, type Check } from './heating/checks'
export { SIMULATED_INSTRUMENTS, wholeInstrument } from './simulator/instruments'
export { fusionOf } from './reference/fusionOf'
export { hazardLine, hazardStatement } from './reference/hazards'
export { cautionsFor, disposalFor, LOCAL_RULES, wasteOf } from './procedures/cautions'
export { AGAINST_OILING } from './solubility/oilingRisk'
export { liquorOf, proposedSecondCropML } from './solubility/cycles'
export { depositsFromC } from './solubility/saturation'
export { miscibilityDoubt } from './solubility/solventPair'
export { USUAL_WISHES } from './solubility/rankSolvents'
export { pointsTrouble } from './solubility/pointsTrouble'
export { dropsPerML } from './solubility/drops'
export { rinseLossUpToG } from './solubility/rinse'
export * from './solubility/trial'
export * from './procedures/procedure'
export { PROCEDURES } from './procedures/shipped'
export {
  AMOUNTS,
  HOT_EXCESS,
  renderSteps,
  renderWaste,
  unknownAmounts,
  type Batch,
} from './procedures/render'
export { chooseProcedure, type ProcedureChoice } from './procedures/chooseProcedure'
export { planBatch } from './procedures/planBatch'
export { glasswareFor } from './procedures/glassware'
export { RESCUES, rescuesAt, type Rescue } from './procedures/rescues'
export { partnerTrouble } from './weighing/partner'
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
export type { PlanFixed, PlannedPair } from './notebook/plan-fixed/kind'
export { PORTION_EFFECTS } from './notebook/portion-seen/kind'
export type { PortionUse } from './notebook/solvent-added/kind'
export type { MeltPlanned, PlannedTube } from './notebook/melt-planned/kind'
export type { Simulation } from './notebook/run-started/kind'
export type { DialLearned } from './notebook/dial-learned/kind'
export type { StandardRead } from './notebook/standard-read/kind'
export { TUBE_NOTES, type TubeNote } from './notebook/tube-noted/kind'
export { GIVE_UP_REASONS, type GiveUpReason } from './notebook/range-given-up/kind'
export type { UnknownSigned } from './notebook/unknown-signed/kind'
export {
  SPOT_SHAPES,
  VISUALIZED,
  type PlateDeveloped,
  type PlateLane,
  type SpotShape,
  type Visualized,
} from './notebook/plate-developed/kind'
export type { Weighed } from './notebook/weighed/kind'
export * from './notebook/selectors/prep'
export * from './notebook/selectors/melt'
export * from './notebook/selectors/ranges'
export * from './notebook/selectors/judgement'
export * from './notebook/selectors/stations'
export * from './notebook/selectors/timers'
export * from './notebook/selectors/log'
export * from './notebook/selectors/losses'
export * from './notebook/selectors/account'
export * from './notebook/selectors/causes'
export * from './notebook/selectors/crudeAssay'
export * from './notebook/selectors/dissolving'
export * from './notebook/selectors/dryness'
export * from './notebook/selectors/trials'
export * from './notebook/selectors/meltPlan'
export * from './notebook/selectors/instruments'
export * from './notebook/selectors/learnDial'
export * from './notebook/selectors/samples'
export * from './notebook/selectors/repeats'
export * from './notebook/selectors/rack'
export * from './notebook/selectors/mixtures'
export * from './notebook/selectors/phaseMap'
export * from './notebook/selectors/unknowns'
export * from './notebook/selectors/plates'
export * from './notebook/selectors/pairs'
export * from './notebook/selectors/classRanges'
export { summaryOf } from './notebook/selectors/summary'

export { advance, createBlock, type BlockState } from './simulator/block'
export { simulatedHeating } from './simulator/heating'
export { createTube, look, type TubeState } from './simulator/tube'
export {
  DETECTING_BLOCK,
  DIAL_BLOCK,
  HOT_STAGE,
  OIL_BATH_TUBE,
  PROGRAMMABLE_BLOCK,
  TEACHING_BALANCE,
} from './simulator/characters'
export { createBalance, passBalance, type BalanceState } from './simulator/balance'
export { simulatedPan, type PanLoad } from './simulator/pan'
export {
  holdsUnknown,
  sealedContents,
  simulatedContents,
  simulatedTube,
  type SealedContents,
} from './simulator/contents'
