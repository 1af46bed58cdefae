import { rangesOf, type PrepId, type RangeRow, type View } from '@ivory-crystal/core'
import { fixed } from '../format/format'
import type { LadderRow } from '../signature/RangeLadder'

/** A prep's ranges as rungs of the ladder. */
export function ladderRows(view: View, prep: PrepId): readonly LadderRow[] {
  return rangesOf(view, prep)
    .filter((row) => row.hasRun)
    .map((row) => ({
      key: `${row.melt} ${row.slot}`,
      label: row.role === 'crude' ? 'Crude' : row.role === 'product' ? 'Product' : row.label,
      note: noteOf(row),
      onset: row.onset,
      clear: row.clear,
      signs: row.signs,
      tone: row.role === 'crude' ? 'crude' : row.role === 'product' ? 'product' : 'other',
    }))
}

function noteOf(row: RangeRow): string {
  return `tube ${row.slot} · ${fixed(row.rateCPerMin, 1)} °C/min${row.rateMeasured ? '' : ' planned'}`
}
