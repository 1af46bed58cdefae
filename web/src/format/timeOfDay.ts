import { clock as clockText } from './format'

const MINUTE_MS = 60_000
const DAY_MIN = 1440

/** Minutes since midnight of 14:05, typed 14.05 or 1405 too; null where it is no time of day. */
export function minutesOf(text: string): number | null {
  const found = /^(\d{1,2})[:.h]?(\d{2})$/.exec(text.trim())
  const [hours, minutes] = [Number(found?.[1]), Number(found?.[2])]
  return found && hours < 24 && minutes < 60 ? 60 * hours + minutes : null
}

/**
 * The moment nearest to another at which clocks of the page’s zone show a time of day, ms since 1970.
 *
 * @param text 14:05
 * @returns null where it is no time of day, or clocks are put forward past it that day
 */
export function momentAt(text: string, nearMs: number): number | null {
  const wanted = minutesOf(text)
  if (wanted === null) return null
  let at = Math.floor(nearMs / MINUTE_MS) * MINUTE_MS
  // Twice, since clocks may be put forward or back between the two.
  for (let i = 0; i < 2; i++) {
    let byMin = wanted - (minutesOf(clockText(at)) ?? 0)
    if (byMin > DAY_MIN / 2) byMin -= DAY_MIN
    if (byMin < -DAY_MIN / 2) byMin += DAY_MIN
    at += byMin * MINUTE_MS
  }
  return minutesOf(clockText(at)) === wanted ? at : null
}

/** The next such moment after another. */
export function momentAfter(text: string, afterMs: number): number | null {
  const at = momentAt(text, afterMs + (DAY_MIN / 2) * MINUTE_MS)
  if (at === null) return null
  return at > afterMs ? at : momentAt(text, at + DAY_MIN * MINUTE_MS)
}
