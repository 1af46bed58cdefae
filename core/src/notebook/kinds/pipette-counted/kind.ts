import type { Reading } from '../../../units'
import { defineKind } from '../defineKind'

/** Drops counted into a known volume: how many of this pipette make a mL. */
export interface PipetteCounted {
  readonly drops: number
  readonly volume: Reading
}
export const pipetteCounted = defineKind<PipetteCounted>()({
  kind: 'pipette counted',
  version: 1,
  about: 'prep',
  sentence: (body) => `Counted ${body.drops} drops into ${body.volume.text} mL with this pipette.`,
})
