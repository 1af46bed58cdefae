export * from './exercises'
export type { Compared, ExerciseAbout, Level, PlayedAt, Score } from './exercise'
export { lensAbout, LENS_EXERCISES, type LensExercise } from './lens/exercises'
export { type MeltExercise, meltExercise, startMelt } from './lens/make'
export { truthAfter, type TubeTruth } from './lens/truth'
export { markWithinC, scoreMarks, type MarksScore } from './lens/marks'
export { scoreLens } from './lens/score'
export { isJobRight, type SmallJob, smallJobs } from './lens/jobs'
export { DIAL_RATE, dialExercise, type DialExercise, isDialOver, startDial } from './dial/make'
export { scoreDial } from './dial/score'
export { flameExercise, type FlameExercise, startFlame } from './flame/make'
export { DIVISION_C, scoreFlame, type TypedReading, whenShown } from './flame/score'
export { dissolveExercise, type DissolveExercise } from './dissolve/make'
export {
  FLASK_MOST_ML,
  type FlaskCommand,
  type FlaskLook,
  type FlaskState,
  lookAtFlask,
  passFlask,
  PORTIONS_ML,
  startFlask,
} from './dissolve/flask'
export { type Called, scorePortions } from './dissolve/score'
export {
  onThePanG,
  PAN_ITEMS,
  type PanItem,
  startBalance,
  weighExercise,
  type WeighExercise,
} from './balance/make'
export { scoreWeighing } from './balance/score'
export { verdictExercise, type VerdictExercise } from './verdict/make'
export { scoreVerdict, type VerdictSaid } from './verdict/score'
export type { Cause } from './verdict/stories'
export { mixtureExercise, type MixtureExercise, mixtureRun } from './mixture/make'
export { plannersRuns, rankedAfter } from './mixture/planner'
export { scoreMixture } from './mixture/score'
export { orderExercise, type OrderExercise } from './order/make'
export { inOrder, type Ordered } from './order/inOrder'
export { bestOrder, scoreOrder } from './order/score'
export { type SeenLine, wrongExercise, type WrongExercise } from './wrong/make'
export { type Accused, scoreWrong } from './wrong/score'
export { MISTAKES, type Mistake, SCENES } from './wrong/mistakes/mistakes'
export { type LetteredSolvent, solventExercise, type SolventExercise } from './solvent/make'
export { scoreSolvent } from './solvent/score'
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
export { MADE_LIMITS, MADE_ON, MADE_RATES, type MadeExercise, meltOfMade } from './lens/made'
export { codeOf, madeFromCode } from './lens/code'
export { type Practical, type PracticalResults, practicalTube, resultsTable, triedTubes } from './practical'
export { PRACTICE, type MarkedTube, type PracticeDone } from '../notebook/kinds/practice-done/kind'
export { VERDICTS } from '../judging/judgement'
export { forTubes, forUnknowns } from './compounds'
