/** The first screen stands when nothing was fetched and nothing worked out for so long, ms. */
const QUIET_MS = 2000
const LOOK_MS = 250
/** A screen that is never quiet does not keep the rest waiting for ever, ms. */
const AT_MOST_MS = 20_000

let quiet: Promise<void> | null = null

/** When the first screen stands and the line is free: what it does without is fetched from then on. */
export function whenQuiet(): Promise<void> {
  quiet ??= new Promise((resolve) => {
    const from = performance.now()
    let busyAt = from
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
      if (now - busyAt < QUIET_MS && now - from < AT_MOST_MS) return
      clearInterval(timer)
      fetched?.disconnect()
      resolve()
    }, LOOK_MS)
  })
  return quiet
}
