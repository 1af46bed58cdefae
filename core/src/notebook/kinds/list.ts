import { unknownOpened, type UnknownOpened } from './unknown-opened/kind'
import { candidatesListed, type CandidatesListed } from './candidates-listed/kind'
import { candidateRuledOut, type CandidateRuledOut } from './candidate-ruled-out/kind'
import { mixtureGround, type MixtureGround } from './mixture-ground/kind'
import { answerSealed, type AnswerSealed } from './answer-sealed/kind'
import { answerOpened, type AnswerOpened } from './answer-opened/kind'
import { unknownSigned, type UnknownSigned } from './unknown-signed/kind'
import { plateDeveloped, type PlateDeveloped } from './plate-developed/kind'
import { platePhotographed, type PlatePhotographed } from './plate-photographed/kind'
import { tubePacked, type TubePacked } from './tube-packed/kind'
import { rulesTaken, type RulesTaken } from './rules-taken/kind'
import { turnTaken, type TurnTaken } from './turn-taken/kind'
import { turnEnded, type TurnEnded } from './turn-ended/kind'
import { heatingLogged, type HeatingLogged } from './heating-logged/kind'
import { dialLearned, type DialLearned } from './dial-learned/kind'
import { standardRead, type StandardRead } from './standard-read/kind'
import { thermometerCalibrated, type ThermometerCalibrated } from './thermometer-calibrated/kind'
import { checkMade, type CheckMade } from './check-made/kind'
import { tubeNoted, type TubeNoted } from './tube-noted/kind'
import { rangeGivenUp, type RangeGivenUp } from './range-given-up/kind'
import { temperatureTyped, type TemperatureTyped } from './temperature-typed/kind'
import { meltDetected, type MeltDetected } from './melt-detected/kind'
import { portionSeen, type PortionSeen } from './portion-seen/kind'
import { solventRemoved, type SolventRemoved } from './solvent-removed/kind'
import { pipetteCounted, type PipetteCounted } from './pipette-counted/kind'
import { temperatureRead, type TemperatureRead } from './temperature-read/kind'
import { rescueTried, type RescueTried } from './rescue-tried/kind'
import { balanced, type Balanced } from './balanced/kind'
import { liquorDiscarded, type LiquorDiscarded } from './liquor-discarded/kind'
import { reactionNamed, type ReactionNamed } from './reaction-named/kind'
import { trialSeen, type TrialSeen } from './trial-seen/kind'
import { explained, type Explained } from './explained/kind'
import { markMade, type MarkMade } from './mark-made/kind'
import { meltPlanned, type MeltPlanned } from './melt-planned/kind'
import { observed, type Observed } from './observed/kind'
import { planFixed, type PlanFixed } from './plan-fixed/kind'
import { prepOpened, type PrepOpened } from './prep-opened/kind'
import { runCommand, type RunCommand } from './run-command/kind'
import { runEnded, type RunEnded } from './run-ended/kind'
import { runStarted, type RunStarted } from './run-started/kind'
import { sampleNamed, type SampleNamed } from './sample-named/kind'
import { signNamed, type SignNamed } from './sign-named/kind'
import { solventAdded, type SolventAdded } from './solvent-added/kind'
import { stepTicked, type StepTicked } from './step-ticked/kind'
import { struck, type Struck } from './struck/kind'
import { timerStarted, type TimerStarted } from './timer-started/kind'
import { trace, type Trace } from './trace/kind'
import { verdictSigned, type VerdictSigned } from './verdict-signed/kind'
import { weighed, type Weighed } from './weighed/kind'
import type { KindDefinition } from './defineKind'

/** The kinds of entry and the bodies this build writes. */
export interface Bodies {
  'prep opened': PrepOpened
  'sample named': SampleNamed
  weighed: Weighed
  'plan fixed': PlanFixed
  'step ticked': StepTicked
  'solvent added': SolventAdded
  'timer started': TimerStarted
  observed: Observed
  'melt planned': MeltPlanned
  'run started': RunStarted
  'run command': RunCommand
  trace: Trace
  'mark made': MarkMade
  'sign named': SignNamed
  'run ended': RunEnded
  'verdict signed': VerdictSigned
  'portion seen': PortionSeen
  'solvent removed': SolventRemoved
  'pipette counted': PipetteCounted
  'temperature read': TemperatureRead
  'rescue tried': RescueTried
  balanced: Balanced
  'liquor discarded': LiquorDiscarded
  'reaction named': ReactionNamed
  'trial seen': TrialSeen
  explained: Explained
  'rules taken': RulesTaken
  'turn taken': TurnTaken
  'turn ended': TurnEnded
  'heating logged': HeatingLogged
  'dial learned': DialLearned
  'standard read': StandardRead
  'thermometer calibrated': ThermometerCalibrated
  'check made': CheckMade
  'tube noted': TubeNoted
  'range given up': RangeGivenUp
  'temperature typed': TemperatureTyped
  'melt detected': MeltDetected
  'tube packed': TubePacked
  'unknown opened': UnknownOpened
  'candidates listed': CandidatesListed
  'candidate ruled out': CandidateRuledOut
  'mixture ground': MixtureGround
  'answer sealed': AnswerSealed
  'answer opened': AnswerOpened
  'unknown signed': UnknownSigned
  'plate developed': PlateDeveloped
  'plate photographed': PlatePhotographed
  struck: Struck
}
export type Kind = keyof Bodies

export const KINDS: { readonly [K in Kind]: KindDefinition<Bodies[K]> } = {
  'prep opened': prepOpened,
  'sample named': sampleNamed,
  weighed,
  'plan fixed': planFixed,
  'step ticked': stepTicked,
  'solvent added': solventAdded,
  'timer started': timerStarted,
  observed,
  'melt planned': meltPlanned,
  'run started': runStarted,
  'run command': runCommand,
  trace,
  'mark made': markMade,
  'sign named': signNamed,
  'run ended': runEnded,
  'verdict signed': verdictSigned,
  'portion seen': portionSeen,
  'solvent removed': solventRemoved,
  'pipette counted': pipetteCounted,
  'temperature read': temperatureRead,
  'rescue tried': rescueTried,
  balanced,
  'liquor discarded': liquorDiscarded,
  'reaction named': reactionNamed,
  'trial seen': trialSeen,
  explained,
  'rules taken': rulesTaken,
  'turn taken': turnTaken,
  'turn ended': turnEnded,
  'heating logged': heatingLogged,
  'dial learned': dialLearned,
  'standard read': standardRead,
  'thermometer calibrated': thermometerCalibrated,
  'check made': checkMade,
  'tube noted': tubeNoted,
  'range given up': rangeGivenUp,
  'temperature typed': temperatureTyped,
  'melt detected': meltDetected,
  'tube packed': tubePacked,
  'unknown opened': unknownOpened,
  'candidates listed': candidatesListed,
  'candidate ruled out': candidateRuledOut,
  'mixture ground': mixtureGround,
  'answer sealed': answerSealed,
  'answer opened': answerOpened,
  'unknown signed': unknownSigned,
  'plate developed': plateDeveloped,
  'plate photographed': platePhotographed,
  struck,
}
