import type { InstrumentId } from '../ids'
import type { BlockCharacter } from './characters'
import type { InstrumentSort } from './sorts'

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
