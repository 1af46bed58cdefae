import { fixed } from '../../format/format'

interface Tick {
  readonly value: number
  /** The value itself, to the digits the step needs. */
  readonly text: string
}
export interface Axis {
  readonly from: number
  readonly to: number
  readonly ticks: readonly Tick[]
}

/** The smallest round step (1, 2 or 5 times a power of ten) that divides a span into at most so many parts. */
export function roundStep(span: number, partsMost: number): number {
  const power = 10 ** Math.floor(Math.log10(span / partsMost))
  const factor = [1, 2, 5].find((one) => one * power * partsMost >= span * (1 - 1e-9)) ?? 10
  return factor * power
}

/** Ticks at the multiples of a step from one value to another, each labelled with exactly what it stands at. */
function ticksOf(from: number, to: number, step: number): readonly Tick[] {
  const decimals = Math.max(0, -Math.floor(Math.log10(step) + 1e-9))
  const first = Math.ceil(from / step - 1e-9)
  const count = Math.floor(to / step + 1e-9) - first + 1
  return Array.from({ length: Math.max(0, count) }, (_, i) => {
    const value = Number(((first + i) * step).toFixed(decimals))
    return { value, text: fixed(value, decimals) }
  })
}

/** An axis between two values as they are, with round ticks inside. */
export function axisBetween(from: number, to: number, partsMost: number): Axis {
  return { from, to, ticks: ticksOf(from, to, roundStep(to - from, partsMost)) }
}

/** An axis from zero to the first round value at or above one. */
export function axisUpTo(value: number, partsMost: number): Axis {
  const step = roundStep(value, partsMost)
  const parts = Math.ceil(value / step - 1e-9)
  const to = Number((parts * step).toPrecision(12))
  return { from: 0, to, ticks: ticksOf(0, to, step) }
}

/** The narrowest axis in round steps, from a multiple of the step to another, that holds a span in at most so many parts. */
export function evenAxis(
  from: number,
  to: number,
  partsMost: number,
): { readonly from: number; readonly to: number; readonly parts: number } {
  for (let span = to - from; ; span *= 1.1) {
    const step = roundStep(span, partsMost)
    const first = Math.floor(from / step + 1e-9)
    const parts = Math.ceil(to / step - 1e-9) - first
    const at = (multiple: number) => Number((multiple * step).toPrecision(12))
    if (parts <= partsMost) return { from: at(first), to: at(first + parts), parts }
  }
}
