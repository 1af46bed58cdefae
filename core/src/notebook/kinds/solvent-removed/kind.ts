import type { Reading } from '../../../units'
import { defineKind } from '../defineKind'

/** Solvent that is no longer in the flask, mL: boiled away, read off the flask's marks or judged. */
export interface SolventRemoved {
  readonly volume: Reading
}
export const solventRemoved = defineKind<SolventRemoved>()({
  kind: 'solvent removed',
  version: 1,
  about: 'prep',
  sentence: (body) => `Boiled away ${body.volume.text} mL.`,
})
