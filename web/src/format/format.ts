import type { Weighed } from '@ivory-crystal/core/notebook'
import type { Quantity } from '@ivory-crystal/core/units'
import { decimalsOf } from '@ivory-crystal/core/weighing'
import { clock as pageClock } from '../clock/clock'

/** Everything a number looks like on screen is decided here. */
const MINUS = '−'

export function fixed(value: number, decimals: number): string {
  return value.toFixed(decimals).replace('-', MINUS)
}

/** A value to the digits its standard uncertainty leaves standing, with that uncertainty (k = 2): 77.13 ± 0.04. */
export function withUncertainty({ value, standardUncertainty }: Quantity): string {
  const expanded = 2 * standardUncertainty
  const decimals = expanded > 0 ? Math.min(6, Math.max(0, -Math.floor(Math.log10(expanded)))) : 2
  return `${fixed(value, decimals)} ± ${fixed(expanded, decimals)}`
}

/** A volume as it is poured: two decimals under 1 mL, one under 100 mL, none above. */
export function millilitres(value: number): string {
  return fixed(value, value < 1 ? 2 : value < 100 ? 1 : 0)
}

/** A mass that is estimated, g: three decimals under half a gram, two under 100 g, one above. */
export function grams(value: number): string {
  return fixed(value, value < 0.5 ? 3 : value < 100 ? 2 : 1)
}

/** Net mass to the digits the balance gave. */
export function netMassText(body: Weighed): string {
  if (body.method === 'tared') return body.net.text
  const decimals = Math.max(decimalsOf(body.empty), decimalsOf(body.loaded))
  return fixed(body.loaded.value - body.empty.value, decimals)
}

const MONTHS = ['Jan', 'Feb', 'Mar', 'Apr', 'May', 'Jun', 'Jul', 'Aug', 'Sep', 'Oct', 'Nov', 'Dec'] as const
const calendars = new Map<string, Intl.DateTimeFormat>()

type Parts = Readonly<Record<string, string>>
const MINUTE_MS = 60_000
/** What was written already, by zone and minute: a screen writes the same times of day each second. */
const written = new Map<string, Parts>()
const WRITTEN_MOST = 2000

/** A moment on the calendar and clock of the page's zone. */
function partsOf(at: number): Parts {
  const zone = pageClock.zone()
  const key = `${Math.floor(at / MINUTE_MS)} ${zone}`
  const known = written.get(key)
  if (known) return known
  if (written.size >= WRITTEN_MOST) written.clear()
  const calendar =
    calendars.get(zone) ??
    new Intl.DateTimeFormat('en-GB', {
      timeZone: zone,
      year: 'numeric',
      month: 'numeric',
      day: 'numeric',
      hour: '2-digit',
      minute: '2-digit',
      hourCycle: 'h23',
    })
  calendars.set(zone, calendar)
  const parts = Object.fromEntries(calendar.formatToParts(at).map(({ type, value }) => [type, value]))
  written.set(key, parts)
  return parts
}

function dayOf({ day = '', month = '' }: Readonly<Record<string, string>>): string {
  return `${Number(day)} ${MONTHS[Number(month) - 1] ?? ''}`
}

/** Time of day, 14:05. */
export function clock(at: number): string {
  const { hour = '', minute = '' } = partsOf(at)
  return `${hour}:${minute}`
}

/** `today 14:05`, or `24 Nov, 14:05` on another day. */
export function dayAndClock(at: number, now: number): string {
  return day(at) === day(now) ? `today ${clock(at)}` : `${dayOf(partsOf(at))}, ${clock(at)}`
}

/** 24 Nov 2026. */
export function day(at: number): string {
  const parts = partsOf(at)
  return `${dayOf(parts)} ${parts['year'] ?? ''}`
}

/** 24 Nov. */
export function shortDay(at: number): string {
  return dayOf(partsOf(at))
}

/** 9:05 of a span. */
export function span(ms: number): string {
  const seconds = Math.max(0, Math.round(ms / 1000))
  const minutes = Math.floor(seconds / 60)
  return `${minutes}:${String(seconds % 60).padStart(2, '0')}`
}

/** What a clock shows: 9:05, and that its time is up once it is. */
export function left(ms: number): string {
  return ms <= 0 ? TIME_UP : span(ms)
}
export const TIME_UP = 'time up'

/** How long something takes, as far as anybody can say: “about 20 min”, never to the second. */
export function aboutMinutes(minutes: number): string {
  if (minutes < 1) return 'under a minute'
  if (minutes < 100) return `about ${minutes < 10 ? Math.round(minutes) : 5 * Math.round(minutes / 5)} min`
  return `about ${fixed(minutes / 60, 1)} h`
}

export function capital(text: string): string {
  return text.charAt(0).toUpperCase() + text.slice(1)
}

/** Parts in whole numbers that come to the whole number of them all. */
export function wholeParts(parts: readonly number[]): readonly number[] {
  const upTo = (end: number) => Math.round(parts.slice(0, end).reduce((sum, part) => sum + part, 0))
  return parts.map((_, i) => upTo(i + 1) - upTo(i))
}
