import type {
  Compound,
  Conventions,
  CrystallizationInput,
  CrystallizationPlan,
  EntryId,
  Solvent,
} from '../../contract'
import { defineKind } from '../defineKind'

/** The plan as decided, with the shelf values and house rules it rested on. */
export interface PlanFixed {
  readonly procedure: 'small flask and suction funnel'
  readonly compound: Compound
  readonly impurity: Compound | null
  readonly solvent: Solvent
  /** Where the solubilities came from, in words. */
  readonly solubilitySource: string
  readonly input: CrystallizationInput
  readonly result: CrystallizationPlan
  readonly conventions: Conventions
  readonly coreVersion: string
  readonly restsOn: readonly EntryId[]
}
export const planFixed = defineKind<PlanFixed>()({
  kind: 'plan fixed',
  version: 1,
  about: 'prep',
  sentence: (body) =>
    `Fixed the plan: dissolve near ${body.result.minimumHotML.toFixed(1)} mL of hot ${body.solvent.name}, then ${body.result.hotML.toFixed(1)} mL in all.`,
})
