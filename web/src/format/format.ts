import { format as formatDate, isSameDay } from 'date-fns'
import { decimalsOf, type Quantity, type Weighed } from '@ivory-crystal/core'

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

/** Net mass to the digits the balance gave. */
export function netMassText(body: Weighed): string {
  if (body.method === 'tared') return body.net.text
  const decimals = Math.max(decimalsOf(body.empty), decimalsOf(body.loaded))
  return fixed(body.loaded.value - body.empty.value, decimals)
}

export function clock(at: number): string {
  return formatDate(at, 'HH:mm')
}

export function dayAndClock(at: number, now: number): string {
  return isSameDay(at, now) ? `today ${clock(at)}` : formatDate(at, 'd MMM, HH:mm')
}

export function day(at: number): string {
  return formatDate(at, 'd MMM yyyy')
}

/** 9:05 of a span. */
export function span(ms: number): string {
  const seconds = Math.max(0, Math.round(ms / 1000))
  const minutes = Math.floor(seconds / 60)
  return `${minutes}:${String(seconds % 60).padStart(2, '0')}`
}

export function capital(text: string): string {
  return text.charAt(0).toUpperCase() + text.slice(1)
}
