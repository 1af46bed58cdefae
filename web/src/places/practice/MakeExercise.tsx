import { useState } from 'react'
import Button from 'react-bootstrap/Button'
import Form from 'react-bootstrap/Form'
import { Link } from 'react-router'
import { attempt } from '@ivory-crystal/core/problems'
import {
  codeOf,
  MADE_LIMITS,
  MADE_ON,
  MADE_RATES,
  type MadeExercise,
  meltOfMade,
} from '@ivory-crystal/core/practice'
import { useNotebook } from '../../ledger/notebook'
import { NumberField } from '../../parts/NumberField'
import { freshSeed } from './exerciseSetup'

export interface Coded {
  readonly code: string
  readonly words: string
}

interface Draft {
  readonly compound: string
  readonly impurity: string
  readonly percent: string
  readonly fillMm: string
  readonly grain: MadeExercise['grain']
  readonly instrument: MadeExercise['instrument']
  readonly rate: string
  readonly minutes: string
  readonly seed: string
}

/** One melt made to measure, as a code. */
export function MakeExercise({ onMade }: { onMade: (made: Coded) => void }) {
  const compounds = useNotebook((state) => state.shelf?.compounds ?? NONE)
  const [draft, setDraft] = useState<Draft>(() => ({
    compound: 'benzil',
    impurity: '',
    percent: '5',
    fillMm: '2',
    grain: 'fine',
    instrument: 'programmable block',
    rate: '1',
    minutes: '0',
    seed: `${freshSeed()}`,
  }))
  const [code, setCode] = useState<string | null>(null)
  const [message, setSaid] = useState<string | null>(null)
  const set = <K extends keyof Draft>(field: K, value: Draft[K]) => {
    setDraft((before) => ({ ...before, [field]: value }))
    setCode(null)
    setSaid(null)
  }
  const make = () => {
    const made: MadeExercise = {
      compound: draft.compound,
      impurity: draft.impurity === '' ? null : draft.impurity,
      impurityPercent: draft.impurity === '' ? 0 : whole(draft.percent),
      fillMm: whole(draft.fillMm),
      grain: draft.grain,
      instrument: draft.instrument,
      rateCPerMin: MADE_RATES.find((rate) => `${rate}` === draft.rate) ?? 1,
      minutes: whole(draft.minutes),
      seed: whole(draft.seed),
    }
    const coded = attempt(() => {
      const melt = meltOfMade(made, compounds)
      return { code: codeOf(made), words: melt.tubes[0]?.was ?? '' }
    })
    if (!coded.ok) return setSaid(coded.problem.sentence)
    setCode(coded.value.code)
    onMade(coded.value)
  }
  const names = [...compounds].sort((p, q) => p.name.localeCompare(q.name, 'en'))
  return (
    <section aria-labelledby="make">
      <h2 id="make">Make an exercise</h2>
      <Form
        onSubmit={(event) => {
          event.preventDefault()
          make()
        }}
      >
        <div className="row-of">
          <Select label="compound" value={draft.compound} onChange={(value) => set('compound', value)}>
            {names.map(({ id, name, meltHighC }) => (
              <option key={id} value={id}>
                {name}, {meltHighC} °C
              </option>
            ))}
          </Select>
          <Select label="impurity" value={draft.impurity} onChange={(value) => set('impurity', value)}>
            <option value="">none: pure</option>
            {names
              .filter(({ id }) => id !== draft.compound)
              .map(({ id, name }) => (
                <option key={id} value={id}>
                  {name}
                </option>
              ))}
          </Select>
          {draft.impurity !== '' && (
            <NumberField
              label="mol %"
              value={draft.percent}
              error={null}
              onChange={(value) => set('percent', value)}
            />
          )}
        </div>
        <div className="row-of mt-2">
          <NumberField
            label="filled, mm"
            value={draft.fillMm}
            error={null}
            onChange={(value) => set('fillMm', value)}
          />
          <Select
            label="grain"
            value={draft.grain}
            onChange={(value) => set('grain', value === 'coarse' ? 'coarse' : 'fine')}
          >
            <option>fine</option>
            <option>coarse</option>
          </Select>
          <Select
            label="instrument"
            value={draft.instrument}
            onChange={(value) =>
              set('instrument', MADE_ON.find((one) => one === value) ?? 'programmable block')
            }
          >
            {MADE_ON.map((one) => (
              <option key={one}>{one}</option>
            ))}
          </Select>
          <Select label="rate, °C/min" value={draft.rate} onChange={(value) => set('rate', value)}>
            {MADE_RATES.map((one) => (
              <option key={one}>{one}</option>
            ))}
          </Select>
        </div>
        <div className="row-of mt-2">
          <NumberField
            label="ends after, min"
            value={draft.minutes}
            error={null}
            help="0: no end"
            onChange={(value) => set('minutes', value)}
          />
          <NumberField
            label="seed"
            value={draft.seed}
            error={null}
            help={`to ${MADE_LIMITS.seed}`}
            onChange={(value) => set('seed', value)}
          />
        </div>
        <Button type="submit" className="mt-3">
          Make its code
        </Button>
      </Form>
      {message && (
        <p className="look" role="alert">
          {message}
        </p>
      )}
      {code && (
        <p className="mt-3" role="status">
          <strong data-testid="made-code" style={{ fontSize: 22 }}>
            {code}
          </strong>{' '}
          <Link to={`../made/${code}`} relative="path">
            try it
          </Link>
          <br />
          <span className="quiet">
            The code hides the answer only from a quick look. The shelf of the learner needs the same
            compound.
          </span>
        </p>
      )}
    </section>
  )
}
const NONE: readonly [] = []
const whole = (text: string) => (/^\d+$/.test(text.trim()) ? Number(text) : NaN)

function Select({
  label,
  value,
  onChange,
  children,
}: {
  label: string
  value: string
  onChange: (value: string) => void
  children: React.ReactNode
}) {
  const id = `made-${label.replace(/\W/g, '-')}`
  return (
    <div>
      <Form.Label htmlFor={id}>{label}</Form.Label>
      <Form.Select
        id={id}
        value={value}
        style={{ maxWidth: 230 }}
        onChange={(event) => {
          onChange(event.target.value)
        }}
      >
        {children}
      </Form.Select>
    </div>
  )
}
