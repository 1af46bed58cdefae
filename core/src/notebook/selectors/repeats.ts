import type { MeltingRange, SampleId } from '../../contract'
import { zeroRateRange } from '../../heating/observedRange'
import { judgedRange, type RangeRow } from './ranges'

/** Several determinations of one sample. */
export interface Repeats {
  readonly sample: SampleId
  readonly label: string
  readonly count: number
  readonly mean: MeltingRange
  /** Greatest less least of each end, °C. */
  readonly spreadC: { readonly onset: number; readonly clear: number }
  /** True when both ends repeat within what house rules allow. */
  readonly repeats: boolean
  /** Extrapolated to infinitely slow heating; null with one rate only. */
  readonly zeroRate: MeltingRange | null
  readonly rates: readonly number[]
}

/** Two rates closer than this are one rate, °C/min. */
const SAME_RATE = 0.25

/** Every sample with two complete careful ranges or more. */
export function repeatsOf(rows: readonly RangeRow[]): readonly Repeats[] {
  const bySample = new Map<SampleId, (RangeRow & { readonly range: MeltingRange })[]>()
  for (const row of rows) {
    if (!row.onset || !row.clear || row.trouble || row.purpose !== 'careful') continue
    const range = judgedRange({ ...row, onset: row.onset, clear: row.clear })
    bySample.set(row.sample, [...(bySample.get(row.sample) ?? []), { ...row, range }])
  }
  return [...bySample.entries()].flatMap(([sample, of]) => {
    const last = of[of.length - 1]
    if (of.length < 2 || !last) return []
    const ends = (end: keyof MeltingRange) => of.map(({ range }) => range[end])
    const mean = (values: readonly number[]) => values.reduce((sum, value) => sum + value, 0) / values.length
    const spread = (values: readonly number[]) => Math.max(...values) - Math.min(...values)
    const [onset, clear] = [spread(ends('onsetC')), spread(ends('clearC'))]
    const rates = of.map(({ rateCPerMin }) => rateCPerMin)
    return [
      {
        sample,
        label: last.label,
        count: of.length,
        mean: { onsetC: mean(ends('onsetC')), clearC: mean(ends('clearC')) },
        spreadC: { onset, clear },
        repeats: Math.max(onset, clear) <= last.conventions.repeatWithinC,
        zeroRate:
          spread(rates) > SAME_RATE
            ? zeroRateRange(of.map(({ range, rateCPerMin }) => ({ rateCPerMin, ...range })))
            : null,
        rates,
      },
    ]
  })
}
