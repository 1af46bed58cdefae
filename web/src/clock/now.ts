import { useCallback, useSyncExternalStore } from 'react'
import { clock } from './clock'

/** The page ticks this often, for everything that shows time passing. */
const TICK_MS = 500

interface Pace {
  time: number
  readonly listeners: Set<() => void>
}
const paces = new Map<number, Pace>()
let timer: ReturnType<typeof setInterval> | undefined

function paceOf(everyMs: number): Pace {
  const pace = paces.get(everyMs) ?? { time: clock.now(), listeners: new Set() }
  paces.set(everyMs, pace)
  return pace
}

function tick(): void {
  const now = clock.now()
  for (const [everyMs, pace] of paces) {
    // A tick may come a little early; a clock that was set back is followed too.
    if (pace.listeners.size === 0 || Math.abs(now - pace.time) < everyMs - TICK_MS / 2) continue
    pace.time = now
    for (const listener of pace.listeners) listener()
  }
}

function listen(pace: Pace, receive: () => void): () => void {
  pace.listeners.add(receive)
  timer ??= setInterval(tick, TICK_MS)
  return () => {
    pace.listeners.delete(receive)
    if ([...paces.values()].some(({ listeners }) => listeners.size > 0)) return
    clearInterval(timer)
    timer = undefined
  }
}

/** What a pace says: its last tick, or now when nobody was there to be told of one. */
function timeOf(pace: Pace): number {
  const now = clock.now()
  if (pace.listeners.size === 0 && Math.abs(now - pace.time) >= TICK_MS) pace.time = now
  return pace.time
}

/**
 * The time, told again each so many milliseconds. One timer ticks for the whole page, however many ask, and all
 * who ask for the same pace are told the same instant.
 */
export function useNow(everyMs = 1000): number {
  const pace = paceOf(everyMs)
  const subscribe = useCallback((hear: () => void) => listen(pace, hear), [pace])
  return useSyncExternalStore(subscribe, () => timeOf(pace))
}
