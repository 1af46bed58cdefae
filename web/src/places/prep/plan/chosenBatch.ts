import type { Conventions } from '@ivory-crystal/core/conventions'
import { type Draft, type Planned, rulesOf } from '@ivory-crystal/core/planning'
import { askFirstAbout, type Batch, solventsOf } from '@ivory-crystal/core/procedures'
import type { Compound } from '@ivory-crystal/core/substances'
import type { Shelf } from '@ivory-crystal/core/wire'
import { compoundNamed } from '../../../parts/CompoundField'

/** The batch a draft comes to, or what is in the way of it. */
export function chosenBatch(
  draft: Draft,
  { input, plan, pair, keptBackG, solubilityConfidence }: Planned,
  known: { crudeText: string; compound: Compound; shelf: Shelf; houseRules: Conventions },
): Batch | string {
  const { crudeText, compound, shelf, houseRules } = known
  const solvent = shelf.solvents.find(({ id }) => id === draft.solvent)
  const conventions = rulesOf(draft, houseRules)
  if (typeof conventions === 'string') return conventions
  if (!solvent) return 'Choose a solvent.'
  const impurity = compoundNamed(shelf, draft.impurity)
  const { amount, inserts } = draft
  const asked = draft.inCharge.trim()
  return {
    crudeText,
    keptBackG,
    compound,
    impurity,
    solvent,
    conventions,
    pair,
    amount,
    inserts,
    input,
    result: plan,
    solubilityConfidence,
    inCharge: asked === '' ? null : asked,
  }
}

/** What of a batch must not be used without the person in charge, by name. */
export function asksOf(batch: Pick<Batch, 'compound' | 'impurity' | 'solvent' | 'pair'>): readonly string[] {
  return askFirstAbout(batch.compound, batch.impurity, solventsOf(batch))
}
