import type { BalanceStatus, RunState } from '@ivory-crystal/core/wire'

export type Reading = RunState & { readonly instrument: string }
export interface TimedReading extends RunState {
  /** Milliseconds on this page's own clock when it was heard. */
  readonly heardAt: number
  /** The latest probe readings heard, by sample number; enough for a live rate. */
  readonly recent: readonly (readonly [sample: number, temperatureC: number])[]
}
/** Latest reading of each instrument with a run. */
export type Readings = Readonly<Record<string, TimedReading | null>>

const RECENT_MOST = 90
const sampleOf = (run: RunState) => run.reading?.sample ?? -1

/**
 * Takes in a reading as it passes. An answer to a command may come after a newer reading of the stream: what it
 * says of the pace counts, its older reading does not.
 */
export function withReading(readings: Readings, next: Reading, heardAt: number): Readings {
  const before = readings[next.instrument]
  if (before?.id === next.id && sampleOf(next) < sampleOf(before)) {
    const { pace } = next
    return { ...readings, [next.instrument]: { ...before, pace } }
  }
  const recent = before?.id === next.id ? before.recent : []
  const now = next.reading
  const isNew = now !== null && recent[recent.length - 1]?.[0] !== now.sample
  const reading: TimedReading = {
    ...next,
    heardAt,
    recent: isNew ? [...recent.slice(1 - RECENT_MOST), [now.sample, now.probe.value]] : recent,
  }
  return { ...readings, [next.instrument]: reading }
}

/** The answer to a command may come after a newer reading came over the stream: the newer one stands. */
export function newerBalance(current: BalanceStatus | null, next: BalanceStatus): BalanceStatus {
  return !current || next.order >= current.order ? next : current
}
