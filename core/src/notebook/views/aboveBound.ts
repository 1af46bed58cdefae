import type { View } from '../fold'
import { oddFactsOf } from './oddities'
import { type PrepFacts, recoveryOf } from './prep'

/**
 * How much of the crude was recovered beyond the most its plan expected, and why that can be, as a sentence: however
 * little it is, as long as weighing does not explain it. null where it is not so, or is asked about as an oddity already.
 */
export function aboveBoundOf(view: View, prep: PrepFacts): string | null {
  const recovery = recoveryOf(prep)
  const plan = prep.plan?.body
  if (!recovery.ok || !plan) return null
  const { value, standardUncertainty } = recovery.value.percent
  const bound = plan.result.recoveryPercentOfCrude
  if (value - 2 * standardUncertainty <= bound) return null
  if (oddFactsOf(view, prep.id).some(({ code }) => code === 'over-100' || code === 'over-the-bound'))
    return null
  const assay = Number((100 * plan.input.assay).toFixed(1))
  return `The recovery measured is ${(value - bound).toFixed(1)} percentage points above the highest recovery the plan expected (${bound.toFixed(1)} %). The crystals could be damp, the crude could be purer than the ${assay} % estimated, or the cold mother liquor holds less than the solubilities say.`
}
