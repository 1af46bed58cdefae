/** The first screen stands when nothing was fetched and nothing worked out for so long, ms. */
const QUIET_MS = 1000
/** One that goes on fetching keeps the rest waiting for so long once it stood for the first time, ms. */
const AT_MOST_MS = 3000
const LOOK_MS = 200

let quiet: Promise<void> | null = null

/** When the first screen stands and the line is free: what it does without is fetched from then on. */
export function whenQuiet(): Promise<void> {
  quiet ??= new Promise((resolve) => {
    let busyAt = performance.now()
    let stoodAt: number | null = null
    const fetched =
      typeof PerformanceObserver === 'undefined'
        ? null
        : new PerformanceObserver(() => {
            busyAt = performance.now()
          })
    fetched?.observe({ type: 'resource' })
    const timer = setInterval(() => {
      const now = performance.now()
      if (document.querySelector('[aria-busy="true"]')) busyAt = now
      else stoodAt ??= now
      if (now - busyAt < QUIET_MS && now - (stoodAt ?? now) < AT_MOST_MS) return
      clearInterval(timer)
      fetched?.disconnect()
      resolve()
    }, LOOK_MS)
  })
  return quiet
}
