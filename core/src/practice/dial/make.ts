import { type DialPlan, planDial } from '../../heating/planDial'
import { randomSource } from '../../math/random'
import { type BlockState, createBlock } from '../../simulator/block'
import { type BlockCharacter, DIAL_BLOCK } from '../../instruments/characters'
import type { Level } from '../exercise'

/** A block to be brought slowly through a window by its dial. */
export interface DialExercise {
  readonly seed: number
  readonly level: Level
  readonly character: BlockCharacter
  readonly startC: number
  /** Where something is expected to melt, °C. */
  readonly expectedLowC: number
  readonly expectedHighC: number
  /** From here the rate counts, °C: 15 below. */
  readonly fromC: number
  /** The planner’s own way, for a block of this character. */
  readonly plan: DialPlan
}

export const DIAL_RATE = { minCPerMin: 1, maxCPerMin: 2 } as const

const LEAD_C = 15

/** Nobody has longer, min of the block’s time. */
const DIAL_MOST_MIN = 90

/** Above the expected value by so much, and the exercise is over, °C. */
export const OVER_C = 1

/** The same seed, the same block and window; a block is left warm by whoever had it before at the highest level. */
export function dialExercise(seed: number, level: Level): DialExercise {
  const { uniform } = randomSource(seed)
  const within = (share: number) => 1 + share * (2 * uniform() - 1)
  const { dial } = DIAL_BLOCK
  if (!dial) throw new Error('The dial block has a dial.')
  const character: BlockCharacter = {
    ...DIAL_BLOCK,
    coolTimeConstantMin: DIAL_BLOCK.coolTimeConstantMin * within(level === 1 ? 0 : 0.2),
    dial: { ...dial, gain: dial.gain * within(level === 1 ? 0 : 0.15) },
  }
  const expectedLowC = Math.round(85 + 60 * uniform())
  const startC = level === 3 ? 40 + Math.round(15 * uniform()) : character.ambientC
  const expectedHighC = expectedLowC + 1
  return {
    seed,
    level,
    character,
    startC,
    expectedLowC,
    expectedHighC,
    fromC: expectedLowC - LEAD_C,
    plan: planDial({
      model: {
        ambientC: character.ambientC,
        gain: character.dial?.gain ?? 0,
        exponent: character.dial?.exponent ?? 1,
        timeConstantMin: character.coolTimeConstantMin,
      },
      dialStep: dial.step,
      dialMax: dial.max,
      startC,
      expectedLowC,
      expectedHighC,
      leadC: LEAD_C,
      tailC: OVER_C,
      minRate: DIAL_RATE.minCPerMin,
      maxRate: DIAL_RATE.maxCPerMin,
      maxApproachRate: 20,
      dialUse: 'stepped',
    }),
  }
}

/** The simulated block of an exercise, cold or as it was left. */
export function startDial({ character, seed, startC }: DialExercise): BlockState {
  return createBlock(character, seed, { blockC: startC })
}

/** Whether it is over: past the value, or out of time. */
export function isDialOver({ expectedHighC }: DialExercise, atS: number, shownC: number): boolean {
  return shownC >= expectedHighC + OVER_C || atS >= 60 * DIAL_MOST_MIN
}
