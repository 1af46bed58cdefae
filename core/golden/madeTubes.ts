import type { SimulatedSample } from '../src/instruments/reading'
import type { Fusion } from '../src/melting/liquidus'
import { look, putIn, type TubeState, warm } from '../src/simulator/tube'

/** Where a tube shows its first liquid, and where it is clear, s of the run. */
export function watched(
  packed: TubeState,
  {
    fromS,
    fromC,
    rate,
    visible,
    mostC,
  }: {
    readonly fromS: number
    readonly fromC: number
    readonly rate: number
    readonly visible: number
    readonly mostC: number
  },
): { readonly onsetS: number; readonly clearS: number; readonly isLiquidAtOnce: boolean } {
  let tube = putIn(packed, 25)
  for (let s = 0; s < 40; s++) tube = warm(tube, fromC, 6)
  let onsetS: number | null = null
  const stepS = 6 / rate
  for (let step = 0; ; step++) {
    const c = fromC + step / 10
    tube = warm(tube, c, stepS)
    const seen = look(tube)
    if (onsetS === null && seen.liquidFraction >= visible) onsetS = fromS + step * stepS
    if (seen.look === 'clear' || c > mostC)
      return {
        onsetS: onsetS ?? fromS + step * stepS,
        clearS: fromS + step * stepS,
        isLiquidAtOnce: onsetS === fromS,
      }
  }
}

/** Of one compound with something else in it. */
export function holding(pure: Fusion, other: Fusion, impurity: number): SimulatedSample {
  return { a: pure, b: impurity > 0 ? other : null, moleFractionA: 1 - impurity }
}
