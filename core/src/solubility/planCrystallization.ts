import { type SolubilityAt, solubilityAt, type SolubilityPoint } from './solubilityAt'
import { ImpossibleInput, requireFraction, requireNumber, requireTemperature } from '../problems'

export interface CrystallizationInput {
  readonly crudeG: number
  /** Mass fraction of product in the crude. */
  readonly assay: number
  readonly product: readonly SolubilityPoint[]
  readonly impurity?: readonly SolubilityPoint[] | undefined
  readonly productFusionKJPerMol?: number | undefined
  readonly hotC: number
  readonly coldC: number
  /** Solvent beyond the least hot volume, as a fraction of it. */
  readonly excess: number
  readonly washML: number
}
export interface CrystallizationPlan {
  readonly minimumHotML: number
  readonly hotML: number
  readonly gritG: number
  readonly productInLiquorG: number
  readonly productCrystalsG: number
  readonly impurityInCrystalsG: number
  readonly crystalMassG: number
  readonly crystalMassFraction: number
  readonly recoveryPercentOfCrude: number
  readonly recoveryPercentOfProduct: number
  readonly washLossUpToG: number
  /** Least volume in which the impurity stays dissolved cold; null when nothing is known of it or none is there. */
  readonly impurityStaysDissolvedML: number | null
  /** True when the impurity was taken to stay dissolved because nothing is known of it. */
  readonly impurityAssumedDissolved: boolean
  readonly hotBasis: SolubilityAt['basis']
  readonly coldBasis: SolubilityAt['basis']
}

/**
 * One crystallization from one solvent: how much to dissolve it in, what comes down cold and what stays.
 *
 * V_min = 100·m_p/S_p(hot), sized on the product; V = V_min·(1 + excess). Impurity beyond S_i(hot)·V/100
 * never dissolves (grit, left behind hot). Of what dissolved, min(m, S(cold)·V/100) stays in the liquor.
 * Without impurity data it is taken to stay dissolved, and flagged. The wash loss is a bound: the rinse
 * leaving saturated. An ideal upper bound on purity: clinging liquor and trapped solvent come on top.
 *
 * @param input masses g, volumes mL, temperatures °C, solubilities g per 100 mL, assay as a mass fraction
 * @throws ImpossibleInput on negative or impossible amounts, cold not below hot
 * @example planCrystallization({ crudeG: 1.8, assay: 0.9, product: [[20, 1.9], [50, 8.7], [78, 46]], hotC: 78, coldC: 2, excess: 0.1, washML: 1 }).minimumHotML // 3.5217
 */
export function planCrystallization(input: CrystallizationInput): CrystallizationPlan {
  requireInput(input)
  const productG = input.assay * input.crudeG
  const impurityG = input.crudeG - productG
  const hot = solubilityAt(input.product, input.hotC, input.productFusionKJPerMol)
  const cold = solubilityAt(input.product, input.coldC, input.productFusionKJPerMol)
  const minimumHotML = (100 * productG) / hot.gPer100ML
  const hotML = minimumHotML * (1 + input.excess)
  const productInLiquorG = Math.min(productG, (cold.gPer100ML * hotML) / 100)
  const productCrystalsG = productG - productInLiquorG
  const impurity = impurityBalance(input, impurityG, hotML)
  const crystalMassG = productCrystalsG + impurity.crystalsG
  return {
    minimumHotML,
    hotML,
    gritG: impurity.gritG,
    productInLiquorG,
    productCrystalsG,
    impurityInCrystalsG: impurity.crystalsG,
    crystalMassG,
    crystalMassFraction: crystalMassG > 0 ? productCrystalsG / crystalMassG : 0,
    recoveryPercentOfCrude: (100 * crystalMassG) / input.crudeG,
    recoveryPercentOfProduct: (100 * productCrystalsG) / productG,
    washLossUpToG: Math.min(productCrystalsG, (cold.gPer100ML * input.washML) / 100),
    impurityStaysDissolvedML: impurity.staysDissolvedML,
    impurityAssumedDissolved: impurity.assumed,
    hotBasis: hot.basis,
    coldBasis: cold.basis,
  }
}

function impurityBalance(input: CrystallizationInput, impurityG: number, hotML: number) {
  if (!input.impurity?.length)
    return { gritG: 0, crystalsG: 0, staysDissolvedML: null, assumed: impurityG > 0 }
  const hot = solubilityAt(input.impurity, input.hotC).gPer100ML
  const cold = solubilityAt(input.impurity, input.coldC).gPer100ML
  const gritG = Math.max(0, impurityG - (hot * hotML) / 100)
  const dissolvedG = impurityG - gritG
  return {
    gritG,
    crystalsG: Math.max(0, dissolvedG - (cold * hotML) / 100),
    staysDissolvedML: impurityG > 0 ? (100 * impurityG) / cold : null,
    assumed: false,
  }
}

function requireInput(input: CrystallizationInput): void {
  requireNumber(input.crudeG, 'The crude mass')
  if (input.crudeG <= 0) throw new ImpossibleInput('nothing-weighed', 'The crude mass must be above zero.')
  requireFraction(input.assay, 'The product fraction')
  if (input.assay === 0)
    throw new ImpossibleInput('fraction-out-of-range', 'A crude without product has nothing to crystallize.')
  requireTemperature(input.hotC, 'The hot temperature')
  requireTemperature(input.coldC, 'The cold temperature')
  if (input.coldC >= input.hotC)
    throw new ImpossibleInput(
      'cold-not-below-hot',
      `${input.coldC} °C cold is not below ${input.hotC} °C hot. Were the two swapped?`,
    )
  if (!(input.excess >= 0 && Number.isFinite(input.excess)))
    throw new ImpossibleInput(
      'bad-excess',
      'This volume is below the least hot volume: the product would not all dissolve.',
    )
  if (!(input.washML >= 0 && Number.isFinite(input.washML)))
    throw new ImpossibleInput('bad-volume', 'The rinse cannot be below 0 mL.')
}
