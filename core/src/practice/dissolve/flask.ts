import { ImpossibleInput } from '../../problems'
import { solubilityAt } from '../../solubility/solubilityAt'
import type { DissolveExercise } from './make'

export interface FlaskState {
  readonly exercise: DissolveExercise
  readonly seconds: number
  readonly volumeML: number
  readonly temperatureC: number
  readonly dissolvedG: number
  readonly isOnPlate: boolean
  /** Seconds of swirling still to come. */
  readonly swirlS: number
  /** Poured in all, mL; some boils away. */
  readonly addedML: number
  /** Portions poured since nothing but grit was left: the first two are how one finds out. */
  readonly portionsOnGrit: number
  /** What those two came to, mL, and what went in after them. */
  readonly triedML: number
  readonly chasedML: number
  /** Dry on the plate, s in all; from the plate’s heat it melts. */
  readonly dryS: number
  readonly hasOiled: boolean
}

export type FlaskCommand =
  | { readonly kind: 'portion'; readonly mL: number }
  | { readonly kind: 'swirl' }
  | { readonly kind: 'on the plate' }
  | { readonly kind: 'off the plate' }

/** What an eye sees of it. */
export interface FlaskLook {
  readonly volumeML: number
  readonly temperatureC: number
  readonly boils: boolean
  readonly isSwirling: boolean
  /** Solid there as a share of the crude, grit and all, 0 to 1; what is below a hundredth cannot be seen. */
  readonly solidShare: number
  readonly gritShare: number
  readonly looks: 'dry' | 'melted dry' | 'slurry' | 'specks' | 'clear'
}

/** What so many portions do not change is grit. */
export const TRIAL_PORTIONS = 2

/** A vessel takes no more, mL. */
const FLASK_MOST_ML = 100

export const PORTIONS_ML = [0.5, 1, 2, 5] as const

const ROOM_C = 22

const PORTION_C_BELOW_BOILING = 4

/** How fast solid dissolves toward what the solvent can take, s; left alone it takes as much longer. */
const DISSOLVES_S = 9

const LEFT_ALONE = 5

const WARMS_S = 25

const COOLS_S = 240

const BOILS_AWAY_ML_PER_S = 0.001

const SWIRL_S = 5

/** So long on the plate without solvent, and it melts. */
const MELTS_DRY_S = 25

/** Less solid than this share of the crude cannot be seen. */
export const UNSEEN_SHARE = 0.01

const PLATE_C = 140

/** The solid, dry, in its flask beside the plate. */
export function startFlask(exercise: DissolveExercise): FlaskState {
  return {
    exercise,
    seconds: 0,
    volumeML: 0,
    temperatureC: ROOM_C,
    dissolvedG: 0,
    isOnPlate: false,
    swirlS: 0,
    addedML: 0,
    portionsOnGrit: 0,
    triedML: 0,
    chasedML: 0,
    dryS: 0,
    hasOiled: false,
  }
}

/**
 * Gives the commands, then lets whole seconds pass. Same state, commands and seconds, same flask.
 *
 * @throws ImpossibleInput on a portion of nothing, one that does not go in, seconds that are not whole
 */
export function passFlask(state: FlaskState, commands: readonly FlaskCommand[], seconds: number): FlaskState {
  if (!Number.isInteger(seconds) || seconds < 0)
    throw new ImpossibleInput('bad-duration', 'The flask advances in whole seconds.')
  let now = commands.reduce(obey, state)
  for (let second = 0; second < seconds; second++) now = step(now)
  return now
}

function obey(state: FlaskState, command: FlaskCommand): FlaskState {
  switch (command.kind) {
    case 'portion':
      return poured(state, command.mL)
    case 'swirl':
      return { ...state, swirlS: SWIRL_S }
    case 'on the plate':
      return { ...state, isOnPlate: true }
    case 'off the plate':
      return { ...state, isOnPlate: false }
    default:
      throw new ImpossibleInput('unknown-command', 'A flask has no such action.')
  }
}

function poured(state: FlaskState, mL: number): FlaskState {
  if (!(mL > 0)) throw new ImpossibleInput('bad-volume', 'A portion is more than 0 mL.')
  if (state.volumeML + mL > FLASK_MOST_ML)
    throw new ImpossibleInput('bad-volume', `The flask holds ${FLASK_MOST_ML} mL.`)
  const { exercise, volumeML, temperatureC } = state
  const hotC = exercise.boilsC - PORTION_C_BELOW_BOILING
  const mixedC =
    volumeML === 0 ? (ROOM_C + 3 * hotC) / 4 : (temperatureC * volumeML + hotC * mL) / (volumeML + mL)
  const isOnGrit = isOnlyGrit(state)
  const isTrial = isOnGrit && state.portionsOnGrit < TRIAL_PORTIONS
  return {
    ...state,
    volumeML: volumeML + mL,
    addedML: state.addedML + mL,
    temperatureC: mixedC,
    portionsOnGrit: state.portionsOnGrit + (isOnGrit ? 1 : 0),
    triedML: state.triedML + (isTrial ? mL : 0),
    chasedML: state.chasedML + (isOnGrit && !isTrial ? mL : 0),
  }
}

/** All that can dissolve has, to what an eye can tell. */
function isOnlyGrit({ exercise, dissolvedG }: FlaskState): boolean {
  return exercise.solubleG - dissolvedG <= UNSEEN_SHARE * exercise.crudeG
}

function step(state: FlaskState): FlaskState {
  const { exercise, volumeML, isOnPlate } = state
  const seconds = state.seconds + 1
  if (volumeML <= 0) {
    const towards = isOnPlate ? PLATE_C : ROOM_C
    const dryS = state.dryS + (isOnPlate ? 1 : 0)
    return {
      ...state,
      seconds,
      dryS,
      temperatureC: state.temperatureC + (towards - state.temperatureC) / WARMS_S,
      hasOiled: state.hasOiled || dryS >= MELTS_DRY_S,
    }
  }
  const towards = isOnPlate ? exercise.boilsC + 6 : ROOM_C
  const temperatureC = Math.min(
    exercise.boilsC,
    state.temperatureC + (towards - state.temperatureC) / (isOnPlate ? WARMS_S : COOLS_S),
  )
  const canHoldG = (volumeML * solubilityAt(exercise.points, temperatureC).gPer100ML) / 100
  const goal = Math.min(exercise.solubleG, canHoldG)
  const slower = state.swirlS > 0 || temperatureC >= exercise.boilsC - 0.5 ? 1 : LEFT_ALONE
  const dissolvedG = state.dissolvedG + (goal - state.dissolvedG) / (DISSOLVES_S * slower)
  const boils = isOnPlate && temperatureC >= exercise.boilsC - 0.5
  return {
    ...state,
    seconds,
    temperatureC,
    dissolvedG,
    swirlS: Math.max(0, state.swirlS - 1),
    volumeML: Math.max(0.01, volumeML - (boils ? BOILS_AWAY_ML_PER_S : 0)),
  }
}

export function lookAtFlask(state: FlaskState): FlaskLook {
  const { exercise, volumeML, temperatureC, dissolvedG } = state
  const left = (exercise.solubleG - dissolvedG) / exercise.crudeG
  const gritShare = exercise.gritG / exercise.crudeG
  const solidShare = (left > UNSEEN_SHARE ? left : 0) + gritShare
  return {
    volumeML,
    temperatureC,
    boils: state.isOnPlate && volumeML > 0 && temperatureC >= exercise.boilsC - 0.5,
    isSwirling: state.swirlS > 0,
    solidShare,
    gritShare,
    looks:
      volumeML <= 0
        ? state.hasOiled
          ? 'melted dry'
          : 'dry'
        : solidShare === 0
          ? 'clear'
          : solidShare <= 0.06
            ? 'specks'
            : 'slurry',
  }
}
