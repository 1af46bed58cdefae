import type { Compound } from './shelf'

/** A pure solid melts within this, °C, wherever its sources put it. */
const PURE_WIDTH_C = 2

/** A melting value as the shelf has it. */
export interface MeltingValue {
  /** Where the last of the pure solid melts, °C: the best value between the sources. */
  readonly clearC: number
  /** How far the sources lie apart, °C; 0 where they agree. */
  readonly spreadC: number
  /** How wide a pure sample is expected to melt, °C: a merged range is no licence for a wide reading. */
  readonly widthC: number
}

/**
 * Best value, spread between sources and expected width of a melting point, from the range on the shelf: where that
 * merges sources that differ, the best value lies in the middle of them.
 *
 * @example meltingValueOf(thiourea) // { clearC: 178, spreadC: 4, widthC: 2 }
 */
export function meltingValueOf({
  meltLowC,
  meltHighC,
  meltSpreadC = 0,
}: Pick<Compound, 'meltLowC' | 'meltHighC' | 'meltSpreadC'>): MeltingValue {
  return {
    clearC: meltHighC - meltSpreadC / 2,
    spreadC: meltSpreadC,
    widthC: Math.min(PURE_WIDTH_C, meltHighC - meltLowC - meltSpreadC),
  }
}
