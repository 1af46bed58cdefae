import type { PrepId } from '@ivory-crystal/core/ids'
import { latestRange, meltOf, type RangeRow, rangesOf, type View } from '@ivory-crystal/core/notebook'
import type { Reading } from '@ivory-crystal/core/units'
import { decimalsOf } from '@ivory-crystal/core/weighing'
import { fixed, shortDay } from '../format/format'
import type { LadderRow } from '../drawings/LadderRung'

/** A prep's ranges as rungs of the ladder. */
export function ladderRows(view: View, prep: PrepId): readonly LadderRow[] {
  const rows = rangesOf(view, prep).filter((row) => row.hasRun)
  const judged = latestRange(rows, 'product')
  return rows.map((row) => ({
    ...ladderRow(row, row.role === 'crude' ? 'crude' : row.role === 'product' ? 'product' : 'other'),
    where:
      rows.filter(({ sample }) => sample === row.sample).length > 1
        ? whereOf(view, row, judged !== null && judged.melt === row.melt && judged.slot === row.slot)
        : undefined,
  }))
}

/** Instrument and day of a range, and whether it is the one that is judged. */
function whereOf(view: View, row: RangeRow, isJudged: boolean): string {
  const at = meltOf(view, row.melt)?.run?.started.at
  const on = `${row.instrumentName.toLowerCase()}${at === undefined ? '' : `, ${shortDay(at)}`}`
  return isJudged ? `${on} · judged` : on
}

/** One range as a rung of the ladder. */
export function ladderRow(row: RangeRow, tone: LadderRow['tone']): LadderRow {
  return {
    key: `${row.melt} ${row.slot}`,
    label: row.role === 'crude' ? 'Crude' : row.role === 'product' ? 'Product' : row.label,
    note: noteOf(row),
    ...shownEnds(row),
    signs: row.signs,
    tone,
  }
}

/** Both ends, corrected where a calibration was on hand, to the digits that were read. */
export function shownEnds({ onset, clear, corrected }: RangeRow): Pick<LadderRow, 'onset' | 'clear'> {
  return { onset: shown(onset, corrected?.onsetC), clear: shown(clear, corrected?.clearC) }
}

function shown(raw: Reading | null, correctedC: number | undefined): Reading | null {
  if (!raw || correctedC === undefined) return raw
  const text = fixed(correctedC, decimalsOf(raw))
  return { text, value: correctedC }
}

function noteOf(row: RangeRow): string {
  const rate = `${fixed(row.rateCPerMin, 1)} °C/min${row.rateMeasured ? '' : ' planned'}`
  const raw = row.corrected && row.onset && row.clear ? `raw ${row.onset.text} to ${row.clear.text}` : rate
  const below = row.onsetBelow ? `, begins below ${row.onsetBelow.text}` : ''
  const by = row.by === 'eye' ? '' : row.by === 'light' ? ', by light' : ', copied'
  return row.purpose === 'scouting' ? `scouting · ${raw}${below}` : `tube ${row.slot} · ${raw}${by}${below}`
}
