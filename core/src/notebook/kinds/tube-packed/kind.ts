import type { SampleId } from '../../../ids'
import type { Grain } from '../../../heating/observedRange'
import { defineKind } from '../defineKind'

/** A tube is packed and labelled; it waits in the rack until a melt is planned with it. */
export interface TubePacked {
  readonly sample: SampleId
  readonly label: string
  readonly fillMm: number
  readonly grain: Grain
  /** Tubes of one set share a run; null for one that may go anywhere. */
  readonly set: string | null
}
export const tubePacked = defineKind<TubePacked>()({
  kind: 'tube packed',
  version: 1,
  about: 'sample',
  sentence: ({ label, fillMm, grain, set }) =>
    `Packed a tube of ${label}: ${fillMm} mm, ${grain}${set ? `, set ${set}` : ''}.`,
})
