import { useLines } from '../../parts/useTyped'
import { Refusal, FieldError } from '../../parts/InlineField'
import { useHouseRules } from '../../parts/useHouseRules'
import Button from 'react-bootstrap/Button'
import Form from 'react-bootstrap/Form'
import { Link, useParams, useSearchParams } from 'react-router'
import type { SampleId } from '@ivory-crystal/core/ids'
import { massFractionOf } from '@ivory-crystal/core/melting'
import {
  authenticAtHand,
  grind,
  nextSet,
  packTubes,
  type PairFacts,
  pairOf,
  rackOf,
  samplesNamed,
} from '@ivory-crystal/core/notebook'
import { attempt, ok, refuse } from '@ivory-crystal/core/problems'
import { fusionOf } from '@ivory-crystal/core/substances'
import { readReading } from '@ivory-crystal/core/weighing'
import { fixed } from '../../format/format'
import { CompoundField, compoundNamed } from '../../parts/CompoundField'
import { Field } from '../../parts/Field'
import { WhereItSits } from '../../parts/WhereItSits'
import { ladderRow } from '../../parts/ladderRows'
import { newSubject, useNotebook, write } from '../../ledger/notebook'

/** The exercise: two standards of nearly the same melting point, and what their mixtures do. */
export function TwoStandards() {
  const view = useNotebook((state) => state.view)
  const [params, setParams] = useSearchParams()
  const standards = samplesNamed(view).filter(({ role, compound }) => role === 'authentic' && compound)
  const [aId, bId] = [params.get('a') ?? '', params.get('b') ?? '']
  const pair = pairOf(view, aId as SampleId, bId as SampleId)
  const choose = (which: 'a' | 'b', id: string) => {
    const next = new URLSearchParams(params)
    next.set(which, id)
    setParams(next, { replace: true })
  }
  return (
    <div className="mt-3">
      <h2>Two standards, and what mixing does</h2>
      <p className="mt-2" style={{ maxWidth: 760 }}>
        Choose two pure compounds that melt at nearly the same temperature. Melt each of them, then their
        mixtures in several proportions, and compare with the predicted map. Both melt sharply. Every mixture
        melts lower, and all but one are broader.
      </p>
      <div className="row-of align-items-end">
        {(['a', 'b'] as const).map((which) => (
          <div key={which} style={{ width: 260 }}>
            <Form.Label htmlFor={`standard-${which}`}>standard {which.toUpperCase()}</Form.Label>
            <Form.Select
              id={`standard-${which}`}
              value={which === 'a' ? aId : bId}
              onChange={(event) => {
                choose(which, event.target.value)
              }}
            >
              <option value="">an authentic sample …</option>
              {standards.map(({ id, label }) => (
                <option key={id} value={id}>
                  {label}
                </option>
              ))}
            </Form.Select>
          </div>
        ))}
        <NewStandard />
      </div>
      {pair ? (
        <Exercise pair={pair} />
      ) : (
        <p className="mt-3 quiet">
          {aId !== '' && aId === bId
            ? 'Two different standards are needed.'
            : aId !== '' && bId !== ''
              ? 'Both are the same compound. Choose two different ones.'
              : 'Choose two authentic samples to begin.'}
        </p>
      )}
    </div>
  )
}

function NewStandard() {
  const shelf = useNotebook((state) => state.shelf)
  const form = useLines({
    start: { name: '' },
    make({ name }) {
      const compound = compoundNamed(shelf, name)
      return compound
        ? ok(authenticAtHand(newSubject, compound).lines)
        : refuse(`No compound on the shelf is called “${name.trim()}”.`, 'name')
    },
  })
  return (
    <form className="row-of align-items-end" aria-label="Name a standard" onSubmit={form.onSubmit}>
      <CompoundField label="or another sample" isAddable {...form.of('name')} />
      <Button
        type="submit"
        variant="outline-primary"
        disabled={compoundNamed(shelf, form.typed.name) === null}
      >
        Name it
      </Button>
      <Refusal sentence={form.message} />
    </form>
  )
}

function Exercise({ pair }: { pair: PairFacts }) {
  const { a, b, points } = pair
  const [fa, fb] = [fusionOf(a.compound), fusionOf(b.compound)]
  return (
    <div className="columns judge mt-3">
      <section>
        <table className="lines">
          <thead>
            <tr>
              <th>tube</th>
              <th className="num">{b.compound.name}, mol %</th>
              <th className="num">predicted, °C</th>
              <th className="num">seen, °C</th>
            </tr>
          </thead>
          <tbody>
            {points.map((point) => {
              const { predicted } = point
              return (
                <tr key={point.sample.id}>
                  <td>
                    {point.by === 'pure'
                      ? point.sample.label
                      : `${fixed(100 * point.massFractionA, 0)} : ${fixed(100 * (1 - point.massFractionA), 0)} by ${point.by}`}
                  </td>
                  <td className="num">{fixed(100 * (1 - point.moleFractionA), 0)}</td>
                  <td className="num">
                    {point.by === 'pure'
                      ? fixed(predicted.clearC, 1)
                      : `${fixed(predicted.onsetC, 0)} to ${fixed(predicted.clearC, 0)}`}
                  </td>
                  <td className="num">
                    {point.range
                      ? `${fixed(point.range.onsetC, 1)} to ${fixed(point.range.clearC, 1)}${point.row?.isSimulated ? ', simulated' : ''}`
                      : 'not melted yet'}
                  </td>
                </tr>
              )
            })}
          </tbody>
        </table>
        <NewProportion pair={pair} />
        <Pack pair={pair} />
      </section>
      <WhereItSits
        key={`${a.id} ${b.id}`}
        a={{ name: a.compound.name, fusion: fa }}
        b={{ name: b.compound.name, fusion: fb }}
        points={points.flatMap(({ sample, moleFractionA, slow, by, massFractionA }) =>
          slow
            ? [
                {
                  key: sample.id,
                  label: by === 'pure' ? '' : `${fixed(100 * (1 - massFractionA), 0)} % by mass`,
                  moleFractionA,
                  between: null,
                  range: slow,
                  tone: by === 'pure' ? ('product' as const) : ('crude' as const),
                },
              ]
            : [],
        )}
        rows={points.flatMap(({ row, by }) =>
          row ? [ladderRow(row, by === 'pure' ? 'product' : 'crude')] : [],
        )}
        literature={{
          lowC: Math.min(a.compound.meltLowC, b.compound.meltLowC),
          highC: Math.max(a.compound.meltHighC, b.compound.meltHighC),
        }}
      />
    </div>
  )
}

function NewProportion({ pair: { a, b } }: { pair: PairFacts }) {
  const form = useLines({
    start: { first: '', second: '' },
    make(typed) {
      const first = readReading(typed.first, `The mass of ${a.compound.name}`)
      if (!first.ok) return refuse(first.problem.sentence, 'first')
      const second = readReading(typed.second, `The mass of ${b.compound.name}`)
      if (!second.ok) return refuse(second.problem.sentence, 'second')
      const share = attempt(() => massFractionOf(first.value.value, second.value.value))
      if (!share.ok) return refuse(share.problem.sentence)
      return ok(
        grind(
          newSubject,
          { id: a.id, label: a.compound.name },
          { id: b.id, label: b.compound.name },
          { massFractionFirst: share.value, by: 'mass', massesG: [first.value, second.value] },
        ).lines,
      )
    },
  })
  return (
    <form className="mt-3" aria-label="Grind a mixture" noValidate onSubmit={form.onSubmit}>
      <h3>Grind another proportion</h3>
      <div className="row-of align-items-end mt-1">
        <Field label={`${a.compound.name}, g`} width={150} {...form.of('first')} />
        <Field label={`${b.compound.name}, g`} width={180} {...form.of('second')} />
        <Button type="submit" variant="outline-primary">
          Grind it
        </Button>
      </div>
      <FieldError sentence={form.message} />
    </form>
  )
}

/** Everything of the exercise that has not been melted, into the rack as one set. */
function Pack({ pair }: { pair: PairFacts }) {
  const { notebook } = useParams()
  const view = useNotebook((state) => state.view)
  const rack = rackOf(view)
  const waiting = new Set(rack.map(({ entry }) => entry.body.sample))
  const left = pair.points.filter(({ row, sample }) => !row && !waiting.has(sample.id))
  const rules = useHouseRules()
  return (
    <p className="mt-3">
      {left.length > 0 && (
        <Button
          onClick={() => {
            write(
              ...packTubes(
                left.map(({ sample }) => sample),
                rules.fillMm[0],
                left.length <= 3 ? nextSet(rack.map(({ entry }) => entry.body.set)) : null,
              ),
            )
          }}
        >
          Pack {left.length === 1 ? 'a tube' : `${left.length} tubes`} for the rack
        </Button>
      )}{' '}
      <Link to={`/n/${notebook ?? ''}/instruments/rack`}>To the rack and its runs</Link>
    </p>
  )
}
