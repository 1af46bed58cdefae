export { type CurvePoint, dialCurve, plannedCurve, readCurve } from './curves'
export { dialSettingAt, nextTurn } from './dialTurns'
export {
  type Draft,
  type DraftField,
  OWN_POINTS,
  type TypedPoint,
  candidatesOf,
  keptBackG,
  readPoints,
  ruleFields,
  rulesOf,
  shelfPoints,
  solventsFor,
  typedPoints,
  withSecond,
  withSolvent,
} from './draft'
export {
  type FlameNear,
  type VapourNear,
  burningSolventsOf,
  flamesNear,
  isInTheOpen,
  vapoursNear,
} from './flame'
export { meltCautions } from './meltCautions'
export { eutecticOf, planMelt, unknownAmong } from './meltPlan'
export { type Move, moveOf, tubesMayGoIn } from './moves'
export { needsEyes } from './needsEyes'
export { notLookedAt } from './notLookedAt'
export { closePeriod, noteTask, setTaskAside } from './period/acts'
export { type AtHand, type Ready, type Running, atHand } from './period/atHand'
export { ANEW_EFFORT, type PeriodPlan, type EarlierPlan, replanPeriod, secondLook } from './period/replan'
export { type IfLate, ifLate } from './period/late'
export {
  type PeriodFacts,
  atTheBench,
  forgottenPeriod,
  periodAt,
  periodBefore,
  periodsOf,
} from './period/periodFacts'
export type { PeriodTerms } from './period/session'
export { setsEnd } from './period/setsEnd'
export { HARM, type PeriodTask } from './period/task'
export { classTasks, tasksOf } from './period/tasksOf'
export { type Outcome, type Planned, outcomeOf } from './planDraft'
export { whyThisSolvent } from './reasons'
export { estimatedNow, isSlowPart, liveRate, meltRateOf, misreadingsOf } from './watching'
