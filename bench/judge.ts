/** Plays made situations whose truth is known and prints how the judge did: `npm run judge-bench [cases] [from seed]`. */
import { madeTable } from '../core/golden/madeCases'

const [cases = 5000, from = 1] = process.argv.slice(2).map(Number)
const table = madeTable(cases, from)
const percent = (count: number) => `${((100 * count) / table.cases).toFixed(1)} %`
const rows: readonly (readonly [string, number])[] = [
  ['verdict right', table.right],
  ['verdict defensible', table.defensible],
  ['verdict wrong', table.wrong],
  ['first advice leads nearer', table.nearer],
  ['first advice leads sideways', table.sideways],
  ['first advice leads away', table.away],
  ['verdict after run 1', table.runs['1']],
  ['verdict after run 2', table.runs['2']],
  ['verdict after run 3', table.runs['3']],
  ['verdict after run 4 or 5', table.runs['4 or 5']],
  ['no verdict in five runs', table.runs.never],
]
console.log(
  `${table.cases} made situations; runs to a verdict: median ${table.medianRuns}, 95th percentile ${table.percentile95Runs}; median ${table.medianMin.toFixed(0)} min at the bench`,
)
for (const [name, count] of rows)
  console.log(`${name.padEnd(30)}${String(count).padStart(7)}  ${percent(count)}`)
for (const { made, reading, first, runs, advice } of table.worst)
  console.log(
    JSON.stringify({ ...made, reading, verdict: first.verdict, first: first.actions[0]?.code, runs, advice }),
  )
