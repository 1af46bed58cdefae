import type { Reading } from '../../../units'
import { defineKind } from '../defineKind'

/** In what proportion the two parts of a mixture were ground together. */
export interface MixtureGround {
  /** Mass fraction of the part named first. */
  readonly massFractionFirst: number
  readonly by: 'mass' | 'eye'
  /** Both masses, where they were weighed, g. */
  readonly massesG: readonly [Reading, Reading] | null
}
export const mixtureGround = defineKind<MixtureGround>()({
  kind: 'mixture ground',
  version: 1,
  about: 'sample',
  sentence: ({ massFractionFirst, by, massesG }) =>
    massesG
      ? `Ground together ${massesG[0].text} g and ${massesG[1].text} g.`
      : `Ground together, ${(100 * massFractionFirst).toFixed(0)} % of the first by ${by}.`,
})
