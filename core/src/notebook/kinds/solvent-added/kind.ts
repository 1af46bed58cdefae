import type { Reading } from '../../../units'
import type { PortionUse } from '../../../procedures/portions'
import { defineKind } from '../defineKind'

/** One portion of solvent. Drops are kept as counted, with how many make a mL. */
export interface SolventAdded {
  /** mL, as measured, or worked out from the drops. */
  readonly volume: Reading
  readonly drops: { readonly count: number; readonly perML: number } | null
  readonly use: PortionUse
  readonly hot: boolean
}
export const solventAdded = defineKind<SolventAdded>()({
  kind: 'solvent added',
  version: 2,
  about: 'prep',
  sentence: ({ volume, drops, use, hot }) => {
    const amount = drops
      ? `${drops.count} ${drops.count === 1 ? 'drop' : 'drops'} (${volume.text} mL)`
      : `${volume.text} mL`
    if (use === 'rinse') return `Rinsed with ${amount}, ice-cold.`
    return `Added ${amount}${use === 'second' ? ' of the second solvent' : ''}, ${hot ? 'hot' : 'cold'}.`
  },
})
