import { capital, significant } from '../words'
import type { PlanFixed } from '../notebook/kinds/plan-fixed/kind'
import { boilsFromC } from '../substances/boiling'
import { attempt } from '../problems'
import { freezesNearIce } from '../solubility/volume'
import { reactionOf } from '../substances/reactions'
import { solventsOf } from '../procedures/batch'
import { solubilityAt } from '../solubility/solubilityAt'

type PlanParts = Pick<PlanFixed, 'compound' | 'impurity' | 'solvent' | 'pair' | 'input' | 'result'>

/** Why this solvent works here, or where it may not, in sentences. */
export function whyThisSolvent(plan: PlanParts): readonly string[] {
  const { compound, impurity, solvent, pair, input, result } = plan
  const sentences: string[] = []
  const at = (c: number) => attempt(() => solubilityAt(input.product, c, input.productFusionKJPerMol))
  const [hot, cold] = [at(input.hotC), at(input.coldC)]
  if (hot.ok && cold.ok)
    sentences.push(
      `About ${significant(hot.value.gPer100ML / cold.value.gPer100ML, 2)} times as much ${compound.name} dissolves at ${input.hotC} °C as at ${input.coldC} °C.`,
    )
  const boilsC = boilsFromC(solvent)
  if (boilsC !== null) sentences.push(boilingReason(boilsC, plan))
  for (const one of solventsOf({ solvent, pair })) {
    if (freezesNearIce(one))
      sentences.push(`${capital(one.name)} freezes at ${one.freezingPointC} °C: use cool water, not ice.`)
    const reaction = reactionOf(compound, one)
    if (reaction) sentences.push(reaction.sentence)
  }
  if (impurity && result.impurityStaysDissolvedML !== null)
    sentences.push(
      result.hotML >= result.impurityStaysDissolvedML
        ? `At this volume ${impurity.name} stays in the cold mother liquor.`
        : `At this volume some ${impurity.name} crystallizes with the product.`,
    )
  return sentences
}

function boilingReason(boilingC: number, { compound, pair, input }: PlanParts): string {
  const { name, meltLowC } = compound
  const melts = `${name} melts from ${meltLowC.toFixed(0)} °C`
  if (input.hotC <= boilingC - 4)
    return input.hotC > meltLowC - 15
      ? `It boils at ${boilingC} °C but is used at ${input.hotC} °C, because ${melts}.`
      : `It boils at ${boilingC} °C and is used at ${input.hotC} °C${pair ? `, short of boiling, because ${pair.solvent.name} goes into it hot` : ', as planned'}.`
  return boilingC < meltLowC
    ? `It boils ${(meltLowC - boilingC).toFixed(0)} °C below where ${name} melts. An impure solid melts lower. If an oil forms, add solvent and cool slowly.`
    : `It boils above where ${name} melts, so it could come out as an oil. Keep it well below ${meltLowC.toFixed(0)} °C.`
}
