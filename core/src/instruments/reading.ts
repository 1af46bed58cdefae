import type { TubeLook } from '../melting/look'
import type { Fusion } from '../melting/liquidus'
import type { Reading } from '../units'

export interface SimulatedSample {
  readonly a: Fusion
  readonly b: Fusion | null
  readonly moleFractionA: number
  readonly decomposesAtC?: number
}
export interface TubeReading {
  readonly look: TubeLook
  /** Of the whole sample, molar. */
  readonly liquidFraction: number
  /** Of each shell of equal volume, the outermost first; only from what is simulated. */
  readonly shells?: readonly number[]
}

export type BlockCommand =
  | { readonly kind: 'preheat'; readonly toC: number }
  | { readonly kind: 'tubes in' }
  | { readonly kind: 'ramp'; readonly toC: number; readonly rateCPerMin: number }
  | { readonly kind: 'dial'; readonly setting: number }
  | { readonly kind: 'stop' }
export interface BlockReading {
  /** 0 for the reading at the start of the run, one a second after it. */
  readonly sample: number
  readonly atS: number
  readonly probe: Reading
  readonly phase: 'idle' | 'preheating' | 'holding' | 'ramping' | 'heating' | 'cooling'
  readonly tubes: readonly TubeReading[]
  /** Light through each tube, 0 to 1, where the instrument reads it. */
  readonly light?: readonly number[]
  /** Where the dial stands, on an instrument that has one. */
  readonly dial?: number
}
