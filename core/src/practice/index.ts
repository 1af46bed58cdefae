export * from './exercises'
export {
  LENS_EXERCISES,
  type LensExercise,
  type Level,
  type MeltExercise,
  meltExercise,
  startMelt,
} from './meltExercise'
export { truthAfter, type TubeTruth } from './truth'
export { markWithinC, scoreMarks, type MarksScore } from './scoreMarks'
export { scoreLens } from './lens'
export { isJobRight, type SmallJob, smallJobs } from './smallJobs'
export { DIAL_RATE, dialExercise, type DialExercise, isDialOver, scoreDial, startDial } from './dial'
export {
  DIVISION_C,
  flameExercise,
  type FlameExercise,
  scoreFlame,
  startFlame,
  type TypedReading,
  whenShown,
} from './flame'
export {
  type Called,
  dissolveExercise,
  type DissolveExercise,
  FLASK_MOST_ML,
  type FlaskCommand,
  type FlaskLook,
  type FlaskState,
  lookAtFlask,
  passFlask,
  PORTIONS_ML,
  scorePortions,
  startFlask,
} from './dissolve'
export {
  onThePanG,
  PAN_ITEMS,
  type PanItem,
  scoreWeighing,
  startBalance,
  weighExercise,
  type WeighExercise,
} from './weigh'
export { type Cause, scoreVerdict, verdictExercise, type VerdictExercise, type VerdictSaid } from './verdict'
export {
  mixtureExercise,
  type MixtureExercise,
  mixtureRun,
  plannersRuns,
  rankedAfter,
  scoreMixture,
} from './mixture'
export { bestOrder, inOrder, orderExercise, type OrderExercise, type Ordered, scoreOrder } from './outOnTime'
export { type Accused, scoreWrong, type SeenLine, wrongExercise, type WrongExercise } from './wrongHere'
export { MISTAKES, type Mistake, SCENES } from './mistakes/mistakes'
export { type LetteredSolvent, scoreSolvent, solventExercise, type SolventExercise } from './solventChoice'
export { type Eye, type EyeEnd, eyeOf, eyeSentence, isEyeWithin } from './eye'
export {
  nextUp,
  openPracticals,
  type NextUp,
  pathOf,
  placeOnPath,
  practiceLines,
  type Progress,
  progressOf,
  ruleOf,
  type Seeing,
  seeingOf,
  yourEye,
} from './progress'
export { codeOf, MADE_LIMITS, MADE_ON, MADE_RATES, type MadeExercise, madeFromCode, meltOfMade } from './made'
export { type Practical, type PracticalResults, practicalTube, resultsTable, triedTubes } from './practical'
export { PRACTICE, type MarkedTube, type PracticeDone } from '../notebook/kinds/practice-done/kind'
export { VERDICTS } from '../judging/judgement'
export { forTubes, forUnknowns } from './compounds'
