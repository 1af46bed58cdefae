import type { RunId } from '../../../ids'
import { defineKind } from '../defineKind'

/** Up to 60 readings of one run, one a second of instrument time, written by the recorder alone. */
export interface Trace {
  readonly run: RunId
  readonly firstSample: number
  readonly decimals: number
  readonly probeC: readonly number[]
  /** Light through each tube at each reading, where the instrument reads it. */
  readonly light: readonly (readonly number[])[] | null
}
export const trace = defineKind<Trace>()({
  kind: 'trace',
  version: 2,
  about: 'melt',
  sentence: (body) => `Recorded ${body.probeC.length} readings from sample ${body.firstSample}.`,
})
