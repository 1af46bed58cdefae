import type { SimulatedSample, TubeReading } from '../instruments/reading'
import { meltMin, type Packing } from '../heating/observedRange'
import { type Eutectic, eutectic } from '../melting/eutectic'
import { liquidFractionAbout } from '../melting/meltingRange'
import { lookOfLiquid, type TubeLook } from '../melting/look'
import { nextRandom } from '../math/random'

/** Shells of equal volume a tube is taken as. */
export const SHELLS = 8
/** Shrinking shows this far below the first liquid, °C; drawn per tube between the two. */
const SHRINKS_BEFORE_C = [1, 3] as const

/** Liquid fraction that draws the powder together. */
const SHRINKS_AT_LIQUID = 0.1

export interface TubeState {
  readonly sample: SimulatedSample
  readonly packing: Packing
  readonly eutectic: Eutectic | null
  readonly shrinksBeforeC: number
  /** Lag of each shell behind the block, s; the outermost first, and last the very middle, which has no volume. */
  readonly lagS: readonly number[]
  /** Temperature of each shell, °C; null until the tube is in the block. */
  readonly shellC: readonly number[] | null
  /** Most liquid each shell has held: what has melted stays a melt while it is watched. */
  readonly shellLiquid: readonly number[]
  readonly hasShrunk: boolean
  readonly decomposed: boolean
}

/**
 * A packed tube. Heat comes in from the wall, so the powder is taken as shells of equal volume whose lag
 * grows steeply with their depth, from the lag of the wall to that plus the time it takes to melt through.
 * The last crystal is in the middle.
 *
 * @param sample what is in it: one substance, or two and the mole fraction of the first
 * @param packing fill height mm, grain
 * @param options lag of the wall behind the block in min; seed for when it shrinks
 */
export function createTube(
  sample: SimulatedSample,
  packing: Packing,
  options: { sampleLagMin: number; seed: number },
): TubeState {
  const [least, most] = SHRINKS_BEFORE_C
  const throughS = 60 * meltMin(packing)
  const depths = [...Array.from({ length: SHELLS }, (_, i) => 1 - Math.sqrt(1 - (i + 0.5) / SHELLS)), 1]
  return {
    sample,
    packing,
    eutectic: sample.b ? eutectic(sample.a, sample.b) : null,
    shrinksBeforeC: least + (most - least) * nextRandom(options.seed).value,
    lagS: depths.map((depth) => 60 * options.sampleLagMin + throughS * depth ** 4),
    shellC: null,
    shellLiquid: depths.map(() => 0),
    hasShrunk: false,
    decomposed: false,
  }
}

export function putIn(tube: TubeState, roomC: number): TubeState {
  return tube.shellC ? tube : { ...tube, shellC: tube.lagS.map(() => roomC) }
}

/** One inner step in a block at this temperature. */
export function warm(tube: TubeState, blockC: number, stepS: number): TubeState {
  if (!tube.shellC) return tube
  const shellC = tube.shellC.map(
    (t, i) => t + (blockC - t) * (1 - Math.exp(-stepS / (tube.lagS[i] as number))),
  )
  const shellLiquid = shellC.map((t, i) => Math.max(tube.shellLiquid[i] as number, liquidAt(tube, t)))
  const wallC = shellC[0] as number
  return {
    ...tube,
    shellC,
    shellLiquid,
    hasShrunk: tube.hasShrunk || liquidAt(tube, wallC + tube.shrinksBeforeC) >= SHRINKS_AT_LIQUID,
    decomposed: tube.decomposed || wallC >= (tube.sample.decomposesAtC ?? Infinity),
  }
}

function liquidAt({ sample, eutectic: point }: TubeState, temperatureC: number): number {
  if (!sample.b || !point) return temperatureC >= sample.a.meltingPointC ? 1 : 0
  return liquidFractionAbout(point, sample.a, sample.b, sample.moleFractionA, temperatureC)
}

/** What an eye at the lens sees now. */
export function look(tube: TubeState): TubeReading {
  const liquidFraction = tube.shellLiquid.slice(0, SHELLS).reduce((sum, phi) => sum + phi, 0) / SHELLS
  const shells = tube.shellLiquid.slice(0, SHELLS).map((phi) => Math.round(1000 * phi) / 1000)
  return { look: lookAt(tube, liquidFraction), liquidFraction, shells }
}

function lookAt(tube: TubeState, liquid: number): TubeLook {
  if (!tube.shellC) return 'not in'
  if (tube.decomposed) return 'bubbling'
  // The very middle has no volume, and yet holds the last crystal.
  const all = tube.shellLiquid.every((phi) => phi >= 1)
  const seen = lookOfLiquid(all ? 1 : Math.min(liquid, 1 - Number.EPSILON))
  return seen === 'powder' && tube.hasShrunk ? 'shrunk' : seen
}
