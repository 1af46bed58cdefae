import {
  type CrystallizationInput,
  type CrystallizationPlan,
  planCrystallization,
} from './planCrystallization'
import { ImpossibleInput, requireFraction, requireNumber } from '../problems'
import { solubilityAt } from './solubilityAt'
import { withVolumeML } from './volume'
import { significant } from '../words'

/**
 * The same crystallization at a row of volumes, for drawing what more solvent buys and costs.
 *
 * Product recovered never rises with volume; nor, once all is dissolved, does the impurity in the crystals.
 * Purity may fall all the same, when the impurity is relatively the less soluble of the two.
 *
 * @param input its excess is not used
 * @param span mL, evenly spaced with both ends; what lies below the least hot volume is left out by starting there
 * @returns `steps` plans in order of volume
 * @throws ImpossibleInput with fewer than two steps, or when even the largest volume dissolves too little
 * @example solventTradeoff(input, { fromML: 0, toML: 20, steps: 3 }).map((plan) => plan.hotML) // [3.52, 11.76, 20]
 */
export function solventTradeoff(
  input: CrystallizationInput,
  span: { readonly fromML: number; readonly toML: number; readonly steps: number },
): readonly CrystallizationPlan[] {
  if (!Number.isInteger(span.steps) || span.steps < 2)
    throw new ImpossibleInput('bad-count', 'A curve needs at least two volumes.')
  requireNumber(span.fromML, 'The smallest volume')
  requireNumber(span.toML, 'The largest volume')
  const leastML = planCrystallization({ ...input, excess: 0 }).minimumHotML
  const from = Math.max(span.fromML, leastML)
  if (span.toML < from)
    throw new ImpossibleInput(
      'bad-volume',
      `Up to ${span.toML} mL the product does not all dissolve: that takes ${significant(leastML, 2)} mL.`,
    )
  return Array.from({ length: span.steps }, (_, i) => {
    const ml = from + ((span.toML - from) * i) / (span.steps - 1)
    return planCrystallization(withVolumeML(input, Math.max(ml, leastML)))
  })
}

/**
 * Smallest volume whose crystals are predicted at least this pure.
 *
 * Product p(V) and impurity i(V) in the crystals are linear in the volume between three breakpoints (all
 * product dissolves, all impurity dissolves, all impurity stays dissolved), so (1 − q)·p ≥ q·i is solved exactly.
 *
 * @param input its excess is not used
 * @param purity mass fraction wanted, 0 to 1
 * @returns mL, or the best purity any volume gives
 * @example leastSolventForPurity(input, 0.99) // { ml: 10.0 }
 */
export function leastSolventForPurity(
  input: CrystallizationInput,
  purity: number,
): { ml: number } | { none: true; best: number } {
  requireFraction(purity, 'The purity')
  const at = (ml: number) => planCrystallization(withVolumeML(input, ml))
  const { minimumHotML } = planCrystallization({ ...input, excess: 0 })
  const productG = input.assay * input.crudeG
  const impurityG = input.crudeG - productG
  const cold = solubilityAt(input.product, input.coldC, input.productFusionKJPerMol).gPer100ML
  const emptyML = (100 * productG) / cold
  const breaks = [minimumHotML, ...impurityBreaks(input, impurityG)].filter(
    (ml) => ml >= minimumHotML && ml < emptyML,
  )
  const short = (ml: number) => {
    const plan = at(ml)
    return (1 - purity) * plan.productCrystalsG - purity * plan.impurityInCrystalsG
  }
  const sorted = [...new Set(breaks)].sort((p, q) => p - q)
  for (const [i, ml] of sorted.entries()) {
    if (short(ml) >= -1e-12 * input.crudeG) return { ml }
    const next = sorted[i + 1]
    if (next === undefined || short(next) < 0) continue
    const share = short(ml) / (short(ml) - short(next))
    return { ml: ml + share * (next - ml) }
  }
  return { none: true, best: Math.max(...sorted.map((ml) => at(ml).crystalMassFraction)) }
}

function impurityBreaks(input: CrystallizationInput, impurityG: number): number[] {
  if (!input.impurity?.length || impurityG <= 0) return []
  const hot = solubilityAt(input.impurity, input.hotC).gPer100ML
  const cold = solubilityAt(input.impurity, input.coldC).gPer100ML
  // A hair beyond the last breakpoint, so that rounding does not leave a trace of impurity in the crystals.
  return [(100 * impurityG) / hot, ((100 * impurityG) / cold) * (1 + 1e-12)]
}
