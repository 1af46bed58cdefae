import type { Reading } from '../../../units'
import { defineKind } from '../defineKind'

/** A centrifuge tube and its partner, by mass, g. */
export interface Balanced {
  readonly step: string
  readonly tube: Reading
  readonly partner: Reading
}
export const balanced = defineKind<Balanced>()({
  kind: 'balanced',
  version: 1,
  about: 'prep',
  sentence: (body) => `Balanced the centrifuge: tube ${body.tube.text} g, partner ${body.partner.text} g.`,
})
