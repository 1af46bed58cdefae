import { defineKind } from '../defineKind'
import type { Station } from '../../../stations/stations'

/** A line of observation, as the student wrote it. */
export interface Observed {
  readonly station: Station
  readonly text: string
}
export const observed = defineKind<Observed>()({
  kind: 'observed',
  version: 1,
  about: 'prep',
  sentence: (body) => `Observed: ${body.text}`,
})
