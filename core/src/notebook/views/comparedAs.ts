import { type CompleteRow, slowRange } from './mixtures'
import { judgedRange } from './ranges'

/**
 * What a range is compared as, in a sentence: the range that stands on the ladder, what heating is taken to have added
 * to it, and what is left. Nothing is taken off in silence.
 */
export function comparedAs(row: CompleteRow): string {
  const shown = judgedRange(row)
  const slow = slowRange(row)
  const text = (range: typeof shown) => `${range.onsetC.toFixed(1)} to ${range.clearC.toFixed(1)} °C`
  // From the digits shown, so that the sentence adds up.
  const tenths = (range: typeof shown) => [range.onsetC, range.clearC].map((t) => Math.round(10 * t))
  const [onset = 0, clear = 0] = tenths(shown)
  const [slowOnset = 0, slowClear = 0] = tenths(slow)
  const late = onset - slowOnset
  const wide = clear - slowClear - late
  const rate = `${row.rateCPerMin.toFixed(1)} °C/min`
  const stood = row.corrected ? 'corrected' : 'as read'
  const taken = [
    ...(late > 0 ? [`${(late / 10).toFixed(1)} °C at both ends`] : []),
    ...(wide > 0 ? [`${(wide / 10).toFixed(1)} °C of the width`] : []),
  ]
  return taken.length === 0
    ? `Used for the comparison: ${text(shown)}, ${stood}. Heating at ${rate} added nothing measurable.`
    : `Used for the comparison: ${text(slow)}. This is ${text(shown)} ${stood}, minus the delay from heating at ${rate}: ${taken.join(', ')}.`
}
