import { median } from '../math/median'
import { ImpossibleInput } from '../problems'

/**
 * Live heating rate: the median of the slopes between all pairs of samples in the last minutes (Theil–Sen),
 * so that one bad sample does not move it.
 *
 * @param samples [minutes, °C] in order of time; instrument time, not the clock of whoever watches
 * @param overMin how far back to look, minutes
 * @returns °C/min; null when fewer than three samples lie in the window
 * @throws ImpossibleInput when the window is not above 0
 * @example rateOf([[0, 90], [0.5, 90.7], [1, 91.4]]) // 1.4
 */
export function rateOf(samples: readonly (readonly [number, number])[], overMin = 1): number | null {
  if (!(overMin > 0)) throw new ImpossibleInput('bad-duration', 'A rate needs a time above zero.')
  const last = samples[samples.length - 1]
  if (!last) return null
  const recent = samples.filter(([minute]) => minute > last[0] - overMin - 1e-9)
  if (recent.length < 3) return null
  const slopes = new Float64Array((recent.length * (recent.length - 1)) / 2)
  let count = 0
  for (let i = 0; i < recent.length; i++) {
    const [minuteI, temperatureI] = recent[i] as readonly [number, number]
    for (let j = i + 1; j < recent.length; j++) {
      const [minuteJ, temperatureJ] = recent[j] as readonly [number, number]
      if (minuteJ > minuteI) slopes[count++] = (temperatureJ - temperatureI) / (minuteJ - minuteI)
    }
  }
  return count > 0 ? median(slopes.subarray(0, count).sort()) : null
}
