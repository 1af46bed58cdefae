import type { PlanFixed } from '../notebook/kinds/plan-fixed/kind'
import { attempt } from '../problems'
import { solubilityAt } from '../solubility/solubilityAt'

type PlanParts = Pick<PlanFixed, 'compound' | 'impurity' | 'solvent' | 'input' | 'result'>

/** Why this solvent works here, or where it may not, in sentences. */
export function whyThisSolvent({ compound, impurity, solvent, input, result }: PlanParts): readonly string[] {
  const said: string[] = []
  const at = (c: number) => attempt(() => solubilityAt(input.product, c, input.productFusionKJPerMol))
  const [hot, cold] = [at(input.hotC), at(input.coldC)]
  if (hot.ok && cold.ok)
    said.push(
      `About ${(hot.value.gPer100ML / cold.value.gPer100ML).toPrecision(2)} times as much ${compound.name} dissolves at ${input.hotC} °C as at ${input.coldC} °C.`,
    )
  if (solvent.boilingPointC !== null)
    said.push(boilingReason(solvent.boilingPointC, compound.name, compound.meltLowC))
  if (solvent.freezingPointC !== null && solvent.freezingPointC > input.coldC)
    said.push(`It freezes at ${solvent.freezingPointC} °C itself: do not chill it below that.`)
  if (impurity && result.impurityStaysDissolvedML !== null)
    said.push(
      result.hotML >= result.impurityStaysDissolvedML
        ? `At this volume ${impurity.name} stays in the cold liquor.`
        : `At this volume some ${impurity.name} comes down with the crystals.`,
    )
  return said
}

function boilingReason(boilingC: number, compound: string, meltsC: number): string {
  return boilingC < meltsC
    ? `It boils ${(meltsC - boilingC).toFixed(0)} °C below where ${compound} melts. An impure solid melts lower: if it oils, add solvent and cool slowly.`
    : `It boils above where ${compound} melts, so it may come out as an oil: keep it well below ${meltsC.toFixed(0)} °C.`
}
