export { beginByHand, copyMarks, exchangeMarks, planTheMelt } from './acts/melts'
export { measureAgain, recordPlate } from './acts/plates'
export { beginPrep, fixPlan, nameSample, signVerdict } from './acts/preps'
export {
  EQUAL_BY_EYE,
  type Grinding,
  authenticAtHand,
  grind,
  nextSet,
  packMixedRun,
  packTubes,
} from './acts/samples'
export { addPortion, isWetting, nextActOf, seePortion, tickStep } from './acts/steps'
export { openCase, signCase } from './acts/unknowns'
export { idMs, latestOf, nextId } from './clock'
export type { Answer, Entry, KnownEntry, Line, RawEntry, StoredEntry } from './entry'
export { areOlder, EMPTY_VIEW, type View, fold, upcast } from './fold'
export { bodyRefusal } from './kinds/bodyRefusal'
export { CANDIDATES_MOST } from './kinds/candidates-listed/kind'
export type { DialLearned } from './kinds/dial-learned/kind'
export { type Bodies, KINDS, type Kind } from './kinds/list'
export { MOMENTS, type Moment } from './kinds/mark-made/kind'
export type { MeltPlanned, PlannedTube } from './kinds/melt-planned/kind'
export type { PeriodBusy, PeriodOpened } from './kinds/period-opened/kind'
export type { PlanFixed, PlannedPair } from './kinds/plan-fixed/kind'
export {
  type PlateDeveloped,
  SPOT_SHAPES,
  type SpotShape,
  VISUALIZED,
  type Visualized,
} from './kinds/plate-developed/kind'
export { PORTION_EFFECTS } from './kinds/portion-seen/kind'
export type { Simulation } from './kinds/run-started/kind'
export type { SampleRole } from './kinds/sample-named/kind'
export { SIGN_WORDS, type SignWord } from './kinds/sign-named/kind'
export type { TaskSetAside } from './kinds/task-set-aside/kind'
export { TUBE_NOTES } from './kinds/tube-noted/kind'
export { type Weighed, weighingOf } from './kinds/weighed/kind'
export {
  PHOTOGRAPH_BYTES_MOST,
  PHOTOGRAPH_PX_MOST,
  PHOTOGRAPH_SHOWS,
  type PhotographShows,
  jpegTrouble,
} from './photograph'
export { firstLine, latestLine, linesOf } from './read'
export { sentenceOf } from './sentence'
export { aboveBoundOf } from './views/aboveBound'
export { type Account, type AccountRow, accountOf } from './views/account'
export { askedOnce } from './views/askedOnce'
export { type Oddity, discardQuestion, odditiesOf, ownWordsOf } from './views/causes'
export { type ClassLadder, classLadders } from './views/classRanges'
export { comparedAs } from './views/comparedAs'
export { crudeAssayOf } from './views/crudeAssay'
export { dissolvingOf, pipetteOf } from './views/dissolving'
export { drynessOf } from './views/dryness'
export { hydrateOf } from './views/hydrate'
export {
  BENCH,
  type Turn,
  calibrationFrom,
  calibrationOf,
  calibrationPointOf,
  dialOf,
  heatingsOf,
  houseRulesOf,
  isOutsideLogged,
  standardsOf,
  turnsOf,
} from './views/instruments'
export { judgementOf, judgementOfUnknown } from './views/judgement'
export { type LabelFacts, type Labelled, labelsOf } from './views/labels'
export { dialFrom, heatingsInRuns } from './views/learnDial'
export { type LogLine, caseLogOf, inShort, linesBehind, logOf } from './views/log'
export { lossesOf } from './views/losses'
export {
  type Mark,
  type MeltFacts,
  isUnderWay,
  markOf,
  meltIdsWith,
  meltOf,
  meltsOf,
  swappedSlots,
} from './views/melt'
export { heatedAsItBehaves } from './views/meltBehaviour'
export { type MixtureFacts, isComplete, rowsOfSample } from './views/mixtures'
export { type PairFacts, pairOf } from './views/pairs'
export { phaseMapOf } from './views/phaseMap'
export { photographsOf, picturesIn } from './views/photographs'
export { type PlateFacts, plateOf, platesOf } from './views/plates'
export {
  PUT_ASIDE_WITHIN,
  type PrepFacts,
  type SampleFacts,
  isDone,
  massOf,
  prepOf,
  prepsOf,
  putAsideOf,
  recoveryOf,
  sampleOf,
  solventSoFarML,
  stepThat,
} from './views/prep'
export { type RackTube, rackOf, tubeRunInput } from './views/rack'
export {
  type RangeRow,
  correctedRange,
  judgedRange,
  latestRange,
  meltRangesOf,
  rangesOf,
} from './views/ranges'
export {
  type CaseForRanking,
  candidateFrom,
  caseForRanking,
  compoundsWithin,
  disagreementOf,
  doubtsBeforeSigning,
  plateProposal,
  windowFor,
} from './views/ranking'
export { readingsOf } from './views/readings'
export { repeatsOf } from './views/repeats'
export { splitInText } from './views/residueSplit'
export { type NamedSample, expectedOf, sampleNamedAs, samplesNamed } from './views/samples'
export { solutionDoubt } from './views/solutionDoubt'
export { solventLeft } from './views/solventLeft'
export { isStale } from './views/stale'
export { type StationState, nextStep, stationsOf } from './views/stations'
export { summaryOf } from './views/summary'
export { type Timer, timersInUse, timersInUseOf, timersOf } from './views/timers'
export { type TrialFacts, trialsOf } from './views/trials'
export {
  CASE_STATIONS,
  type CandidateFacts,
  type UnknownFacts,
  areMixturesDone,
  caseStationsOf,
  nextInCase,
  openedAfterSigning,
  unknownOf,
  unknownsOf,
} from './views/unknowns'
export { vesselsOf } from './views/vessels'
export { weighingDoubts } from './views/weighingDoubts'
