import { eutectic } from '../melting/eutectic'
import type { RangeEvidence } from './evidence'

/** Simple pairs meet within so much of where the ideal relation puts their eutectic, °C. */
export const EUTECTIC_WITHIN_C = 3

/** Whether a sharp range lies where the companion melts, or where the two melt together. */
export function impurityExplains({ impurity, fusion, reading }: RangeEvidence): 'itself' | 'eutectic' | null {
  if (!impurity) return null
  if (Math.abs(reading.clearC - impurity.fusion.meltingPointC) <= EUTECTIC_WITHIN_C) return 'itself'
  if (!fusion) return null
  const { temperatureC } = eutectic(fusion, impurity.fusion)
  return Math.abs(reading.clearC - temperatureC) <= EUTECTIC_WITHIN_C ? 'eutectic' : null
}
