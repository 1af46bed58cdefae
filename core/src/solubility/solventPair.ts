import { bisect } from '../math/bisect'
import {
  type CrystallizationInput,
  type CrystallizationPlan,
  planCrystallization,
} from './planCrystallization'
import type { Solvent } from '../reference/shelf'
import { solubilityAt, type SolubilityPoint } from './solubilityAt'
import { ImpossibleInput } from '../problems'

/** A better and a poorer solvent that mix: dissolved hot in the first, the second added to cloudiness. */
export interface SolventPairInput {
  readonly crudeG: number
  readonly assay: number
  readonly good: readonly SolubilityPoint[]
  readonly poor: readonly SolubilityPoint[]
  readonly productFusionKJPerMol?: number | undefined
  readonly hotC: number
  readonly coldC: number
  /** Good solvent beyond the least hot volume, as a fraction of it. */
  readonly excess: number
  readonly washML: number
}
export interface SolventPairPlan {
  readonly goodML: number
  readonly poorML: number
  readonly goodVolumeFraction: number
  /** The one-solvent plan of the mixture, its points mixed log-linearly. */
  readonly input: CrystallizationInput
  readonly plan: CrystallizationPlan
}

/** More of the second solvent than this many times the first is not a pair any more. */
const POOR_AT_MOST_TIMES = 40

/**
 * Crystallization from two solvents that mix: dissolved hot in a little more than the least of the good one,
 * the poor one added hot until it just clouds, then cooled.
 *
 * Solubility in the mixture is mixed log-linearly by volume, ln S = f·ln S_good + (1 − f)·ln S_poor
 * (Yalkowsky and Roseman 1981). Real pairs bend away from it: a rough guide, and shown as such. Nothing is
 * assumed of the impurity but that it stays dissolved.
 *
 * @param input solubilities g per 100 mL, volumes mL, temperatures °C
 * @throws ImpossibleInput when the second solvent is no poorer than the first, or never clouds it
 * @example planSolventPair({ crudeG: 1, assay: 1, good: [[20, 10], [70, 40]], poor: [[20, 0.05], [70, 0.3]], hotC: 70, coldC: 20, excess: 0.1, washML: 0 }).poorML // 1.53
 */
export function planSolventPair(input: SolventPairInput): SolventPairPlan {
  const { good, poor, hotC, crudeG, assay, washML, coldC, productFusionKJPerMol } = input
  const hot = (points: readonly SolubilityPoint[]) =>
    solubilityAt(points, hotC, productFusionKJPerMol).gPer100ML
  if (hot(poor) >= hot(good))
    throw new ImpossibleInput(
      'not-miscible',
      'The second solvent dissolves more than the first when hot: were the two swapped?',
    )
  const productG = assay * crudeG
  const goodML = ((100 * productG) / hot(good)) * (1 + input.excess)
  const spareG = (poorML: number) => {
    const fraction = goodML / (goodML + poorML)
    const mixed = Math.exp(fraction * Math.log(hot(good)) + (1 - fraction) * Math.log(hot(poor)))
    return (mixed * (goodML + poorML)) / 100 - productG
  }
  let low = 0
  let high = goodML / 100
  while (spareG(high) > 0) {
    low = high
    high *= 1.5
    if (high > POOR_AT_MOST_TIMES * goodML)
      throw new ImpossibleInput(
        'not-miscible',
        'The second solvent would not cloud the solution: it dissolves too much itself.',
      )
  }
  const poorML = bisect((ml) => spareG(ml) <= 0, low, high)
  const goodVolumeFraction = goodML / (goodML + poorML)
  const mixture = {
    crudeG,
    assay,
    product: mixedPoints(input, goodVolumeFraction),
    hotC,
    coldC,
    washML,
    excess: 0,
  }
  return { goodML, poorML, goodVolumeFraction, input: mixture, plan: planCrystallization(mixture) }
}

/** Solubility of the mixture at every temperature either curve has a point at, and at both ends of the plan. */
function mixedPoints(input: SolventPairInput, fraction: number): readonly SolubilityPoint[] {
  const temperatures = new Set([
    input.hotC,
    input.coldC,
    ...input.good.map(([c]) => c),
    ...input.poor.map(([c]) => c),
  ])
  const at = (points: readonly SolubilityPoint[], c: number) =>
    Math.log(solubilityAt(points, c, input.productFusionKJPerMol).gPer100ML)
  return [...temperatures]
    .sort((p, q) => p - q)
    .map((c) => [c, Math.exp(fraction * at(input.good, c) + (1 - fraction) * at(input.poor, c))] as const)
}

/** Solvents of these groups part from alkanes when cold. */
const PARTS_FROM_ALKANES: readonly string[] = ['methanol', 'ethanol-95', 'acetonitrile', 'acetic-acid']

/**
 * Whether two solvents mix, as far as the shelf can tell.
 *
 * @returns null when nothing speaks against it, else the sentence
 */
export function miscibilityDoubt(one: Solvent, other: Solvent): string | null {
  if (one.id === other.id) return 'That is the same solvent twice.'
  for (const [water, organic] of [
    [one, other],
    [other, one],
  ] as const)
    if (water.group === 'water' && organic.waterMiscible !== 'full')
      return organic.waterMiscible === 'no'
        ? `Water and ${organic.name} do not mix.`
        : `Water and ${organic.name} mix only in part: it would form two layers.`
  for (const [alkane, organic] of [
    [one, other],
    [other, one],
  ] as const)
    if (alkane.group === 'alkane' && PARTS_FROM_ALKANES.includes(organic.id))
      return `${organic.name} and ${alkane.name} mix only in part when cold: try a drop of each first.`
  return null
}
