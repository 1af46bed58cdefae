import { rankSolvents, solventTradeoff, type CrystallizationInput } from '@ivory-crystal/core/solubility'
import type { Compound } from '@ivory-crystal/core/substances'
import { REFERENCE_COMPOUNDS, REFERENCE_SOLVENTS } from '../core/src/reference/reference'
import { matches, readSearch } from '../web/src/places/shelf/search'
import { ms, type Row } from './table'

const ROWS = 10_000
const ROUNDS = 25

/** Searching ten thousand compounds, and what a drag of the volume asks for. */
export function measureShelf(): Row[] {
  const compounds: Compound[] = Array.from({ length: ROWS }, (_, i) => {
    const row = REFERENCE_COMPOUNDS[i % REFERENCE_COMPOUNDS.length] as (typeof REFERENCE_COMPOUNDS)[number]
    return { ...row, id: `${row.id}-${i}`, name: `${row.name} ${i}`, molarMassGPerMol: 200, source: 'bench' }
  })
  const search = (text: string) =>
    Array.from({ length: ROUNDS }, () =>
      timed(() => {
        const wanted = readSearch(text)
        return compounds.filter((one) => matches(one, wanted))
      }),
    )
  const [benzil] = compounds.filter(({ id }) => id.startsWith('benzil-'))
  const input: CrystallizationInput = {
    crudeG: 1.804,
    assay: 0.9,
    product: [
      [20, 1.9],
      [50, 8.7],
      [78, 46],
    ],
    impurity: [
      [20, 3.2],
      [78, 15],
    ],
    hotC: 78,
    coldC: 2,
    excess: 2,
    washML: 1,
  }
  const drag = Array.from({ length: ROUNDS }, () =>
    timed(() => solventTradeoff(input, { fromML: 0, toML: 20, steps: 60 })),
  )
  const solute = { compound: benzil as Compound, impurity: null, crudeG: 1.804, assay: 0.9 }
  const candidates = REFERENCE_SOLVENTS.map((solvent) => ({
    solvent: { ...solvent, source: 'bench' },
    product: input.product,
    impurity: input.impurity ?? [],
  }))
  const rank = Array.from({ length: ROUNDS }, () => timed(() => rankSolvents(solute, candidates)))
  const row = (what: string, values: readonly number[], aim: string): Row => ({
    what,
    ours: ms(values),
    bare: '',
    ratio: '',
    aim,
  })
  return [
    row(`a name among ${ROWS} compounds`, search('benzoic'), 'at most 16 ms'),
    row(`a melting window among ${ROWS}`, search('90 to 100'), 'at most 16 ms'),
    row('the trade-off curve of a drag, 60 volumes', drag, 'at most 16 ms'),
    row(`${REFERENCE_SOLVENTS.length} solvents ranked`, rank, 'at most 16 ms'),
  ]
}

function timed(run: () => unknown): number {
  const from = performance.now()
  run()
  return performance.now() - from
}
