/** Time, handed in everywhere so that tests can hold it still. */
export interface Clock {
  /** Milliseconds since 1970 UTC. */
  now(): number
  /** Calls back every so many milliseconds; the answer stops it. */
  every(ms: number, run: () => void): () => void
}

export const SYSTEM_CLOCK: Clock = {
  now: () => Date.now(),
  every(ms, run) {
    const timer = setInterval(run, ms)
    return () => {
      clearInterval(timer)
    }
  },
}
