import type { InstrumentId } from '../ids'
import type { BlockCharacter } from './characters'

export const INSTRUMENT_SORTS = [
  'dial block',
  'programmable block',
  'detecting block',
  'hot stage',
  'oil-bath tube',
] as const
export type InstrumentSort = (typeof INSTRUMENT_SORTS)[number]
export interface Thermometer {
  readonly kind: 'metal probe' | 'glass'
  readonly lowC: number
  readonly highC: number
  /** Of a glass thermometer; null for a probe. */
  readonly immersion: 'total' | 'partial' | null
  readonly filling: 'mercury' | 'spirit' | null
}
export interface Instrument {
  readonly id: InstrumentId
  readonly name: string
  readonly sort: InstrumentSort
  readonly simulated: boolean
  readonly character: BlockCharacter
  readonly thermometer: Thermometer
  /** A switch that has to be set for ranges above this, °C; null when there is none. */
  readonly highRangeAboveC: number | null
}
