import classNames from 'classnames'
import css from './RangesInNumbers.module.css'
import { decimalsOf, type PrepFacts, type RangeRow, rangesOf, type Reading } from '@ivory-crystal/core'
import { fixed } from '../../format/format'
import { useNotebook } from '../../ledger/notebook'

/** Every range of the page as numbers: as it was read, corrected where it was, and how wide that is. */
export function RangesInNumbers({ prep }: { prep: PrepFacts }) {
  const view = useNotebook((state) => state.view)
  const rows = rangesOf(view, prep.id).filter(
    ({ hasRun, onset, clear }) => hasRun && (onset !== null || clear !== null),
  )
  if (rows.length === 0) return null
  const isCorrected = rows.some(({ corrected }) => corrected !== null)
  return (
    <table className={classNames('lines mt-2', css.numbers)} aria-label="Melting ranges in numbers">
      <thead>
        <tr>
          <th>melted</th>
          <th className="num">as read, °C</th>
          {isCorrected && <th className="num">corrected, °C</th>}
          <th className="num">wide, °C</th>
        </tr>
      </thead>
      <tbody>
        {rows.map((row) => (
          <tr key={`${row.melt} ${row.slot}`}>
            <td>
              {row.label}{' '}
              <span className="quiet">
                {row.instrumentName.toLowerCase()}, {fixed(row.rateCPerMin, 1)} °C/min
                {row.rateMeasured ? '' : ' planned'}
                {row.purpose === 'scouting' ? ', scouting' : ''}
                {typedIn(row)}
              </span>
            </td>
            <td className="num">{between(row.onset, row.clear)}</td>
            {isCorrected && <td className="num">{between(...correctedOf(row))}</td>}
            <td className="num">{widthOf(row)}</td>
          </tr>
        ))}
      </tbody>
    </table>
  )
}

type Ends = readonly [Reading | null, Reading | null]

/** Corrected to the digits that were read. */
function correctedOf({ onset, clear, corrected }: RangeRow): Ends {
  if (!corrected || !onset || !clear) return [null, null]
  const shown = (raw: Reading, c: number): Reading => {
    const text = fixed(c, decimalsOf(raw))
    return { text, value: Number(text.replace('−', '-')) }
  }
  return [shown(onset, corrected.onsetC), shown(clear, corrected.clearC)]
}

function between(onset: Reading | null, clear: Reading | null): string {
  if (!onset && !clear) return '–'
  if (!clear) return `from ${onset?.text ?? ''}`
  return onset ? `${onset.text} to ${clear.text}` : `to ${clear.text}`
}

/** Of the numbers that stand beside it. */
function widthOf(row: RangeRow): string {
  const [onset, clear] = row.corrected ? correctedOf(row) : [row.onset, row.clear]
  return onset && clear ? fixed(clear.value - onset.value, decimalsOf(clear)) : '–'
}

/** A thermometer read by eye was read a little after the mark. */
function typedIn({ typed: { onset, clear } }: RangeRow): string {
  const read = [onset, clear].flatMap((one) =>
    one && one.lateS >= 1 ? `${one.reading.text} typed ${fixed(one.lateS, 0)} s after its mark` : [],
  )
  return read.length === 0 ? '' : `; ${read.join(', ')}, taken back to it`
}
