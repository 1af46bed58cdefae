import { isAnythingSeen } from '../melting/look'
import type { MeltPlanned } from '../notebook/kinds/melt-planned/kind'
import type { BlockReading } from '../instruments/reading'

/** Eyes are wanted this far before the window opens, °C. */
const BEFORE_WINDOW_C = 0.5

/**
 * Whether eyes are needed at a simulated run, and so real time: near the window, and in any run as soon as there is
 * something to be seen. A scouting run has no window.
 */
export function needsEyes(
  { purpose, window }: Pick<MeltPlanned, 'purpose' | 'window'>,
  { phase, probe, tubes }: Pick<BlockReading, 'phase' | 'probe' | 'tubes'>,
): boolean {
  if (phase !== 'ramping' && phase !== 'heating') return false
  // Nothing melts that is not in: a block that cools to its start may be hurried.
  if (tubes.length > 0 && tubes.every(({ look }) => look === 'not in')) return false
  return (
    isAnythingSeen(tubes) || (purpose !== 'scouting' && probe.value >= window.watchFromC - BEFORE_WINDOW_C)
  )
}
