import { randomSource } from '../../math/random'
import { fusionOf } from '../../substances/fusionOf'
import type { Compound } from '../../substances/shelf'
import { type BlockState, createBlock } from '../../simulator/block'
import { OIL_BATH_TUBE } from '../../instruments/characters'
import { createTube } from '../../simulator/tube'
import type { SimulatedSample } from '../../instruments/reading'
import type { Level } from '../exercise'

/** A tube beside a thermometer that is read by eye, over a flame that is moved. */
export interface FlameExercise {
  readonly seed: number
  readonly level: Level
  readonly sample: SimulatedSample
  readonly colour: string
  readonly was: string
  readonly fillMm: number
  readonly startC: number
  /** Where the flame stands as it begins. */
  readonly dial: number
  readonly tubeSeed: number
  readonly stopC: number
}

/** The oil is not for more, °C. */
const MELTS_UP_TO_C = 140

/** The flame as it is found would bring the oil so far above where it stands, °C: the more, the sooner it must be moved. */
const AHEAD_C: Readonly<Record<Level, number>> = { 1: 20, 2: 36, 3: 52 }

export function flameExercise(compounds: readonly Compound[], seed: number, level: Level): FlameExercise {
  const { uniform } = randomSource(seed)
  const low = compounds.filter(({ meltHighC }) => meltHighC <= MELTS_UP_TO_C)
  const compound = low[Math.floor(uniform() * low.length)]
  if (!compound) throw new Error('No compound on the practice list melts low enough for the oil.')
  const { dial } = OIL_BATH_TUBE
  const { meltingPointC } = fusionOf(compound)
  const startC = Math.round(meltingPointC - 9 - 4 * uniform())
  const stands = dial
    ? dial.step *
      Math.ceil(
        ((startC - OIL_BATH_TUBE.ambientC + AHEAD_C[level]) / dial.gain) ** (1 / dial.exponent) / dial.step,
      )
    : 0
  return {
    seed,
    level,
    sample: { a: fusionOf(compound), b: null, moleFractionA: 1 },
    colour: compound.colour,
    was: compound.name,
    fillMm: 2 + Math.round(uniform()),
    startC,
    dial: Math.min(dial?.max ?? 0, stands),
    tubeSeed: Math.floor(uniform() * 2 ** 31),
    stopC: Math.ceil(meltingPointC) + 12,
  }
}

export function startFlame({ sample, fillMm, startC, dial, seed, tubeSeed }: FlameExercise): BlockState {
  const tube = createTube(
    sample,
    { fillMm, grain: 'fine' },
    { sampleLagMin: OIL_BATH_TUBE.sampleLagMin, seed: tubeSeed },
  )
  const block = createBlock(OIL_BATH_TUBE, seed, {
    blockC: startC,
    tubes: [{ ...tube, shellC: tube.lagS.map(() => startC) }],
  })
  return { ...block, dial, phase: dial > 0 ? 'heating' : 'idle' }
}
