import type { Reading } from '../../../units'
import type { PrepId, SampleId, UnknownId } from '../../../ids'
import type { LaneKind } from '../../../chromatography/readPlate'
import { defineKind } from '../defineKind'

export const VISUALIZED = ['ultraviolet lamp', 'iodine vapour', 'own colour', 'stain'] as const
export type Visualized = (typeof VISUALIZED)[number]
export const SPOT_SHAPES = ['round', 'streak', 'faint'] as const
export type SpotShape = (typeof SPOT_SHAPES)[number]

interface PlateLane {
  readonly sample: SampleId | null
  readonly label: string
  readonly kind: LaneKind
  /** From the left edge of the plate, mm. */
  readonly acrossMm: number
  readonly spots: readonly { readonly centreMm: Reading; readonly shape: SpotShape }[]
}
/** A thin-layer plate as it was run and measured; distances along it count from the pencil line. */
export interface PlateDeveloped {
  /** What it is a second opinion on. */
  readonly of: PrepId | UnknownId | null
  readonly stationary: string
  readonly eluent: string
  readonly visualized: readonly Visualized[]
  readonly size: { readonly widthMm: number; readonly heightMm: number }
  /** The pencil line above the lower edge, mm. */
  readonly lineMm: number
  readonly frontMm: Reading
  readonly lanes: readonly PlateLane[]
}
export const plateDeveloped = defineKind<PlateDeveloped>()({
  kind: 'plate developed',
  version: 1,
  about: 'plate',
  sentence: ({ lanes, eluent, frontMm, visualized }) =>
    `Ran a plate of ${lanes.map(({ label }) => label).join(', ')} in ${eluent}: front at ${frontMm.text} mm, seen by ${visualized.join(' and ')}.`,
})
