import classNames from 'classnames'
import css from './RangesInNumbers.module.css'
import { type PrepFacts, type RangeRow, rangesOf } from '@ivory-crystal/core/notebook'
import type { Reading } from '@ivory-crystal/core/units'
import { decimalsOf } from '@ivory-crystal/core/weighing'
import type { LadderRow } from '../../drawings/LadderRung'
import { shownEnds } from '../../parts/ladderRows'
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
          <th>sample</th>
          <th className="num">as read, °C</th>
          {isCorrected && <th className="num">corrected, °C</th>}
          <th className="num">width, °C</th>
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
            <td className="num">{between(row)}</td>
            {isCorrected && <td className="num">{row.corrected ? between(shownEnds(row)) : '–'}</td>}
            <td className="num">{widthOf(row)}</td>
          </tr>
        ))}
      </tbody>
    </table>
  )
}

function between({ onset, clear }: Pick<LadderRow, 'onset' | 'clear'>): string {
  if (!onset && !clear) return '–'
  if (!clear) return `from ${onset?.text ?? ''}`
  return onset ? `${onset.text} to ${clear.text}` : `to ${clear.text}`
}

const printed = ({ text }: Reading) => Number(text.replace('−', '-'))

/** Of the numbers that stand beside it, not of what they were rounded from. */
function widthOf(row: RangeRow): string {
  const { onset, clear } = shownEnds(row)
  return onset && clear ? fixed(printed(clear) - printed(onset), decimalsOf(clear)) : '–'
}

/** A thermometer read by eye was read a little after the mark. */
function typedIn({ typed: { onset, clear } }: RangeRow): string {
  const read = [onset, clear].flatMap((one) =>
    one && one.lateS >= 1 ? `${one.reading.text} read ${fixed(one.lateS, 0)} s after the mark` : [],
  )
  return read.length === 0 ? '' : `; ${read.join(', ')}; here as it was at the mark, by the heating rate`
}
