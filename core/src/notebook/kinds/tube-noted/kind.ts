import type { RunId } from '../../../ids'
import { defineKind } from '../defineKind'

export const TUBE_NOTES = [
  'put in',
  'turned',
  'melted as it went in',
  'first liquid seen late',
  'slush',
  'decomposes',
  'solid that does not melt',
] as const
export type TubeNote = (typeof TUBE_NOTES)[number]

/** Something about one tube that is neither of the three moments. */
export interface TubeNoted {
  readonly run: RunId
  readonly slot: number
  readonly note: TubeNote
  /** Instrument time, s. */
  readonly atS: number
}
export const tubeNoted = defineKind<TubeNoted>()({
  kind: 'tube noted',
  version: 1,
  about: 'melt',
  sentence: ({ slot, note }) => `Tube ${slot}: ${note}.`,
})
