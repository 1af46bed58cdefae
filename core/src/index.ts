export { compareSchools } from './heating/compareSchools'
export { retentionFactor } from './chromatography/retentionFactor'
export { detectMelt } from './heating/detectMelt'
export { mixedVerdict } from './identity/mixedVerdict'
export { nextMixture } from './identity/nextMixture'
export { rankCandidates } from './identity/rankCandidates'
export { compositionFromRange } from './melting/compositionFromRange'
export { coolDownMin, dialForRate, minutesToReach, plateauC, rateCPerMin } from './heating/dial'
export { fitBlockModel } from './heating/fitBlockModel'
export { planDial } from './heating/planDial'
export { planTubeRuns } from './scheduling/planTubeRuns'
export { effortAtFirst, planBenchSession, replan, type SessionPlan } from './scheduling/planBenchSession'
export { type BrokenWait } from './scheduling/softened'
export { type Chain, whatFits } from './scheduling/whatFits'
export { recipeOrderMin } from './scheduling/recipeOrder'
export { type LabInput, type LabSimulation, meanOfDays, simulateLab } from './scheduling/simulateLab'
export type { BenchSession, Busy, Happened, SessionTask } from './scheduling/session/compiled'
export { atTheEvent } from './thermometer/atTheEvent'
export { calibrationLine, correctReading } from './thermometer/correctReading'
export { emergentStemCorrectionC } from './thermometer/emergentStem'
export { meltMin, observedRange, zeroRateRange } from './heating/observedRange'
export { planRamp } from './heating/planRamp'
export { rateOf } from './heating/rateOf'
export { judgeRange } from './judging/judgeRange'
export {
  compositionsFromClearPoint,
  eutectic,
  massFractionFromMoleFraction,
  moleFractionFromMassFraction,
  phaseDiagram,
} from './melting/eutectic'
export { idealSolubility, impurityFromClearPoint, liquidusC, waldenFusionEnthalpy } from './melting/liquidus'
export { liquidFraction, meltingRange } from './melting/meltingRange'
export { assayFromRange } from './solubility/assayFromRange'
export { crystallizationCycles, cyclesToReach, secondCrop } from './solubility/cycles'
export { oilingRisk } from './solubility/oilingRisk'
export { planCrystallization } from './solubility/planCrystallization'
export { rankSolvents } from './solubility/rankSolvents'
export { crystallizedFraction, saturationC } from './solubility/saturation'
export { planSolventPair, proposedSolventPair } from './solubility/solventPair'
export { leastSolventForPurity, solventTradeoff } from './solubility/solventTradeoff'
export { solubilityAt } from './solubility/solubilityAt'
export { isConstantMass } from './weighing/constantMass'
export { netMass } from './weighing/netMass'
export { massClosure, percentRecovery, percentYield, theoreticalYieldG } from './weighing/recovery'

export { type Reading, type Quantity } from './units'
export {
  type EntryId,
  type LedgerId,
  type NotebookId,
  type PrepId,
  type MeltId,
  type SampleId,
  type UnknownId,
  type PlateId,
  type PeriodId,
  type RunId,
  type InstrumentId,
  type SubjectId,
  type EpochMs,
} from './ids'
export { PROBLEM_CODES, type ProblemCode, type Problem, type Result } from './problems'
export { type Weighing } from './weighing/netMass'
export { type Conventions } from './conventions/conventions'
export {
  type Envelope,
  type Entry,
  type RawEntry,
  type KnownEntry,
  type Line,
  type Answer,
  type StoredEntry,
} from './notebook/entry'
export { type Confidence, type Compound, type Solvent, type SolubilityRow } from './reference/shelf'
export { type SolubilityPoint, type SolubilityAt } from './solubility/solubilityAt'
export { type CrystallizationInput, type CrystallizationPlan } from './solubility/planCrystallization'
export {
  type SoluteToPurify,
  type SolventCandidate,
  type SolventWishes,
  SOLVENT_PARTS,
  type SolventPart,
  type ScoredPart,
  type RankedSolvent,
} from './solubility/rankSolvents'
export { type OilingLevel, type OilingRisk } from './solubility/oilingRisk'
export { type SolventPairInput, type SolventPairPlan } from './solubility/solventPair'
export { type AssayFromRange } from './solubility/assayFromRange'
export { type CycleStep } from './solubility/cycles'
export { type Fusion } from './melting/liquidus'
export { type MeltingRange } from './melting/meltingRange'
export { type Eutectic, type CompositionAtClear, type PhaseDiagram } from './melting/eutectic'
export { type BlockModel } from './heating/dial'
export { type DialTrace } from './heating/fitBlockModel'
export { type DialPlanInput, type DialPlan } from './heating/planDial'
export { type RampApparatus, type RampInput, type RampSegment, type RampPlan } from './heating/planRamp'
export { isTooFast, minutesToWindow } from './heating/watching'
export { type ObservedRangeTerms, type Grain, type Packing } from './heating/observedRange'
export { type SchoolCost } from './heating/compareSchools'
export { type Heating, type MeltWindow } from './heating/heatingPlan'
export { type Calibration } from './thermometer/correctReading'
export { type TubeRunInput, type TubeRunPlan } from './scheduling/runGroups'
export { type Candidate, type MixtureRun, type RankOptions, type IdentityInput } from './identity/likelihood'
export {
  type Verdict,
  FINDING_CODES,
  type FindingCode,
  type Finding,
  NEXT_STEPS,
  type NextStep,
  OWNERS,
  type Owner,
  type BudgetRow,
  type Measured,
  type Action,
  type Judgement,
} from './judging/judgement'
export { type RangeEvidence, type HouseWords, type SignSeen } from './judging/evidence'
export { judgeNoRange } from './judging/noRange'
export { percentBetween } from './judging/findings'
export { OWNER_NAMES } from './judging/budget'
export { listed, significant } from './words'
export { furthestEnd } from './judging/measure'
export { type Span } from './judging/owners'
export { type BlockCharacter } from './simulator/characters'
export { SHELLS, type SimulatedSample, type TubeReading } from './simulator/tube'
export { SLUSH_FROM, type TubeLook } from './melting/look'
export { type BlockCommand, type BlockReading } from './simulator/block'
export * from './wire'
export { attempt, ImpossibleInput } from './problems'

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
export { reliabilityOf, type Reliability, type ReliabilityInput } from './identity/reliability'
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
export { twoReadingsC } from './judging/owners'
export { tenths } from './math/tenths'
export { CANDIDATES_MOST } from './notebook/kinds/candidates-listed/kind'
export { phasePoint, type PhasePoint } from './melting/phasePoint'
export { heatingShare, withoutHeating } from './heating/heatingShare'
export { VISIBLE_LIQUID_FRACTION, visibleUnder } from './melting/meltingRange'
export { decimalsOf, readFromBalance, readReading } from './weighing/reading'
export { coolingMin, flaskForML, needsReflux } from './solubility/glassware'
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
export {
  freezesNearIce,
  gritMarkML,
  hottestOfPairC,
  pastThePlanML,
  proposedVolume,
  type ProposedVolume,
  withVolumeML,
  workingTemperatures,
} from './solubility/volume'
export { whyThisSolvent } from './procedures/reasons'
export { labRulesOf, type LabRules } from './conventions/lab'
export { DEFAULT_HOUSE_RULES, SCHOOLS } from './conventions/schools'
export * from './line/protocol'
export { notLookedAt } from './planning/notLookedAt'
export { checksFor, type Check, scaleTrouble, uncheckedOf } from './heating/checks'
export { SIMULATED_INSTRUMENTS, wholeInstrument } from './simulator/instruments'
export { fusionOf } from './reference/fusionOf'
export { compoundCalled, compoundsToAsk } from './reference/naming'
export { meltingValueOf } from './reference/meltingValue'
export { hazardLine, hazardStatement } from './reference/hazards'
export { askFirstAbout, cautionsFor, LOCAL_RULES } from './procedures/cautions'
export { residueAdvice } from './procedures/residue'
export { disposalFor, wasteOf } from './procedures/waste'
export { heatedAsItBehaves } from './notebook/views/meltBehaviour'
export { meltCautions } from './planning/meltCautions'
export { guardFor } from './reference/hazards'
export { CLASS_COLUMNS, type ClassColumn, type SolubilityClasses } from './reference/shelf'
export { type Pictogram, pictogramsOf, signalWordOf } from './reference/pictograms'
export { solidCaution } from './procedures/cautions'
export { AGAINST_OILING } from './solubility/oilingRisk'
export { liquorOf, proposedSecondCropML } from './solubility/cycles'
export { depositsFromC } from './solubility/saturation'
export { miscibilityDoubt } from './solubility/solventPair'
export { USUAL_WISHES } from './solubility/rankSolvents'
export { pointsTrouble } from './solubility/pointsTrouble'
export { dropsPerML } from './solubility/drops'
export { proposedRinseML, rinseDoubt, rinsedBy, rinseInstead } from './solubility/rinse'
export * from './solubility/trial'
export * from './procedures/procedure'
export { PROCEDURES } from './procedures/shipped'
export { renderSteps, renderWaste, unknownAmounts } from './procedures/render'
export { AMOUNTS, glassOf } from './procedures/amounts'
export { type Batch, crudeInText, isHotDoubtful, proposedKeptBackG, solventsOf } from './procedures/batch'
export { filterExcessML, isTakenOffHot } from './procedures/conditions'
export { rinseLossUpToG } from './solubility/rinseLoss'
export { classDoubt, classesIn, classOf, type TubeToTry, tubesToTry } from './solubility/classes'
export { airMinutesFor, driesInAir } from './procedures/airDrying'
export { agreeWithinG, type DryRule, dryRuleOf } from './procedures/dryRule'
export { boilsFromC, boilsInWords, boilsToC } from './reference/boiling'
export { dryingFor, type Drying, weighedAs } from './procedures/drying'
export { type HydrateAccount, hydrateOf } from './notebook/views/hydrate'
export { heatFor, placeOfHeat, type Heat } from './procedures/heat'
export { gentlerThan } from './reference/gentler'
export { reactionOf, notOverSteam } from './reference/reactions'
export { reactiveGroupsOf, isHalogenated } from './reference/groups'
export { chooseProcedure, type ProcedureChoice } from './procedures/chooseProcedure'
export { planBatch } from './procedures/planBatch'
export { glasswareFor, type Glassware } from './procedures/glassware'
export { EMERGENCIES, TELL_SOMEONE, type Emergency } from './procedures/emergencies'
export { RESCUES, rescuesAt } from './procedures/rescues'
export type { Rescue } from './procedures/rescue'
export { partnerTrouble } from './weighing/partner'
export { CORE_VERSION } from './version'
export { weighingOf } from './notebook/kinds/weighed/kind'

export { idMs, latestOf, nextId } from './notebook/clock'
export { EMPTY_VIEW, fold, upcast, type SubjectRecord, type View } from './notebook/fold'
export { firstLine, latestLine, linesOf } from './notebook/read'
export { nextRandom } from './math/random'
export { bodyRefusal } from './notebook/kinds/bodyRefusal'
export { KINDS, type Bodies, type Kind } from './notebook/kinds/list'
export { STATIONS, type Station } from './notebook/views/stationNames'
export { MOMENTS, type Moment } from './notebook/kinds/mark-made/kind'
export { SIGN_WORDS, type SignWord } from './notebook/kinds/sign-named/kind'
export { TIMER_WORDS } from './notebook/kinds/timer-started/kind'
export type { SampleRole } from './notebook/kinds/sample-named/kind'
export type { PlanFixed, PlannedPair } from './notebook/kinds/plan-fixed/kind'
export { PORTION_EFFECTS } from './notebook/kinds/portion-seen/kind'
export type { PortionUse } from './notebook/kinds/solvent-added/kind'
export type { MeltPlanned, PlannedTube } from './notebook/kinds/melt-planned/kind'
export type { Simulation } from './notebook/kinds/run-started/kind'
export type { DialLearned } from './notebook/kinds/dial-learned/kind'
export type { StandardRead } from './notebook/kinds/standard-read/kind'
export { TUBE_NOTES, type TubeNote } from './notebook/kinds/tube-noted/kind'
export { NO_RANGE_REASONS, type NoRangeReason } from './judging/noRange'
export type { UnknownSigned } from './notebook/kinds/unknown-signed/kind'
export {
  SPOT_SHAPES,
  VISUALIZED,
  type PlateDeveloped,
  type PlateLane,
  type SpotShape,
  type Visualized,
} from './notebook/kinds/plate-developed/kind'
export type { Weighed } from './notebook/kinds/weighed/kind'
export * from './notebook/views/labels'
export * from './notebook/views/prep'
export * from './notebook/views/melt'
export * from './notebook/views/readings'
export * from './notebook/views/ranges'
export * from './notebook/views/judgement'
export { behaviourOf, type Behaviour } from './reference/behaviour'
export { isStale } from './notebook/views/stale'
export * from './notebook/views/stations'
export * from './notebook/views/timers'
export { sentenceOf } from './notebook/sentence'
export * from './notebook/views/log'
export * from './notebook/views/photographs'
export * from './notebook/photograph'
export * from './notebook/views/losses'
export * from './notebook/views/account'
export { splitInText, type ResidueSplit } from './notebook/views/residueSplit'
export * from './notebook/views/causes'
export * from './notebook/views/crudeAssay'
export * from './notebook/views/dissolving'
export * from './notebook/views/dryness'
export * from './notebook/views/trials'
export * from './notebook/views/solventLeft'
export * from './notebook/views/vessels'
export { solutionDoubt } from './notebook/views/solutionDoubt'
export { askedOnce } from './notebook/views/askedOnce'
export { weighingDoubts } from './notebook/views/weighingDoubts'
export * from './planning/meltPlan'
export { type CurvePoint, dialCurve, plannedCurve, readCurve } from './planning/curves'
export * from './planning/dialTurns'
export {
  announcementOf,
  estimatedNow,
  misreadingsOf,
  type Misread,
  isSlowPart,
  liveRate,
  meltRateOf,
  type Announcement,
} from './planning/watching'
export { type Move, moveOf, tubesMayGoIn } from './planning/moves'
export { uncapital } from './words'
export { classTasks, tasksOf } from './planning/period/tasksOf'
export type { PeriodBusy, PeriodOpened } from './notebook/kinds/period-opened/kind'
export type { TaskSetAside } from './notebook/kinds/task-set-aside/kind'
export { closePeriod, noteTask, setTaskAside } from './planning/period/acts'
export {
  atTheBench,
  forgottenPeriod,
  periodAt,
  periodBefore,
  type PeriodFacts,
  periodsOf,
} from './planning/period/noted'
export {
  ANEW_EFFORT,
  conduct,
  type Conduct,
  momentOf,
  type PlanBefore,
  secondLook,
} from './planning/period/conduct'
export { setsEnd } from './planning/period/setsEnd'
export { atHand, type AtHand, type Ready, type Running } from './planning/period/atHand'
export { type IfLate, ifLate } from './planning/period/late'
export { type PeriodTerms } from './planning/period/session'
export { HARM, type OwnPace, type PeriodTask, type TaskState, workOf } from './planning/period/task'
export { needsEyes } from './planning/needsEyes'
export * from './notebook/views/instruments'
export * from './notebook/views/learnDial'
export * from './notebook/views/samples'
export * from './notebook/views/repeats'
export * from './notebook/views/rack'
export * from './notebook/views/comparedAs'
export * from './notebook/views/mixtures'
export * from './notebook/views/phaseMap'
export * from './notebook/views/unknowns'
export * from './notebook/views/ranking'
export * from './notebook/views/plates'
export * from './notebook/views/pairs'
export * from './notebook/views/classRanges'
export { summaryOf } from './notebook/views/summary'

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
export {
  candidatesOf,
  keptBackG,
  OWN_POINTS,
  readPoints,
  ruleFields,
  rulesOf,
  shelfPoints,
  solventsFor,
  typedPoints,
  withSecond,
  withSolvent,
  type Draft,
  type DraftField,
  type TypedPoint,
} from './planning/draft'
export { outcomeOf, type Outcome, type Planned } from './planning/planDraft'
export { aboveBoundOf } from './notebook/views/aboveBound'
export { addPortion, isWetting, nextActOf, seePortion, tickStep } from './notebook/acts/steps'
export { beginPrep, fixPlan, nameSample, signVerdict } from './notebook/acts/preps'
export { beginByHand, copyMarks, exchangeMarks, planTheMelt } from './notebook/acts/melts'
export { openCase, signCase } from './notebook/acts/unknowns'
export { measureAgain, recordPlate } from './notebook/acts/plates'
export {
  authenticAtHand,
  EQUAL_BY_EYE,
  grind,
  nextSet,
  packMixedRun,
  packTubes,
  type Grinding,
} from './notebook/acts/samples'
export {
  burningSolventsOf,
  type FlameNear,
  flamesNear,
  isInTheOpen,
  type VapourNear,
  vapoursNear,
} from './planning/flame'
export { plateTrouble } from './chromatography/plateTrouble'
