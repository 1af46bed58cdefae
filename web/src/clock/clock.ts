/** The zone is asked for anew this often, or as soon as the hour is another, ms: asking takes as long as writing ten times of day. */
const ZONE_HOLDS_MS = 30_000
let zone = { name: '', offsetMin: NaN, askedAtMs: -Infinity }

/** The page's one clock: everything that asks for the time or the zone asks here, and tests put another in its place. */
export const clock = {
  /** Milliseconds since 1970 UTC. */
  now: () => Date.now(),
  /** Milliseconds that only ever grow, for spans within this page. */
  elapsed: () => performance.now(),
  /** Zone the times of day are shown in, by its IANA name. */
  zone(): string {
    const nowMs = performance.now()
    const offsetMin = new Date().getTimezoneOffset()
    if (offsetMin !== zone.offsetMin || nowMs - zone.askedAtMs > ZONE_HOLDS_MS)
      zone = { name: Intl.DateTimeFormat().resolvedOptions().timeZone, offsetMin, askedAtMs: nowMs }
    return zone.name
  },
}
