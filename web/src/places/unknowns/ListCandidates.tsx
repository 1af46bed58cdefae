import { checkLines, useLines, useTyped } from '../../parts/useTyped'
import { ok, type Result, refuse } from '@ivory-crystal/core/problems'
import { FieldError } from '../../parts/InlineField'
import {
  type Bodies,
  CANDIDATES_MOST,
  compoundsWithin,
  judgedRange,
  type UnknownFacts,
  windowFor,
} from '@ivory-crystal/core/notebook'
import type { Compound } from '@ivory-crystal/core/substances'
import { readReading } from '@ivory-crystal/core/weighing'
import { useState } from 'react'
import Button from 'react-bootstrap/Button'
import Form from 'react-bootstrap/Form'
import { fixed } from '../../format/format'
import { CompoundField, compoundNamed } from '../../parts/CompoundField'
import { Field } from '../../parts/Field'
import { useNotebook, write } from '../../ledger/notebook'
import { SealAnswer } from './SealAnswer'

/** Where the candidates come from: handed out by the instructor, or what the shelf holds within a window. */
export function ListCandidates({ unknown }: { unknown: UnknownFacts }) {
  const shelf = useNotebook((state) => state.shelf)
  const listed = unknown.candidates.map(({ compound }) => compound)
  const [handedOut, setHandedOut] = useState(unknown.listed?.body.from === 'the instructor')
  const form = useLines({
    start: { name: '' },
    make({ name }) {
      const compound = compoundNamed(shelf, name)
      if (!compound)
        return refuse(`No compound on the shelf is called “${name.trim()}”. You can add it below.`, 'name')
      if (listed.some(({ id }) => id === compound.id))
        return refuse(`${compound.name} is already on the list.`, 'name')
      if (listed.length >= CANDIDATES_MOST) return refuse(`A list of ${CANDIDATES_MOST} is full.`, 'name')
      return ok([
        {
          kind: 'candidates listed',
          subject: unknown.id,
          body: {
            candidates: [...listed, compound],
            from: handedOut ? 'the instructor' : 'this bench',
            window: null,
          },
        },
      ])
    },
  })
  return (
    <aside className="stack">
      <form aria-label="Add a candidate" noValidate onSubmit={form.onSubmit}>
        <h3>Your own list, or the list you were given</h3>
        <div className="row-of align-items-start mt-2">
          <div className="flex-grow-1">
            <CompoundField
              label="add a candidate"
              {...form.of('name')}
              invalid={form.message === null ? false : 'alert'}
              help={form.message ?? 'by any of its names'}
              isAddable
            />
          </div>
          <Button type="submit" variant="outline-primary" style={{ marginTop: 23 }}>
            Add it
          </Button>
        </div>
        <Form.Check
          className="mt-2"
          type="checkbox"
          id="handed-out"
          label="list from the instructor"
          checked={handedOut}
          onChange={(event) => {
            setHandedOut(event.target.checked)
          }}
        />
        {unknown.listed && listed.length > 0 && (
          <p className="quiet mt-2 mb-0">
            {listed.length} on the list, from {unknown.listed.body.from}.
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
  const clearC = found ? judgedRange(found).clearC : null
  const proposed = clearC === null ? null : windowFor({ clearC })
  const form = useTyped({
    start: { low: proposed ? String(proposed.lowC) : '', high: proposed ? String(proposed.highC) : '' },
    make: (typed) => within(typed, shelf?.compounds ?? []),
    check: (body) => checkLines([{ kind: 'candidates listed', subject: unknown.id, body }]),
    keep(body) {
      write({ kind: 'candidates listed', subject: unknown.id, body })
    },
  })
  const window = windowOf(form.typed)
  const near = window.ok && shelf ? compoundsWithin(shelf.compounds, window.value) : []
  return (
    <form aria-label="Candidates from the shelf" noValidate onSubmit={form.onSubmit}>
      <h3>Or compounds from the shelf near its range</h3>
      <div className="row-of align-items-end mt-2">
        <Field label="from, °C" width={90} {...form.of('low')} />
        <Field label="to, °C" width={90} {...form.of('high')} />
        <Button type="submit" variant="outline-primary">
          List {near.length} compounds
        </Button>
      </div>
      <p className="form-text mb-0">
        {clearC !== null
          ? `It was all liquid near ${fixed(clearC, 0)} °C${found?.corrected ? ', corrected' : ''}. Impurity lowers a range and does not raise it, so search further above than below.`
          : 'After the scouting run the app proposes a temperature range here.'}{' '}
        Reference values are general. Check them against your handbook.
      </p>
      <FieldError sentence={form.message} />
    </form>
  )
}

interface TypedWindow {
  readonly low: string
  readonly high: string
}

function windowOf({ low, high }: TypedWindow): Result<{ lowC: number; highC: number }, keyof TypedWindow> {
  const lowC = readReading(low, 'The lower end')
  if (!lowC.ok) return refuse(lowC.problem.sentence, 'low')
  const highC = readReading(high, 'The upper end')
  if (!highC.ok) return refuse(highC.problem.sentence, 'high')
  if (lowC.value.value > highC.value.value) return refuse('The lower end lies above the upper end.', 'low')
  return ok({ lowC: lowC.value.value, highC: highC.value.value })
}

function within(
  typed: TypedWindow,
  compounds: readonly Compound[],
): Result<Bodies['candidates listed'], keyof TypedWindow> {
  const window = windowOf(typed)
  if (!window.ok) return window
  const candidates = compoundsWithin(compounds, window.value)
  if (candidates.length === 0)
    return refuse('No compound on the shelf melts there. Widen the temperature range, or add a compound.')
  if (candidates.length > CANDIDATES_MOST)
    return refuse(
      `${candidates.length} compounds melt there, too many to test by mixture. Narrow the temperature range.`,
    )
  return ok({ candidates, from: 'the shelf', window: window.value })
}
