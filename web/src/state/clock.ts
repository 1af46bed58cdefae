/** The page's clock; tests put another in its place. */
export const clock = {
  /** Milliseconds since 1970 UTC. */
  now: () => Date.now(),
  /** Milliseconds that only ever grow, for spans within this page. */
  elapsed: () => performance.now(),
}
