import { bisect } from '../math/bisect'
import {
  type CrystallizationInput,
  type CrystallizationPlan,
  planCrystallization,
} from './planCrystallization'
import type { Solvent } from '../substances/shelf'
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
  if (hot(poor) >= hot(good)) throw swapped()
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
    if (high > POOR_AT_MOST_TIMES * goodML) throw neverClouds()
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

function swapped(): ImpossibleInput {
  return new ImpossibleInput(
    'not-miscible',
    'The second solvent dissolves more than the first when hot. Were the two swapped?',
  )
}

function neverClouds(): ImpossibleInput {
  return new ImpossibleInput(
    'not-miscible',
    'The second solvent would not make the solution cloudy: it dissolves too much itself.',
  )
}

/** Shares of the first solvent that make a pair: outside them one of the two hardly counts. */
const SHARE_OF_FIRST = { least: 0.15, most: 0.85, step: 0.01 } as const
/** Mixture for a gram of crude, mL: what is worked with gladly, and what can be at all. */
const ML_PER_G = { glad: [4, 20], possible: [1.5, 40] } as const
/** A smaller volume is worth so much of the product. */
const RECOVERY_FOR_VOLUME = 0.02

/**
 * The pair to propose: its proportion is chosen for what comes back and for a volume to work with, between 15 and 85 %
 * of the first solvent. Of the proportions that come within 2 % of the best recovery, the one that needs
 * least. More of the first solvent is taken than just dissolves the product, since a solution that is nearly saturated
 * clouds with the first drops.
 *
 * @param input as `planSolventPair`, which works out the pair with the excess chosen here
 * @throws ImpossibleInput where no such proportion gives a volume to work with, saying which way it fails
 * @example proposedSolventPair(cinnamicAcidFromEthanolAndWater).goodVolumeFraction // 0.62
 */
export function proposedSolventPair(input: Omit<SolventPairInput, 'excess'>): SolventPairPlan {
  const { good, poor, hotC, coldC, assay, productFusionKJPerMol } = input
  const ln = (points: readonly SolubilityPoint[], c: number) =>
    Math.log(solubilityAt(points, c, productFusionKJPerMol).gPer100ML)
  const [goodHot, poorHot] = [ln(good, hotC), ln(poor, hotC)]
  const [goodCold, poorCold] = [ln(good, coldC), ln(poor, coldC)]
  if (poorHot >= goodHot) throw swapped()
  if (goodHot - poorHot <= 1 / SHARE_OF_FIRST.most) throw neverClouds()
  const shares: { readonly share: number; readonly mlPerG: number; readonly recovery: number }[] = []
  // Below this share more of the second solvent dissolves more: it would have clouded before.
  const least = Math.max(SHARE_OF_FIRST.least, 1 / (goodHot - poorHot) + SHARE_OF_FIRST.step)
  for (let share: number = SHARE_OF_FIRST.most; share >= least - 1e-9; share -= SHARE_OF_FIRST.step) {
    const hot = share * goodHot + (1 - share) * poorHot
    const cold = share * goodCold + (1 - share) * poorCold
    shares.push({ share, mlPerG: (100 * assay) / Math.exp(hot), recovery: 1 - Math.exp(cold - hot) })
  }
  const within = ([from, to]: readonly [number, number]) =>
    shares.filter(({ mlPerG }) => mlPerG >= from && mlPerG <= to)
  const fitting = [within(ML_PER_G.glad), within(ML_PER_G.possible)].find((some) => some.length > 0)
  if (!fitting)
    throw new ImpossibleInput(
      'no-pair',
      shares.every(({ mlPerG }) => mlPerG < ML_PER_G.possible[0])
        ? 'No proportion of the two leaves enough mother liquor: the second solvent dissolves it too well. Choose a poorer second solvent.'
        : 'No proportion of the two works as a pair: it needs hardly any of the second solvent, or more than 40 mL per gram. Choose another second solvent.',
    )
  const best = Math.max(...fitting.map(({ recovery }) => recovery))
  const [chosen] = fitting
    .filter(({ recovery }) => recovery >= best - RECOVERY_FOR_VOLUME)
    .sort((p, q) => p.mlPerG - q.mlPerG)
  const share = chosen?.share ?? SHARE_OF_FIRST.most
  const excess = share * Math.exp((1 - share) * (goodHot - poorHot)) - 1
  return planSolventPair({ ...input, excess })
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
        : `Water and ${organic.name} mix only in part and would form two layers.`
  for (const [alkane, organic] of [
    [one, other],
    [other, one],
  ] as const)
    if (alkane.group === 'alkane' && PARTS_FROM_ALKANES.includes(organic.id))
      return `${organic.name} and ${alkane.name} mix only in part when cold. Try a drop of each first.`
  return null
}
