export * from './exercises'
export type { Level, PlayedAt, Score } from './exercise'
export { lensAbout, LENS_EXERCISES, type LensExercise } from './lens/exercises'
export { type MeltExercise, meltExercise, startMelt } from './lens/make'
export { truthAfter, type TubeTruth } from './lens/truth'
export { markWithinC, scoreMarks } from './lens/marks'
export { scoreLens } from './lens/score'
export { isJobRight, type SmallJob, smallJobs } from './lens/jobs'
export { DIAL_RATE, dialExercise, type DialExercise, isDialOver, startDial } from './dial/make'
export { scoreDial } from './dial/score'
export { flameExercise, type FlameExercise, startFlame } from './flame/make'
export { scoreFlame, type TypedReading, whenShown } from './flame/score'
export { dissolveExercise } from './dissolve/make'
export {
  type FlaskCommand,
  type FlaskLook,
  lookAtFlask,
  passFlask,
  PORTIONS_ML,
  startFlask,
} from './dissolve/flask'
export { type Called, scorePortions } from './dissolve/score'
export { onThePanG, PAN_ITEMS, type PanItem, startBalance, weighExercise } from './balance/make'
export { scoreWeighing } from './balance/score'
export { verdictExercise, type VerdictExercise } from './verdict/make'
export { scoreVerdict } from './verdict/score'
export type { Cause } from './verdict/stories'
export { mixtureExercise, type MixtureExercise, mixtureRun } from './mixture/make'
export { plannersRuns, rankedAfter } from './mixture/planner'
export { scoreMixture } from './mixture/score'
export { orderExercise, type OrderExercise } from './order/make'
export { inOrder, type Ordered } from './order/inOrder'
export { bestOrder, scoreOrder } from './order/score'
export { type SeenLine, wrongExercise, type WrongExercise } from './wrong/make'
export { type Accused, scoreWrong } from './wrong/score'
export { MISTAKES, SCENES } from './wrong/mistakes/mistakes'
export { type LetteredSolvent, solventExercise, type SolventExercise } from './solvent/make'
export { scoreSolvent } from './solvent/score'
export { type Eye, eyeOf, eyeSentence, isEyeWithin } from './eye'
export {
  nextUp,
  pathOf,
  placeOnPath,
  type Progress,
  progressOf,
  ruleOf,
  type Seeing,
  seeingOf,
  yourEye,
} from './progress'
export { MADE_LIMITS, MADE_ON, MADE_RATES, type MadeExercise, meltOfMade } from './lens/made'
export { codeOf, madeFromCode } from './lens/code'
export { type Practical, type PracticalResults, practicalTube, resultsTable, triedTubes } from './practical'
export { PRACTICE, type MarkedTube, type PracticeDone } from '../notebook/kinds/practice-done/kind'
export { VERDICTS } from '../judging/judgement'
export { forTubes, forUnknowns } from './compounds'
