import type { View } from '../notebook/fold'
import type { EpochMs } from '../ids'
import type { MarkedTube } from '../notebook/kinds/practice-done/kind'
import { practiceLines } from './progress'

/** Tubes given to a class: one try each, the answers sealed until it is handed in. */
export interface Practical {
  readonly id: string
  readonly title: string
  /** The codes of its tubes, in order. */
  readonly tubes: readonly string[]
}
/** One tube as a learner marked it and as it was, °C. */
interface PracticalTube extends MarkedTube {
  readonly firstC: number | null
  readonly allC: number | null
  readonly wasFirstC: number
  readonly wasAllC: number
  readonly tookS: number
}
/** What a learner hands in. */
export interface PracticalResults {
  readonly practical: string
  readonly title: string
  /** As the learner is known to the lab: a bench, a number. */
  readonly learner: string
  readonly handedInAtMs: EpochMs
  readonly tubes: readonly (PracticalTube | null)[]
}

/** Which tubes of a practical have had their one try in this notebook. */
export function triedTubes(view: View, { id }: Pick<Practical, 'id'>): ReadonlyMap<number, Tried> {
  const tried = new Map<number, Tried>()
  for (const { body } of practiceLines(view)) {
    const { practical, tubes, tookS } = body
    // The first try counts, whatever was written after it.
    if (practical?.id === id && !tried.has(practical.tube))
      tried.set(practical.tube, { ...(tubes[0] ?? NOTHING), tookS })
  }
  return tried
}
interface Tried extends MarkedTube {
  readonly tookS: number
}
const NOTHING: MarkedTube = { firstErrorC: null, allErrorC: null }

/** One tube of what is handed in: its marks from their errors, beside what it did, °C. */
export function practicalTube(tried: Tried, wasFirstC: number, wasAllC: number): PracticalTube {
  const marked = (errorC: number | null, wasC: number) =>
    errorC === null ? null : Math.round(10 * (wasC + errorC)) / 10
  return {
    ...tried,
    wasFirstC,
    wasAllC,
    firstC: marked(tried.firstErrorC, wasFirstC),
    allC: marked(tried.allErrorC, wasAllC),
  }
}

const HEADINGS = [
  'practical',
  'learner',
  'handed in (UTC)',
  'tube',
  'first liquid marked (°C)',
  'first liquid was (°C)',
  'error of first liquid (°C)',
  'all liquid marked (°C)',
  'all liquid was (°C)',
  'error of all liquid (°C)',
  'time taken (s)',
]

/** The sheet of results, a row a tube: decimal points, UTF-8, units in the headings. */
export function resultsTable(results: readonly PracticalResults[]): readonly (readonly string[])[] {
  const c = (value: number | null | undefined) =>
    value === null || value === undefined ? '' : value.toFixed(1)
  return [
    HEADINGS,
    ...results.flatMap(({ title, learner, handedInAtMs, tubes }) =>
      tubes.map((tube, i) => [
        title,
        learner,
        new Date(handedInAtMs).toISOString().slice(0, 19),
        `${i + 1}`,
        c(tube?.firstC),
        c(tube?.wasFirstC),
        c(tube?.firstErrorC),
        c(tube?.allC),
        c(tube?.wasAllC),
        c(tube?.allErrorC),
        tube ? tube.tookS.toFixed(0) : '',
      ]),
    ),
  ]
}
