import type { SampleId } from '../../ids'
import type { MeltingRange } from '../../melting/meltingRange'
import { zeroRateRange } from '../../heating/observedRange'
import { determinations } from '../../repeats/determinations'
import { judgedRange, type RangeRow } from './ranges'

/** Several determinations of one sample on one instrument. */
export interface Repeats {
  readonly sample: SampleId
  readonly label: string
  readonly instrumentName: string
  readonly count: number
  readonly mean: MeltingRange
  /** Greatest less least of each end, °C. */
  readonly spreadC: { readonly onset: number; readonly clear: number }
  /** True when both ends repeat within what house rules allow. */
  readonly repeats: boolean
  /** Extrapolated to infinitely slow heating; null with one rate only, or where the ends do not fit a line. */
  readonly zeroRate: MeltingRange | null
  readonly rates: readonly number[]
  /** Ranges one of whose ends does not belong with the rest; they stay in the mean. */
  readonly outliers: readonly string[]
}

/** Two rates closer than this are one rate, °C/min. */
const SAME_RATE = 0.25

/** Every sample with two complete careful ranges or more. */
export function repeatsOf(rows: readonly RangeRow[]): readonly Repeats[] {
  const bySample = new Map<string, (RangeRow & { readonly range: MeltingRange })[]>()
  for (const row of rows) {
    if (!row.onset || !row.clear || row.trouble || row.purpose !== 'careful') continue
    const range = judgedRange({ ...row, onset: row.onset, clear: row.clear })
    const key = `${row.sample} ${row.instrumentName}`
    bySample.set(key, [...(bySample.get(key) ?? []), { ...row, range }])
  }
  return [...bySample.values()].flatMap((of) => {
    const last = of[of.length - 1]
    if (of.length < 2 || !last) return []
    const { repeatWithinC } = last.conventions
    const ends = (end: keyof MeltingRange) =>
      determinations(
        of.map(({ range }) => range[end]),
        repeatWithinC,
      )
    const [onset, clear] = [ends('onsetC'), ends('clearC')]
    const rates = of.map(({ rateCPerMin }) => rateCPerMin)
    const odd = [...new Set([...onset.outliers, ...clear.outliers])].sort((p, q) => p - q)
    return [
      {
        sample: last.sample,
        label: last.label,
        instrumentName: last.instrumentName,
        count: of.length,
        mean: { onsetC: onset.mean, clearC: clear.mean },
        spreadC: { onset: onset.spread, clear: clear.spread },
        repeats: Math.max(onset.spread, clear.spread) <= repeatWithinC,
        zeroRate: Math.max(...rates) - Math.min(...rates) > SAME_RATE ? lookedBack(of) : null,
        rates,
        outliers: odd.flatMap((i) => {
          const one = of[i]
          return one ? [`${one.range.onsetC.toFixed(1)} to ${one.range.clearC.toFixed(1)} °C`] : []
        }),
      },
    ]
  })
}

function lookedBack(of: readonly (Pick<RangeRow, 'rateCPerMin'> & { readonly range: MeltingRange })[]) {
  const range = zeroRateRange(of.map(({ range: read, rateCPerMin }) => ({ rateCPerMin, ...read })))
  // Scatter can throw the two lines past each other: then they say nothing.
  return range.onsetC <= range.clearC ? range : null
}
