import type { Subjects } from './defineKind'
import { type BodyOf, entryKind, type ListedKind } from './entryKind'
import { prepOpened } from './prep-opened/kind'
import { sampleNamed } from './sample-named/kind'
import { weighed } from './weighed/kind'
import { planFixed } from './plan-fixed/kind'
import { stepTicked } from './step-ticked/kind'
import { solventAdded } from './solvent-added/kind'
import { timerStarted } from './timer-started/kind'
import { observed } from './observed/kind'
import { meltPlanned } from './melt-planned/kind'
import { runStarted } from './run-started/kind'
import { runCommand } from './run-command/kind'
import { trace } from './trace/kind'
import { markMade } from './mark-made/kind'
import { signNamed } from './sign-named/kind'
import { runEnded } from './run-ended/kind'
import { verdictSigned } from './verdict-signed/kind'
import { portionSeen } from './portion-seen/kind'
import { solventRemoved } from './solvent-removed/kind'
import { pipetteCounted } from './pipette-counted/kind'
import { temperatureRead } from './temperature-read/kind'
import { rescueTried } from './rescue-tried/kind'
import { balanced } from './balanced/kind'
import { liquorDiscarded } from './liquor-discarded/kind'
import { reactionNamed } from './reaction-named/kind'
import { trialSeen } from './trial-seen/kind'
import { explained } from './explained/kind'
import { rulesTaken } from './rules-taken/kind'
import { turnTaken } from './turn-taken/kind'
import { turnEnded } from './turn-ended/kind'
import { heatingLogged } from './heating-logged/kind'
import { dialLearned } from './dial-learned/kind'
import { standardRead } from './standard-read/kind'
import { thermometerCalibrated } from './thermometer-calibrated/kind'
import { checkMade } from './check-made/kind'
import { tubeNoted } from './tube-noted/kind'
import { rangeGivenUp } from './range-given-up/kind'
import { temperatureTyped } from './temperature-typed/kind'
import { meltDetected } from './melt-detected/kind'
import { tubePacked } from './tube-packed/kind'
import { unknownOpened } from './unknown-opened/kind'
import { candidatesListed } from './candidates-listed/kind'
import { candidateRuledOut } from './candidate-ruled-out/kind'
import { mixtureGround } from './mixture-ground/kind'
import { answerSealed } from './answer-sealed/kind'
import { answerOpened } from './answer-opened/kind'
import { unknownSigned } from './unknown-signed/kind'
import { plateDeveloped } from './plate-developed/kind'
import { platePhotographed } from './plate-photographed/kind'
import { periodOpened } from './period-opened/kind'
import { taskNoted } from './task-noted/kind'
import { taskSetAside } from './task-set-aside/kind'
import { periodClosed } from './period-closed/kind'
import { photographed } from './photographed/kind'
import { practiceDone } from './practice-done/kind'
import { struck } from './struck/kind'

/** Every kind of entry, a line each: what it says, and where its schemas are when a line has to be checked. */
const LIST = [
  entryKind(prepOpened, () => import('./prep-opened/schema')),
  entryKind(sampleNamed, () => import('./sample-named/schema')),
  entryKind(weighed, () => import('./weighed/schema')),
  entryKind(planFixed, () => import('./plan-fixed/schema')),
  entryKind(stepTicked, () => import('./step-ticked/schema')),
  entryKind(solventAdded, () => import('./solvent-added/schema')),
  entryKind(timerStarted, () => import('./timer-started/schema')),
  entryKind(observed, () => import('./observed/schema')),
  entryKind(meltPlanned, () => import('./melt-planned/schema')),
  entryKind(runStarted, () => import('./run-started/schema')),
  entryKind(runCommand, () => import('./run-command/schema')),
  entryKind(trace, () => import('./trace/schema')),
  entryKind(markMade, () => import('./mark-made/schema')),
  entryKind(signNamed, () => import('./sign-named/schema')),
  entryKind(runEnded, () => import('./run-ended/schema')),
  entryKind(verdictSigned, () => import('./verdict-signed/schema')),
  entryKind(portionSeen, () => import('./portion-seen/schema')),
  entryKind(solventRemoved, () => import('./solvent-removed/schema')),
  entryKind(pipetteCounted, () => import('./pipette-counted/schema')),
  entryKind(temperatureRead, () => import('./temperature-read/schema')),
  entryKind(rescueTried, () => import('./rescue-tried/schema')),
  entryKind(balanced, () => import('./balanced/schema')),
  entryKind(liquorDiscarded, () => import('./liquor-discarded/schema')),
  entryKind(reactionNamed, () => import('./reaction-named/schema')),
  entryKind(trialSeen, () => import('./trial-seen/schema')),
  entryKind(explained, () => import('./explained/schema')),
  entryKind(rulesTaken, () => import('./rules-taken/schema')),
  entryKind(turnTaken, () => import('./turn-taken/schema')),
  entryKind(turnEnded, () => import('./turn-ended/schema')),
  entryKind(heatingLogged, () => import('./heating-logged/schema')),
  entryKind(dialLearned, () => import('./dial-learned/schema')),
  entryKind(standardRead, () => import('./standard-read/schema')),
  entryKind(thermometerCalibrated, () => import('./thermometer-calibrated/schema')),
  entryKind(checkMade, () => import('./check-made/schema')),
  entryKind(tubeNoted, () => import('./tube-noted/schema')),
  entryKind(rangeGivenUp, () => import('./range-given-up/schema')),
  entryKind(temperatureTyped, () => import('./temperature-typed/schema')),
  entryKind(meltDetected, () => import('./melt-detected/schema')),
  entryKind(tubePacked, () => import('./tube-packed/schema')),
  entryKind(unknownOpened, () => import('./unknown-opened/schema')),
  entryKind(candidatesListed, () => import('./candidates-listed/schema')),
  entryKind(candidateRuledOut, () => import('./candidate-ruled-out/schema')),
  entryKind(mixtureGround, () => import('./mixture-ground/schema')),
  entryKind(answerSealed, () => import('./answer-sealed/schema')),
  entryKind(answerOpened, () => import('./answer-opened/schema')),
  entryKind(unknownSigned, () => import('./unknown-signed/schema')),
  entryKind(plateDeveloped, () => import('./plate-developed/schema')),
  entryKind(platePhotographed, () => import('./plate-photographed/schema')),
  entryKind(periodOpened, () => import('./period-opened/schema')),
  entryKind(taskNoted, () => import('./task-noted/schema')),
  entryKind(taskSetAside, () => import('./task-set-aside/schema')),
  entryKind(periodClosed, () => import('./period-closed/schema')),
  entryKind(photographed, () => import('./photographed/schema')),
  entryKind(practiceDone, () => import('./practice-done/schema')),
  entryKind(struck, () => import('./struck/schema')),
] as const

type Listed = (typeof LIST)[number]
/** The kinds of entry and the bodies this build writes. */
export type Bodies = { readonly [D in Listed as D['kind']]: BodyOf<D> }
export type Kind = keyof Bodies
/** What lines of each kind are about. */
export type About = { readonly [D in Listed as D['kind']]: Subjects[D['about']] }

export const KINDS = Object.fromEntries(LIST.map((listed) => [listed.kind, listed])) as unknown as {
  readonly [K in Kind]: ListedKind<Bodies[K]>
}
