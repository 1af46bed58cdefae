import { randomSource } from '../math/random'
import { ImpossibleInput } from '../problems'
import { solubilityAt, type SolubilityPoint } from '../solubility/solubilityAt'
import type { Level } from './meltExercise'
import type { Score } from './exercises'

/** A crude to be dissolved in hot portions; solid and solvent are made up. */
export interface DissolveExercise {
  readonly seed: number
  readonly level: Level
  readonly crudeG: number
  /** What of it dissolves, and what never does, g. */
  readonly solubleG: number
  readonly gritG: number
  readonly boilsC: number
  readonly meltsC: number
  readonly points: readonly SolubilityPoint[]
  /** The least that dissolves it at the boil, mL. */
  readonly leastML: number
}
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
const TRIAL_PORTIONS = 2
/** The trial may cost so much: this share of the least, or two of the smallest portions, mL. */
const TRIAL_SHARE = 0.15
/** A vessel takes no more, mL. */
export const FLASK_MOST_ML = 100
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
/** Of what was earned this much is left where the solid melted dry. */
const SPOILT = 0.3
/** Less solid than this share of the crude cannot be seen. */
const UNSEEN_SHARE = 0.01
const PLATE_C = 140

export function dissolveExercise(seed: number, level: Level): DissolveExercise {
  const { uniform } = randomSource(seed)
  const boilsC = [78, 82, 100][Math.floor(3 * uniform())] ?? 78
  const crudeG = Math.round(100 * (1.2 + (level === 1 ? 1 : 2.8) * uniform())) / 100
  const hasGrit = level === 1 ? uniform() < 0.3 : uniform() < 0.6
  const gritG = hasGrit ? Math.round(1000 * crudeG * (0.02 + 0.03 * uniform())) / 1000 : 0
  const hot = 8 + 14 * uniform()
  const points: readonly SolubilityPoint[] = [
    [5, hot * (0.03 + 0.04 * uniform())],
    [boilsC, hot],
  ]
  const solubleG = crudeG - gritG
  return {
    seed,
    level,
    crudeG,
    solubleG,
    gritG,
    boilsC,
    meltsC: boilsC + 15 + Math.round(20 * uniform()),
    points,
    leastML: (100 * solubleG) / hot,
  }
}

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
    throw new ImpossibleInput('bad-duration', 'The flask goes on by whole seconds.')
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
      throw new ImpossibleInput('unknown-command', 'That cannot be done to a flask.')
  }
}

function poured(state: FlaskState, mL: number): FlaskState {
  if (!(mL > 0)) throw new ImpossibleInput('bad-volume', 'A portion is more than nothing.')
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

/** What the learner says when done: all is in solution, or what is left is grit and the liquid comes off it hot. */
export type Called = 'all dissolved' | 'what is left is grit'

/**
 * The dissolving, against the least hot solvent that would have done.
 */
export function scorePortions(state: FlaskState, called: Called): Score {
  const { exercise, addedML, chasedML, hasOiled } = state
  const leftG = exercise.solubleG - state.dissolvedG
  const isDone = leftG <= UNSEEN_SHARE * exercise.crudeG
  const isRightCall = (called === 'what is left is grit') === exercise.gritG > 0
  const isLean = addedML <= leanML(state)
  const isGood = isDone && isRightCall && isLean && chasedML === 0 && !hasOiled
  const earned =
    (isDone ? 0.4 : 0.4 * Math.max(0, 1 - leftG / exercise.solubleG)) +
    (isRightCall ? 0.2 : 0) +
    (isDone ? 0.3 * Math.max(0, 1 - Math.max(0, addedML / leanML(state) - 1)) : 0) +
    (hasOiled ? 0 : 0.1)
  return {
    isGood,
    // What melted dry on the plate is spoilt, however lean the rest.
    share: hasOiled ? SPOILT * earned : earned,
    sentence: portionsSentence(state, called, { leftG, isDone, isRightCall }),
    compared: [
      {
        what: 'solvent poured, beside the least',
        you: `${addedML.toFixed(1)} mL`,
        was: `${exercise.leastML.toFixed(1)} mL`,
        isRight: isLean && isDone,
      },
      {
        what: 'still to dissolve as you called it',
        you: called,
        was: isDone ? (exercise.gritG > 0 ? 'grit only' : 'nothing') : `${leftG.toFixed(2)} g`,
        isRight: isDone && isRightCall,
      },
      {
        what: 'poured after two portions had changed nothing',
        you: `${chasedML.toFixed(1)} mL`,
        was: '0.0 mL',
        isRight: chasedML === 0,
      },
      { what: 'heated dry', you: hasOiled ? 'yes' : 'no', was: 'no', isRight: !hasOiled },
    ],
  }
}

function portionsSentence(
  state: FlaskState,
  called: Called,
  { leftG, isDone, isRightCall }: { leftG: number; isDone: boolean; isRightCall: boolean },
): string {
  const { exercise, addedML, chasedML, hasOiled } = state
  if (hasOiled)
    return `The solid stood dry on the plate and melted at about ${exercise.meltsC} °C: a little solvent goes in before the heat.`
  if (!isDone && called === 'what is left is grit')
    return `What was left was not grit: ${leftG.toFixed(2)} g of it would still have dissolved. Swirl at the boil, and pour once more: grit is what two portions do not change.`
  if (!isDone)
    return `${leftG.toFixed(2)} g was still solid as you called it. Wait at the boil and swirl before the next portion, and before the last word.`
  if (chasedML > 0)
    return `${chasedML.toFixed(1)} mL more went after grit once two portions had changed nothing: it never dissolves, and the liquor keeps ${((chasedML * coldOf(exercise)) / 100).toFixed(2)} g more of the product in the cold.`
  if (!isRightCall)
    return exercise.gritG > 0
      ? 'There were specks left that no portion changed: grit. The liquid is taken off it hot, or it comes down with the crystals.'
      : 'There was no grit: all of it had gone. A filtering too many costs product on the paper.'
  if (addedML > leanML(state))
    return `${addedML.toFixed(1)} mL where ${exercise.leastML.toFixed(1)} would do: smaller portions near the end, and half a minute at the boil after each.`
  return `Just dissolved, in ${addedML.toFixed(1)} mL where ${exercise.leastML.toFixed(1)} is the least.`
}

/** As lean as it can be done in portions: a fifth above the least or the smallest portion, and the trial, mL. */
function leanML({ exercise: { leastML }, triedML }: FlaskState): number {
  const trialMost = Math.max(TRIAL_PORTIONS * PORTIONS_ML[0], TRIAL_SHARE * leastML)
  return Math.max(1.2 * leastML, leastML + PORTIONS_ML[0]) + Math.min(triedML, trialMost)
}
/** g per 100 mL in the ice. */
const coldOf = ({ points }: DissolveExercise) => solubilityAt(points, 5).gPer100ML
