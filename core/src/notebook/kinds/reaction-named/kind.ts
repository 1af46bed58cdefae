import type { Reading } from '../../../units'
import type { Compound } from '../../../substances/shelf'
import { defineKind } from '../defineKind'

/** The reaction the crude came from: its limiting reagent, for the percent yield. */
export interface ReactionNamed {
  readonly limiting: Pick<Compound, 'name' | 'molarMassGPerMol'>
  readonly limitingMass: Reading
  /** Product molecules per molecule of the limiting reagent. */
  readonly productPerLimiting: number
}
export const reactionNamed = defineKind<ReactionNamed>()({
  kind: 'reaction named',
  version: 1,
  about: 'prep',
  sentence: (body) =>
    `Made from ${body.limitingMass.text} g of ${body.limiting.name} (${body.limiting.molarMassGPerMol.toFixed(2)} g/mol), the limiting reagent.`,
})
