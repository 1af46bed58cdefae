/** The page's one clock: everything that asks for the time or the zone asks here, and tests put another in its place. */
export const clock = {
  /** Milliseconds since 1970 UTC. */
  now: () => Date.now(),
  /** Milliseconds that only ever grow, for spans within this page. */
  elapsed: () => performance.now(),
  /** Zone the times of day are shown in, by its IANA name. */
  zone: () => Intl.DateTimeFormat().resolvedOptions().timeZone,
}
