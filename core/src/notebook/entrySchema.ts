import Joi from 'joi'
import type { RawEntry } from '../contract'
import { shortName, uuid } from './commonSchema'
import { KINDS, type Kind } from './kinds'
import { portionSeenV1 } from './portion-seen/schema'
import { solventRemovedV1 } from './solvent-removed/schema'
import { pipetteCountedV1 } from './pipette-counted/schema'
import { temperatureReadV1 } from './temperature-read/schema'
import { rescueTriedV1 } from './rescue-tried/schema'
import { balancedV1 } from './balanced/schema'
import { liquorDiscardedV1 } from './liquor-discarded/schema'
import { reactionNamedV1 } from './reaction-named/schema'
import { trialSeenV1 } from './trial-seen/schema'
import { explainedV1 } from './explained/schema'
import { markMadeV1 } from './mark-made/schema'
import { meltPlannedV1 } from './melt-planned/schema'
import { observedV1 } from './observed/schema'
import { planFixedV1, planFixedV2 } from './plan-fixed/schema'
import { prepOpenedV1 } from './prep-opened/schema'
import { runCommandV1 } from './run-command/schema'
import { runEndedV1 } from './run-ended/schema'
import { runStartedV1 } from './run-started/schema'
import { sampleNamedV1, sampleNamedV2 } from './sample-named/schema'
import { signNamedV1 } from './sign-named/schema'
import { solventAddedV1, solventAddedV2 } from './solvent-added/schema'
import { stepTickedV1 } from './step-ticked/schema'
import { struckV1 } from './struck/schema'
import { timerStartedV1, timerStartedV2 } from './timer-started/schema'
import { traceV1 } from './trace/schema'
import { verdictSignedV1 } from './verdict-signed/schema'
import { weighedV1, weighedV2 } from './weighed/schema'

/** Bodies by kind and version; old versions stay for ever. */
const BODIES: { readonly [K in Kind]: Readonly<Record<number, Joi.Schema>> } = {
  'prep opened': { 1: prepOpenedV1 },
  'sample named': { 1: sampleNamedV1, 2: sampleNamedV2 },
  weighed: { 1: weighedV1, 2: weighedV2 },
  'plan fixed': { 1: planFixedV1, 2: planFixedV2 },
  'step ticked': { 1: stepTickedV1 },
  'solvent added': { 1: solventAddedV1, 2: solventAddedV2 },
  'timer started': { 1: timerStartedV1, 2: timerStartedV2 },
  observed: { 1: observedV1 },
  'melt planned': { 1: meltPlannedV1 },
  'run started': { 1: runStartedV1 },
  'run command': { 1: runCommandV1 },
  trace: { 1: traceV1 },
  'mark made': { 1: markMadeV1 },
  'sign named': { 1: signNamedV1 },
  'run ended': { 1: runEndedV1 },
  'verdict signed': { 1: verdictSignedV1 },
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
