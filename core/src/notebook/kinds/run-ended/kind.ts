import type { RunId } from '../../../ids'
import { defineKind } from '../defineKind'

/** The run is over and the tubes are out; the block cools on. */
export interface RunEnded {
  readonly run: RunId
  readonly atS: number
}
export const runEnded = defineKind<RunEnded>()({
  kind: 'run ended',
  version: 1,
  about: 'melt',
  sentence: () => 'The run ended; tubes to glass waste.',
})
