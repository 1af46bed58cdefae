import { type RangeRow, rowsOfSample, type UnknownFacts } from '@ivory-crystal/core/notebook'
import { ladderRow } from '../../parts/ladderRows'
import { RangeLadder } from '../../drawings/RangeLadder'
import { useNotebook } from '../../ledger/notebook'

/** The unknown alone, its mixtures, and the authentic samples beside it, over what the candidates' literature spans. */
export function CaseLadder({ unknown }: { unknown: UnknownFacts }) {
  const view = useNotebook((state) => state.view)
  const isShown = ({ hasRun, onset, clear }: RangeRow) => hasRun && (onset !== null || clear !== null)
  const rows = [
    ...unknown.rows.filter(isShown).map((row) => ladderRow(row, 'product')),
    ...unknown.mixtures.flatMap(({ sample, reference, row, referenceBeside }) => [
      ...(row
        ? rowsOfSample(view, sample.id)
            .filter(isShown)
            .map((one) => ladderRow(one, 'crude'))
        : []),
      ...(referenceBeside
        ? [{ ...ladderRow(referenceBeside, 'other'), label: reference.label.replace('Authentic ', 'Auth. ') }]
        : []),
    ]),
  ]
  if (rows.length === 0) return null
  const isSimulated = [...unknown.rows, ...unknown.mixtures.flatMap(({ row }) => row ?? [])].some(
    (row) => row.isSimulated,
  )
  const standing = unknown.candidates.filter(({ ruledOut }) => !ruledOut).map(({ compound }) => compound)
  const lows = standing.map(({ meltLowC }) => meltLowC)
  const highs = standing.map(({ meltHighC }) => meltHighC)
  return (
    <RangeLadder
      rows={rows}
      literature={standing.length > 0 ? { lowC: Math.min(...lows), highC: Math.max(...highs) } : null}
      literatureLabel={standing.length > 1 ? 'all candidates’ literature' : undefined}
      note={`${isSimulated ? 'simulated; ' : ''}corrected if the raw range is shown too, otherwise raw`}
    />
  )
}
