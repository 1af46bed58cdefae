import { useState } from 'react'
import Button from 'react-bootstrap/Button'
import {
  CANDIDATES_MOST,
  type Compound,
  compoundsWithin,
  readReading,
  type UnknownFacts,
  windowFor,
} from '@ivory-crystal/core'
import { fixed } from '../../format/format'
import { CompoundField, compoundNamed } from '../../parts/CompoundField'
import { Field } from '../../parts/Field'
import { useNotebook, write } from '../../ledger/notebook'
import { SealAnswer } from './SealAnswer'

/** Where the candidates come from: handed out by the instructor, or what the shelf holds within a window. */
export function ListCandidates({ unknown }: { unknown: UnknownFacts }) {
  const shelf = useNotebook((state) => state.shelf)
  const [typed, setTyped] = useState('')
  const [said, setSaid] = useState<string | null>(null)
  const listed = unknown.candidates.map(({ compound }) => compound)
  const list = (candidates: readonly Compound[]) => {
    write({
      kind: 'candidates listed',
      subject: unknown.id,
      body: { candidates, from: 'the instructor', window: null },
    })
  }
  return (
    <aside className="stack">
      <form
        aria-label="Add a candidate"
        noValidate
        onSubmit={(event) => {
          event.preventDefault()
          const compound = compoundNamed(shelf, typed)
          if (!compound)
            return setSaid(
              `The shelf knows no “${typed.trim()}”. Put it on the shelf first, with its melting range.`,
            )
          if (listed.some(({ id }) => id === compound.id))
            return setSaid(`${compound.name} stands on the list already.`)
          if (listed.length >= CANDIDATES_MOST) return setSaid(`A list of ${CANDIDATES_MOST} is full.`)
          list([...listed, compound])
          setTyped('')
          setSaid(null)
        }}
      >
        <h3>The list you were given</h3>
        <div className="row-of align-items-start mt-2">
          <div className="flex-grow-1">
            <CompoundField
              label="add a candidate"
              value={typed}
              invalid={said === null ? false : 'alert'}
              help={said ?? 'by its name or another name of it'}
              onChange={(value) => {
                setTyped(value)
                setSaid(null)
              }}
            />
          </div>
          <Button type="submit" variant="outline-primary" style={{ marginTop: 23 }}>
            Add it
          </Button>
        </div>
        {listed.length > 0 && (
          <p className="quiet mt-2 mb-0">
            {listed.length} on the list, from {unknown.listed?.body.from ?? 'the instructor'}.
          </p>
        )}
      </form>
      <FromShelf unknown={unknown} />
      <SealAnswer unknown={unknown} />
    </aside>
  )
}

/** Everything on the shelf whose literature range meets a window about what was found. */
function FromShelf({ unknown }: { unknown: UnknownFacts }) {
  const shelf = useNotebook((state) => state.shelf)
  const found = unknown.careful ?? unknown.scouting
  const proposed = found ? windowFor({ clearC: found.clear.value }) : null
  const [low, setLow] = useState(proposed ? String(proposed.lowC) : '')
  const [high, setHigh] = useState(proposed ? String(proposed.highC) : '')
  const [said, setSaid] = useState<string | null>(null)
  const [lowC, highC] = [readReading(low, 'The lower end'), readReading(high, 'The upper end')]
  const window = lowC.ok && highC.ok ? { lowC: lowC.value.value, highC: highC.value.value } : null
  const within = window && shelf ? compoundsWithin(shelf.compounds, window) : []
  return (
    <form
      aria-label="Candidates from the shelf"
      noValidate
      onSubmit={(event) => {
        event.preventDefault()
        if (!lowC.ok) return setSaid(lowC.problem.sentence)
        if (!highC.ok) return setSaid(highC.problem.sentence)
        if (!window || window.lowC > window.highC)
          return setSaid('The window runs backwards: its lower end lies above the upper.')
        if (within.length === 0)
          return setSaid('The shelf holds nothing that melts there. Widen the window, or add a compound.')
        if (within.length > CANDIDATES_MOST)
          return setSaid(
            `${within.length} compounds melt there, too many to test by mixture. Narrow the window.`,
          )
        setSaid(null)
        write({
          kind: 'candidates listed',
          subject: unknown.id,
          body: { candidates: within, from: 'the shelf', window },
        })
      }}
    >
      <h3>Or all the shelf holds near it</h3>
      <div className="row-of align-items-end mt-2">
        <Field label="from, °C" width={90} value={low} onChange={setLow} />
        <Field label="to, °C" width={90} value={high} onChange={setHigh} />
        <Button type="submit" variant="outline-primary">
          List {within.length} compounds
        </Button>
      </div>
      <p className="form-text mb-0">
        {proposed
          ? `It was all liquid near ${fixed(found?.clear.value ?? 0, 0)} °C. Impurity lowers a range and does not raise it, so look further above than below.`
          : 'After the scouting run a window is proposed here.'}{' '}
        Reference values are general: check them against your handbook.
      </p>
      {said && (
        <p className="look" role="alert">
          {said}
        </p>
      )}
    </form>
  )
}
