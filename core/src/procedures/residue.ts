import type { Solvent } from '../substances/shelf'
import { formsPeroxides } from '../substances/hazards'
import { heatFor, lowestBoilingC } from './heat'

/** How a liquor is evaporated to weigh what is in it. */
export interface ResidueAdvice {
  readonly how: string
  /** Why it is not to be evaporated to its residue at all, or null. */
  readonly never: string | null
}

/**
 * How the residue of a liquor is weighed: on a bath where the vapour burns, and never of what can hold peroxides.
 *
 * @param solvents in the liquor
 */
export function residueAdvice(solvents: readonly Solvent[]): ResidueAdvice {
  const { source } = heatFor(solvents, lowestBoilingC(solvents) ?? 0)
  const place = source === 'hot plate' ? 'on a warm plate' : 'over a bath, never on a bare plate,'
  const ether = solvents.find(({ hazards }) => formsPeroxides(hazards))
  return {
    how: `In the hood, in a beaker that you weighed empty, ${place} and never to hot dryness. Let it cool, then weigh it. A fresh boiling stone counts as part of the empty beaker.`,
    never: ether
      ? `${ether.name} must never be evaporated toward dryness: it can hold peroxides. The mass balance of this prep stays open.`
      : null,
  }
}
