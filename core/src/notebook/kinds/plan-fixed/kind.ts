import type { SolubilityPoint } from '../../../solubility/solubilityAt'
import type { EntryId } from '../../../ids'
import type { CrystallizationInput, CrystallizationPlan } from '../../../solubility/planCrystallization'
import type { Conventions } from '../../../conventions/conventions'
import type { Compound, Confidence, Solvent } from '../../../substances/shelf'
import type { Insert, Procedure, Step } from '../../../procedures/procedure'
import { defineKind } from '../defineKind'

export interface PlannedPair {
  readonly solvent: Solvent
  readonly points: readonly SolubilityPoint[]
  readonly goodML: number
  readonly poorML: number
}
/** The plan as decided, with the shelf values, house rules and steps it rested on. */
export interface PlanFixed {
  readonly procedure: Pick<Procedure, 'id' | 'name' | 'collect'>
  /** With this batch's amounts in them, as they read when the plan was fixed. */
  readonly steps: readonly Step[]
  readonly waste: readonly string[]
  readonly inserts: readonly Insert[]
  /** Mass of the crude, g, as the balance gave it. */
  readonly crudeText: string
  /** What of it was kept back, g: the amounts, and the recovery, go without it. */
  readonly keptBackG: number
  readonly amount: 'least hot solvent' | 'measured volume'
  readonly compound: Compound
  readonly impurity: Compound | null
  readonly solvent: Solvent
  /** The second of two solvents; input and result are then of the mixture. */
  readonly pair: PlannedPair | null
  /** Where the solubilities came from, in words. */
  readonly solubilitySource: string
  /** The lowest confidence of the solubilities; null for the bench's own, and for plans older than this field. */
  readonly solubilityConfidence: Confidence | null
  /** Who in charge was asked, where a substance asks for that; null where none does. */
  readonly inCharge: string | null
  readonly input: CrystallizationInput
  readonly result: CrystallizationPlan
  readonly conventions: Conventions
  readonly coreVersion: string
  readonly restsOn: readonly EntryId[]
}

export const planFixed = defineKind<PlanFixed>()({
  kind: 'plan fixed',
  version: 4,
  about: 'prep',
  sentence: ({ result, solvent, pair, procedure, amount }) => {
    const how = pair
      ? `dissolve near ${pair.goodML.toFixed(1)} mL of hot ${solvent.name}, cloud with about ${pair.poorML.toFixed(1)} mL of ${pair.solvent.name}`
      : amount === 'measured volume'
        ? `dissolve in a measured ${volume(result.hotML)} mL of hot ${solvent.name}`
        : `dissolve near ${volume(result.minimumHotML)} mL of hot ${solvent.name}, then ${volume(result.hotML)} mL in all`
    return `Made the plan: ${how}; ${procedure.name.toLowerCase()}.`
  },
})

function volume(ml: number): string {
  return ml.toFixed(ml < 1 ? 2 : 1)
}
