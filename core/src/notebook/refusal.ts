import { type RawEntry } from './entry'
import Joi from 'joi'
import { shortName, uuid } from './kinds/pieces'
import { KINDS, type Kind } from './kinds/list'
import { portionSeenV1 } from './kinds/portion-seen/schema'
import { solventRemovedV1 } from './kinds/solvent-removed/schema'
import { pipetteCountedV1 } from './kinds/pipette-counted/schema'
import { temperatureReadV1 } from './kinds/temperature-read/schema'
import { rescueTriedV1 } from './kinds/rescue-tried/schema'
import { balancedV1 } from './kinds/balanced/schema'
import { liquorDiscardedV1 } from './kinds/liquor-discarded/schema'
import { reactionNamedV1 } from './kinds/reaction-named/schema'
import { trialSeenV1 } from './kinds/trial-seen/schema'
import { explainedV1 } from './kinds/explained/schema'
import { markMadeV1, markMadeV2 } from './kinds/mark-made/schema'
import { meltPlannedV1, meltPlannedV2 } from './kinds/melt-planned/schema'
import { observedV1 } from './kinds/observed/schema'
import { planFixedV1, planFixedV2 } from './kinds/plan-fixed/schema'
import { prepOpenedV1 } from './kinds/prep-opened/schema'
import { runCommandV1, runCommandV2 } from './kinds/run-command/schema'
import { runEndedV1 } from './kinds/run-ended/schema'
import { runStartedV1, runStartedV2 } from './kinds/run-started/schema'
import { sampleNamedV1, sampleNamedV2, sampleNamedV3 } from './kinds/sample-named/schema'
import { signNamedV1 } from './kinds/sign-named/schema'
import { solventAddedV1, solventAddedV2 } from './kinds/solvent-added/schema'
import { stepTickedV1 } from './kinds/step-ticked/schema'
import { rulesTakenV1 } from './kinds/rules-taken/schema'
import { turnTakenV1 } from './kinds/turn-taken/schema'
import { turnEndedV1 } from './kinds/turn-ended/schema'
import { heatingLoggedV1 } from './kinds/heating-logged/schema'
import { dialLearnedV1 } from './kinds/dial-learned/schema'
import { standardReadV1 } from './kinds/standard-read/schema'
import { thermometerCalibratedV1 } from './kinds/thermometer-calibrated/schema'
import { checkMadeV1 } from './kinds/check-made/schema'
import { tubeNotedV1 } from './kinds/tube-noted/schema'
import { rangeGivenUpV1 } from './kinds/range-given-up/schema'
import { temperatureTypedV1 } from './kinds/temperature-typed/schema'
import { meltDetectedV1 } from './kinds/melt-detected/schema'
import { tubePackedV1 } from './kinds/tube-packed/schema'
import { unknownOpenedV1 } from './kinds/unknown-opened/schema'
import { candidatesListedV1 } from './kinds/candidates-listed/schema'
import { candidateRuledOutV1 } from './kinds/candidate-ruled-out/schema'
import { mixtureGroundV1 } from './kinds/mixture-ground/schema'
import { answerSealedV1 } from './kinds/answer-sealed/schema'
import { answerOpenedV1 } from './kinds/answer-opened/schema'
import { unknownSignedV1 } from './kinds/unknown-signed/schema'
import { plateDevelopedV1 } from './kinds/plate-developed/schema'
import { platePhotographedV1 } from './kinds/plate-photographed/schema'
import { struckV1 } from './kinds/struck/schema'
import { timerStartedV1, timerStartedV2 } from './kinds/timer-started/schema'
import { traceV1, traceV2 } from './kinds/trace/schema'
import { verdictSignedV1, verdictSignedV2 } from './kinds/verdict-signed/schema'
import { weighedV1, weighedV2 } from './kinds/weighed/schema'

/** Bodies by kind and version; old versions stay for ever. */
const BODIES: { readonly [K in Kind]: Readonly<Record<number, Joi.Schema>> } = {
  'prep opened': { 1: prepOpenedV1 },
  'sample named': { 1: sampleNamedV1, 2: sampleNamedV2, 3: sampleNamedV3 },
  weighed: { 1: weighedV1, 2: weighedV2 },
  'plan fixed': { 1: planFixedV1, 2: planFixedV2 },
  'step ticked': { 1: stepTickedV1 },
  'solvent added': { 1: solventAddedV1, 2: solventAddedV2 },
  'timer started': { 1: timerStartedV1, 2: timerStartedV2 },
  observed: { 1: observedV1 },
  'melt planned': { 1: meltPlannedV1, 2: meltPlannedV2 },
  'run started': { 1: runStartedV1, 2: runStartedV2 },
  'run command': { 1: runCommandV1, 2: runCommandV2 },
  trace: { 1: traceV1, 2: traceV2 },
  'mark made': { 1: markMadeV1, 2: markMadeV2 },
  'sign named': { 1: signNamedV1 },
  'run ended': { 1: runEndedV1 },
  'verdict signed': { 1: verdictSignedV1, 2: verdictSignedV2 },
  'portion seen': { 1: portionSeenV1 },
  'solvent removed': { 1: solventRemovedV1 },
  'pipette counted': { 1: pipetteCountedV1 },
  'temperature read': { 1: temperatureReadV1 },
  'rescue tried': { 1: rescueTriedV1 },
  balanced: { 1: balancedV1 },
  'liquor discarded': { 1: liquorDiscardedV1 },
  'reaction named': { 1: reactionNamedV1 },
  'trial seen': { 1: trialSeenV1 },
  explained: { 1: explainedV1 },
  'rules taken': { 1: rulesTakenV1 },
  'turn taken': { 1: turnTakenV1 },
  'turn ended': { 1: turnEndedV1 },
  'heating logged': { 1: heatingLoggedV1 },
  'dial learned': { 1: dialLearnedV1 },
  'standard read': { 1: standardReadV1 },
  'thermometer calibrated': { 1: thermometerCalibratedV1 },
  'check made': { 1: checkMadeV1 },
  'tube noted': { 1: tubeNotedV1 },
  'range given up': { 1: rangeGivenUpV1 },
  'temperature typed': { 1: temperatureTypedV1 },
  'melt detected': { 1: meltDetectedV1 },
  'tube packed': { 1: tubePackedV1 },
  'unknown opened': { 1: unknownOpenedV1 },
  'candidates listed': { 1: candidatesListedV1 },
  'candidate ruled out': { 1: candidateRuledOutV1 },
  'mixture ground': { 1: mixtureGroundV1 },
  'answer sealed': { 1: answerSealedV1 },
  'answer opened': { 1: answerOpenedV1 },
  'unknown signed': { 1: unknownSignedV1 },
  'plate developed': { 1: plateDevelopedV1 },
  'plate photographed': { 1: platePhotographedV1 },
  struck: { 1: struckV1 },
}

const envelope = Joi.object({
  id: uuid
    .pattern(/^.{14}7/)
    .required()
    .messages({ 'string.pattern.base': 'The id of an entry is a UUID of version 7.' }),
  v: Joi.number().integer().min(1).max(10_000).required(),
  ledger: uuid.required(),
  notebook: uuid.required(),
  subject: Joi.alternatives(uuid, shortName).required(),
  kind: Joi.string().min(1).max(60).required(),
  body: Joi.any().required(),
  at: Joi.number().integer().min(0).max(8.64e15).required(),
  author: Joi.string().trim().min(1).max(80).required(),
  device: Joi.string().min(1).max(80).required(),
})

const STRICT: Joi.ValidationOptions = { convert: false, abortEarly: true, errors: { wrap: { label: '“”' } } }
/** A body of a kind this build does not know is kept as it is, up to this size. */
const UNKNOWN_BODY_MOST = 64_000

/**
 * Whether a line may enter the ledger.
 *
 * @returns null when it may, else what is wrong with it, as a sentence
 */
export function refusalOf(raw: unknown): string | null {
  const { error } = envelope.validate(raw, STRICT)
  if (error) return sentence(error)
  const { kind, v, body } = raw as RawEntry
  if (!Object.hasOwn(KINDS, kind) || v > KINDS[kind as Kind].version)
    return JSON.stringify(body).length > UNKNOWN_BODY_MOST
      ? 'This line is of a newer version and too long to keep.'
      : null
  const schema = BODIES[kind as Kind][v]
  if (!schema) return `“${kind}” was never written in version ${v}.`
  const refused = schema.validate(body, STRICT).error
  return refused ? `In “${kind}”: ${sentence(refused)}` : null
}

export function sentence(error: Joi.ValidationError): string {
  const [detail] = error.details
  const said = (detail?.message ?? error.message).replace(/\.$/, '')
  return `${said}.`
}
