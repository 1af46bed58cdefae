import type { MeltId, RunId } from '../../ids'
import type { MeltWindow } from '../../heating/heatingPlan'
import { rateOf } from '../../heating/rateOf'
import { type HeatingKnown, misreadSentence, outOfLine } from '../../thermometer/misread'
import { decimalsOf } from '../../weighing/reading'
import type { View } from '../fold'
import type { Trace } from '../kinds/trace/kind'
import { groupedBy, latestLine, linesOf, memoize } from '../read'

/** What is on record of a run’s temperature, heard or typed. */
export interface Readings {
  /** °C by sample number; one sample a second of instrument time. */
  readonly probeC: ReadonlyMap<number, number>
  /** The same without readings by eye that lie where the heating cannot have been: what a rate is worked out from. */
  readonly steadyC: ReadonlyMap<number, number>
  /** Those left out of them, each with a question. */
  readonly oddAt: ReadonlyMap<number, string>
  readonly decimals: number
  readonly lastSample: number
  /** Light through each tube by sample number, where the instrument reads it. */
  readonly light: ReadonlyMap<number, readonly number[]>
  /** True when what is on record was read by eye and typed. */
  readonly byEye: boolean
}

const NO_READINGS: Readings = {
  probeC: new Map(),
  steadyC: new Map(),
  oddAt: new Map(),
  decimals: 1,
  lastSample: 0,
  light: new Map(),
  byEye: false,
}
/** Every recorded reading of a run. */
export function readingsOf(view: View, melt: MeltId, run: RunId): Readings {
  return readingsByRun(view, melt).get(run) ?? NO_READINGS
}
const readingsByRun = memoize((view: View, melt: MeltId): ReadonlyMap<RunId, Readings> => {
  const traces = linesOf(view, melt, 'trace')
  if (traces.length === 0) return typedReadings(view, melt)
  const groups = groupedBy(traces, ({ body }) => body.run)
  return new Map([...groups].map(([run, lines]) => [run, flatten(lines.map(({ body }) => body))]))
})

function flatten(traces: readonly Trace[]): Readings {
  const probeC = new Map<number, number>()
  const lit = new Map<number, readonly number[]>()
  let lastSample = 0
  for (const { firstSample, probeC: values, light } of traces) {
    values.forEach((value, i) => probeC.set(firstSample + i, value))
    light?.forEach((value, i) => lit.set(firstSample + i, value))
    lastSample = Math.max(lastSample, firstSample + values.length - 1)
  }
  return {
    probeC,
    steadyC: probeC,
    oddAt: new Map(),
    decimals: traces[0]?.decimals ?? 1,
    lastSample,
    light: lit,
    byEye: false,
  }
}

/** What was read by eye, at the second it was read. */
function typedReadings(view: View, melt: MeltId): ReadonlyMap<RunId, Readings> {
  const groups = groupedBy(linesOf(view, melt, 'temperature typed'), ({ body }) => body.run)
  const window = latestLine(view, melt, 'melt planned')?.body.window
  return new Map(
    [...groups].map(([run, typed]) => {
      const probeC = new Map(typed.map(({ body }) => [Math.round(body.atS), body.temperature.value]))
      const inTime = [...probeC].sort(([p], [q]) => p - q)
      const read = inTime.map(([atS, valueC]) => ({ atS, valueC }))
      const odd = window ? outOfLine(read, heatingKnown(window)) : []
      const oddAt = new Map(
        odd.flatMap((one) => {
          const at = read[one.index]
          return at ? [[at.atS, misreadSentence(at.valueC, one)] as const] : []
        }),
      )
      return [
        run,
        {
          probeC,
          steadyC: new Map(inTime.filter(([atS]) => !oddAt.has(atS))),
          oddAt,
          decimals: Math.max(...typed.map(({ body }) => decimalsOf(body.temperature))),
          lastSample: Math.max(...probeC.keys()),
          light: new Map(),
          byEye: true,
        },
      ]
    }),
  )
}

/** What the plan says of the heating, for a reading to be held against. */
export function heatingKnown(window: MeltWindow): HeatingKnown {
  return { startC: window.startC, stopC: window.stopC, slowCPerMin: window.rateCPerMin }
}

/** More samples than this tell nothing more of a rate. */
const RATE_SAMPLES_MOST = 120

/**
 * Heating rate over a stretch of a run from instrument time, °C/min; null when too little is on record.
 *
 * @param fromC readings below this are of the way up and count for nothing, °C
 */
export function rateBetween(
  readings: Readings,
  fromS: number,
  toS: number,
  fromC = -Infinity,
): number | null {
  const from = Math.round(Math.min(fromS, toS - 60))
  const samples: [number, number][] = []
  // A reading by eye stands at the whole second next to it, which may be after.
  for (let s = Math.max(readings.byEye ? 0 : 1, from); s <= Math.round(toS); s++) {
    const value = readings.steadyC.get(s)
    if (value !== undefined && value >= fromC) samples.push([s / 60, value])
  }
  const last = samples[samples.length - 1]
  const first = samples[0]
  if (!last || !first) return null
  const thinned = samples.filter(
    (_, i) => i % Math.max(1, Math.ceil(samples.length / RATE_SAMPLES_MOST)) === 0,
  )
  return rateOf(thinned, last[0] - first[0] + 1)
}
