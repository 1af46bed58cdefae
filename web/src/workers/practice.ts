import type { Conventions } from '@ivory-crystal/core/conventions'
import type { BlockCommand, BlockReading } from '@ivory-crystal/core/instruments'
import { advance, type BlockState } from '@ivory-crystal/core/simulator'
import {
  bestOrder,
  type DialExercise,
  type FlameExercise,
  type MeltExercise,
  type MixtureExercise,
  type OrderExercise,
  plannersRuns,
  startDial,
  startFlame,
  startMelt,
  truthAfter,
  type TubeTruth,
} from '@ivory-crystal/core/practice'

/** Something heated, of one of three sorts. */
export type Heated =
  | { readonly what: 'tubes'; readonly exercise: MeltExercise }
  | { readonly what: 'block'; readonly exercise: DialExercise }
  | { readonly what: 'oil'; readonly exercise: FlameExercise }

/** What came of some seconds. */
export interface Passed {
  readonly readings: readonly BlockReading[]
  /** What the tubes have come to with the last of them. */
  readonly truth: readonly TubeTruth[]
}
/** Nothing of an exercise takes longer, s of the instrument. */
const MOST_S = 4 * 3600

let state: BlockState | null = null
let truth: readonly TubeTruth[] = []
let onset: Conventions['onsetRule'] = 'distinct drop'

function pass(seconds: number, commands: readonly BlockCommand[]): Passed {
  if (!state) return { readings: [], truth: [] }
  const next = advance(state, commands, seconds)
  state = next.state
  for (const reading of next.readings) truth = truthAfter(truth, reading, onset)
  return { readings: next.readings, truth }
}

/** The simulated instruments of the exercises, and what takes long enough to be worked out beside the screen. */
export const practice = {
  /** Answers once it has been fetched and runs. */
  isThere: () => true,
  /** An exercise is put; the one before it is gone. */
  begin(heated: Heated, onsetRule: Conventions['onsetRule']): void {
    state =
      heated.what === 'tubes'
        ? startMelt(heated.exercise)
        : heated.what === 'block'
          ? startDial(heated.exercise)
          : startFlame(heated.exercise)
    truth = []
    onset = onsetRule
  },
  pass,
  /** On to where every tube is clear, however long that takes; nothing of it was seen. */
  toTheEnd(): Passed {
    const readings: BlockReading[] = []
    while (
      state &&
      state.sample < MOST_S &&
      !(truth.length > 0 && truth.every(({ allC }) => allC !== null))
    ) {
      const { readings: more } = pass(30, [])
      const last = more.at(-1)
      if (last) readings.push(last)
      if (last?.phase === 'holding') break
    }
    return { readings, truth }
  },
  plannersRuns: (exercise: MixtureExercise) => plannersRuns(exercise),
  bestOrder: (exercise: OrderExercise) => bestOrder(exercise),
}
export type Practice = typeof practice
