import type { Reading } from '../units'
import { nextRandom } from '../math/random'

/** A simulated balance's own character. */
export interface BalanceCharacter {
  readonly name: string
  readonly readabilityG: number
  readonly maxG: number
  /** How fast the display follows what is put on, s. */
  readonly settleS: number
  /** Slow wandering of the zero, g per minute. */
  readonly driftGPerMin: number
  readonly noiseG: number
}
/** Plain state of a simulated balance. */
export interface BalanceState {
  readonly character: BalanceCharacter
  readonly seed: number
  readonly seconds: number
  readonly loadG: number
  /** What the pan feels, following the load. */
  readonly feltG: number
  readonly zeroG: number
  readonly driftG: number
  /** Digits of the last readings, for the sign of rest. */
  readonly shown: readonly string[]
}
export interface BalanceReading {
  readonly display: Reading
  /** The last readings lie within one step of the readability: the reading may be taken. */
  readonly stable: boolean
  readonly overloaded: boolean
}
export type BalanceCommand = { readonly kind: 'load'; readonly g: number } | { readonly kind: 'tare' }

const STEP_S = 0.25
const STABLE_AFTER = 4

export function createBalance(character: BalanceCharacter, seed: number): BalanceState {
  return { character, seed, seconds: 0, loadG: 0, feltG: 0, zeroG: 0, driftG: 0, shown: [] }
}

/**
 * Lets time pass: the pan settles toward the load, the zero drifts, the display rounds to the readability.
 * Same seed and commands, same readings.
 *
 * @param seconds in steps of a quarter second
 */
export function passBalance(
  state: BalanceState,
  commands: readonly BalanceCommand[],
  seconds: number,
): { readonly state: BalanceState; readonly reading: BalanceReading } {
  let now = commands.reduce(command, state)
  for (let passed = 0; passed < seconds - 1e-9; passed += STEP_S) now = step(now)
  return { state: now, reading: readingOf(now) }
}

function command(state: BalanceState, what: BalanceCommand): BalanceState {
  return what.kind === 'load'
    ? { ...state, loadG: what.g, shown: [] }
    : { ...state, zeroG: state.feltG + state.driftG, shown: [] }
}

function step(state: BalanceState): BalanceState {
  const { character } = state
  const drawn = nextRandom(state.seed)
  const wander = nextRandom(drawn.state)
  const next = {
    ...state,
    seed: wander.state,
    seconds: state.seconds + STEP_S,
    feltG: state.loadG + (state.feltG - state.loadG) * Math.exp(-STEP_S / character.settleS),
    driftG: state.driftG + character.driftGPerMin * (STEP_S / 60) * (2 * wander.value - 1) * 4,
  }
  const noise = character.noiseG * (2 * drawn.value - 1)
  const text = rounded(next.feltG + next.driftG - next.zeroG + noise, character.readabilityG)
  return { ...next, shown: [...state.shown.slice(1 - STABLE_AFTER), text] }
}

function readingOf({ shown, character, loadG }: BalanceState): BalanceReading {
  const text = shown[shown.length - 1] ?? rounded(0, character.readabilityG)
  return {
    display: { text, value: Number(text) },
    stable: shown.length === STABLE_AFTER && spreadOf(shown) <= 1.5 * character.readabilityG,
    overloaded: loadG > character.maxG,
  }
}

function spreadOf(shown: readonly string[]): number {
  const values = shown.map(Number)
  return Math.max(...values) - Math.min(...values)
}

function rounded(g: number, readabilityG: number): string {
  const decimals = Math.max(0, Math.round(-Math.log10(readabilityG)))
  const text = (Math.round(g / readabilityG) * readabilityG).toFixed(decimals)
  return Number(text) === 0 ? (0).toFixed(decimals) : text
}

/** The simulated balance of the demo bench, likewise. */
export const TEACHING_BALANCE: BalanceCharacter = {
  name: 'teaching balance',
  readabilityG: 0.001,
  maxG: 220,
  settleS: 0.7,
  driftGPerMin: 0.0002,
  noiseG: 0.0003,
}
