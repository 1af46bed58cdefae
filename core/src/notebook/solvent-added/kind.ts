import type { Reading } from '../../contract'
import { defineKind } from '../defineKind'

/** One portion of solvent, mL. */
export interface SolventAdded {
  readonly volume: Reading
  readonly use: 'dissolve' | 'dilute' | 'rinse'
}
export const solventAdded = defineKind<SolventAdded>()({
  kind: 'solvent added',
  version: 1,
  about: 'prep',
  sentence: (body) =>
    body.use === 'rinse'
      ? `Rinsed with ${body.volume.text} mL, ice-cold.`
      : `Added ${body.volume.text} mL, hot.`,
})
