import type { Grain } from '../../heating/observedRange'
import { randomSource } from '../../math/random'
import { eutectic } from '../../melting/eutectic'
import { meltingRange } from '../../melting/meltingRange'
import { fusionOf } from '../../substances/fusionOf'
import type { Compound } from '../../substances/shelf'
import { type BlockState, createBlock, advance } from '../../simulator/block'
import { type BlockCharacter, PROGRAMMABLE_BLOCK } from '../../instruments/characters'
import { createTube } from '../../simulator/tube'
import type { SimulatedSample } from '../../instruments/reading'
import type { Level } from '../exercise'
import { lensAbout, type LensExercise } from './exercises'

interface PracticeTube {
  readonly slot: 1 | 2 | 3
  readonly sample: SimulatedSample
  readonly fillMm: number
  readonly grain: Grain
  readonly colour: string
  /** What was in it, told with the answer. */
  readonly was: string
  readonly seed: number
}

/** One exercise as it is put to a learner: data and a seed, the same seed the same tubes. */
export interface MeltExercise {
  readonly exercise: LensExercise
  readonly seed: number
  readonly level: Level
  readonly tubes: readonly PracticeTube[]
  /** Where the block stands when the tubes are in, °C. */
  readonly startC: number
  readonly rateCPerMin: number
  /** It is heated no further, °C. */
  readonly stopC: number
  /** The simulated instrument; the programmable block where none is named. */
  readonly character?: BlockCharacter
}

/** The block starts this far below the first thing to be seen, °C: drawn, so that nobody can count on it. */
const BEFORE_C: readonly [number, number] = [2, 5]

/** The learner sees shrinking this far below the first liquid at most, °C. */
export const SHRINKS_MOST_C = 3

const ABOVE_C = 4

/**
 * The tubes of an exercise at the lens, and how they are heated.
 *
 * @param compounds to draw from: each once an exercise, and another as what does not belong there
 * @param seed whole number; the same seed gives the same tubes
 */
export function meltExercise(
  exercise: LensExercise,
  compounds: readonly Compound[],
  seed: number,
  level: Level,
): MeltExercise {
  const { uniform } = randomSource(seed)
  const between = ([least, most]: readonly [number, number]) => least + (most - least) * uniform()
  const pick = <T>(from: readonly T[]): T => from[Math.floor(uniform() * from.length)] as T
  const about = lensAbout(exercise)
  const count = about.tubes
  const of = count > 1 ? closeTogether(compounds, pick) : [pick(compounds)]
  const tubes = Array.from({ length: count }, (_, i): PracticeTube => {
    const compound = of[i % of.length] as Compound
    const drawn = between(about.impurity)
    const other = pick(compounds.filter(({ id }) => id !== compound.id))
    const impurity =
      about.impurityOf === 'eutectic'
        ? drawn * (1 - eutectic(fusionOf(compound), fusionOf(other)).moleFractionA)
        : drawn
    const isPure = impurity < 0.001
    return {
      slot: (count === 1 ? 2 : i + 1) as PracticeTube['slot'],
      sample: {
        a: fusionOf(compound),
        b: isPure ? null : fusionOf(other),
        moleFractionA: isPure ? 1 : 1 - impurity,
      },
      fillMm: level === 1 ? 2 : 2 + Math.round(uniform()),
      grain: level === 3 && uniform() < 0.5 ? 'coarse' : 'fine',
      colour: compound.colour,
      was: isPure
        ? `${compound.name}, pure`
        : `${compound.name} with ${(100 * impurity).toFixed(impurity < 0.01 ? 1 : 0)} mol % of ${other.name}`,
      seed: Math.floor(uniform() * 2 ** 31),
    }
  })
  const first = Math.min(...tubes.map(firstSeenC))
  const last = Math.max(...tubes.map(({ sample }) => sample.a.meltingPointC))
  return {
    exercise,
    seed,
    level,
    tubes,
    startC: Math.round(first - SHRINKS_MOST_C - between(BEFORE_C)),
    rateCPerMin: about.rateCPerMin[level],
    stopC: Math.ceil(last + ABOVE_C),
  }
}

/** Compounds that melt near each other, so that three tubes want one pair of eyes. */
function closeTogether(
  compounds: readonly Compound[],
  pick: <T>(from: readonly T[]) => T,
): readonly Compound[] {
  const first = pick(compounds)
  return [...compounds]
    .sort((p, q) => Math.abs(p.meltHighC - first.meltHighC) - Math.abs(q.meltHighC - first.meltHighC))
    .slice(0, 3)
}

/** Where the powder can first be seen to change, °C: a tenth of it liquid, and shrinking comes before that. */
export function firstSeenC({ sample: { a, b, moleFractionA } }: Pick<PracticeTube, 'sample'>): number {
  return b ? meltingRange(a, b, moleFractionA, { visibleLiquidFraction: 0.1 }).onsetC : a.meltingPointC
}

/** The simulated block of an exercise, its tubes in and its heating begun. */
export function startMelt(exercise: MeltExercise): BlockState {
  const { tubes, startC, rateCPerMin, stopC, seed, character: on = PROGRAMMABLE_BLOCK } = exercise
  const character = { ...on, rates: [...on.rates, rateCPerMin] }
  const block = createBlock(character, seed, {
    blockC: startC,
    tubes: tubes.map(({ sample, fillMm, grain, seed: own }) =>
      createTube(sample, { fillMm, grain }, { sampleLagMin: character.sampleLagMin, seed: own }),
    ),
  })
  const warmed = block.tubes.map((tube) => ({ ...tube, shellC: tube.lagS.map(() => startC) }))
  return advance({ ...block, tubes: warmed }, [{ kind: 'ramp', toC: stopC, rateCPerMin }], 0).state
}
