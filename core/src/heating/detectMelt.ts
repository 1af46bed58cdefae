import { median } from '../math/median'
import type { MeltingRange } from '../melting/meltingRange'
import { ImpossibleInput, requireFraction } from '../problems'

export interface LightSample {
  readonly temperatureC: number
  /** Light that comes through, on any scale that rises as the sample clears. */
  readonly transmission: number
}
const LEAST_SAMPLES = 20
/** The rise must stand out from the scatter of the solid and of the melt by this many times. */
const STANDS_OUT = 6

/**
 * Onset and clear point off the light that comes through a sample. The solid's light is the median of the first
 * tenth, the melt's that of the last; the ends lie where the share between them passes `onsetAt` for the last
 * time before half of it, and `clearAt` for the first time after.
 *
 * @param trace in order of time
 * @param options shares of the rise
 * @returns °C, interpolated between readings
 * @throws ImpossibleInput on too few readings, or a trace in which nothing melts
 * @example detectMelt(trace) // { onsetC: 94.1, clearC: 95.3 }
 */
export function detectMelt(
  trace: readonly LightSample[],
  { onsetAt = 0.05, clearAt = 0.95 }: { onsetAt?: number; clearAt?: number } = {},
): MeltingRange {
  requireFraction(onsetAt, 'The share at the onset')
  requireFraction(clearAt, 'The share at the clear point')
  if (onsetAt >= clearAt)
    throw new ImpossibleInput(
      'range-inverted',
      'The share at the onset must lie below that at the clear point.',
    )
  if (trace.length < LEAST_SAMPLES)
    throw new ImpossibleInput(
      'too-few-samples',
      `A light trace of ${trace.length} readings is too short; ${LEAST_SAMPLES} at least are needed.`,
    )
  const tenth = Math.max(3, Math.floor(trace.length / 10))
  const solid = medianAndScatter(trace.slice(0, tenth))
  const melt = medianAndScatter(trace.slice(-tenth))
  const rise = melt.median - solid.median
  if (!(rise > 0) || rise <= STANDS_OUT * Math.max(solid.scatter, melt.scatter))
    throw new ImpossibleInput(
      'no-transition',
      'In this trace the light does not rise from one level to another: nothing melted, or the trace ends too soon.',
    )
  const share = trace.map(({ transmission }) => (transmission - solid.median) / rise)
  const half = share.findIndex((value) => value >= (onsetAt + clearAt) / 2)
  let before = half
  while (before > 0 && (share[before] as number) > onsetAt) before--
  let after = half
  while (after < share.length - 1 && (share[after] as number) < clearAt) after++
  return {
    onsetC: crossing(trace, share, before, Math.min(before + 1, share.length - 1), onsetAt),
    clearC: crossing(trace, share, Math.max(0, after - 1), after, clearAt),
  }
}

function crossing(
  trace: readonly LightSample[],
  share: readonly number[],
  i: number,
  j: number,
  at: number,
): number {
  const [from, to] = [share[i] as number, share[j] as number]
  const [fromC, toC] = [(trace[i] as LightSample).temperatureC, (trace[j] as LightSample).temperatureC]
  const part = to === from ? 0 : Math.min(1, Math.max(0, (at - from) / (to - from)))
  return fromC + (toC - fromC) * part
}

function medianAndScatter(samples: readonly LightSample[]): { median: number; scatter: number } {
  const level = median(Float64Array.from(samples, ({ transmission }) => transmission).sort())
  return {
    median: level,
    scatter:
      1.4826 *
      median(Float64Array.from(samples, ({ transmission }) => Math.abs(transmission - level)).sort()),
  }
}
