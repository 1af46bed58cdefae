import { type PrepFacts, rangesOf } from '@ivory-crystal/core/notebook'
import { eutecticOf } from '@ivory-crystal/core/planning'
import { fixed } from '../format/format'
import { RangeLadder } from '../drawings/RangeLadder'
import { useNotebook } from '../ledger/notebook'
import { ladderRows } from './ladderRows'

/** The ladder of one prep, with what is known of its eutectic and what is wrong with a range. */
export function PrepLadder({
  prep,
  isBrief = false,
}: {
  prep: PrepFacts
  /** For one page: closer together, without tubes in which nothing was read; why is said below all the same. */
  isBrief?: boolean
}) {
  const view = useNotebook((state) => state.view)
  const rows = ladderRows(view, prep.id).filter(
    ({ onset, clear }) => !isBrief || onset !== null || clear !== null,
  )
  if (rows.length === 0) return null
  const { compound } = prep.opened.body
  const line = eutecticOf(prep)
  const ranges = rangesOf(view, prep.id)
  const rule = ranges[0]?.conventions.onsetRule
  const simulated = ranges.some(({ isSimulated }) => isSimulated)
  return (
    <>
      <RangeLadder
        rows={rows}
        isDense={isBrief}
        literature={{ lowC: compound.meltLowC, highC: compound.meltHighC }}
        eutectic={
          line && {
            temperatureC: line.temperatureC,
            label: `eutectic with ${line.impurity} ${fixed(line.temperatureC, 1)}${line.estimated ? ', estimated' : ''}`,
          }
        }
        note={`${simulated ? 'simulated; ' : ''}${ranges.some((row) => row.corrected) ? 'corrected if the raw range is shown too, otherwise raw' : 'raw, as it was read'}; onset is the ${rule === 'first wetness' ? 'first wetness' : 'first distinct drop'}`}
      />
      {ranges
        .filter((row) => row.hasRun && (row.trouble ?? row.doubt) !== null)
        .map((row) => (
          <p key={`${row.melt} ${row.slot}`} className="look">
            {row.label}: {row.trouble ?? row.doubt}
          </p>
        ))}
    </>
  )
}
