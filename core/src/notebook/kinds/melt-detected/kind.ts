import type { RunId } from '../../../ids'
import { defineKind } from '../defineKind'

/** Onset and clear point of a tube off its light: from a run's own trace, or from a file brought in. */
export interface MeltDetected {
  /** null when the light came from a file. */
  readonly run: RunId | null
  readonly slot: number
  readonly onsetC: number
  readonly clearC: number
  /** Shares of the rise of light; null for ends moved by hand. */
  readonly shares: { readonly onsetAt: number; readonly clearAt: number } | null
  /** Decimals of the instrument's temperatures. */
  readonly decimals: number
  /** The light itself, for a file: °C and transmission. Empty for a run, whose trace has it. */
  readonly light: readonly (readonly [temperatureC: number, transmission: number])[]
  readonly rateCPerMin: number | null
}
export const meltDetected = defineKind<MeltDetected>()({
  kind: 'melt detected',
  version: 1,
  about: 'melt',
  sentence: ({ slot, onsetC, clearC, decimals, shares, run }) =>
    `Tube ${slot} by its light${run ? '' : ' (a file)'}: ${onsetC.toFixed(decimals)} to ${clearC.toFixed(decimals)} °C${shares ? '' : ', ends moved by hand'}.`,
})
