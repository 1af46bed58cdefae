import { storeValue, remembered } from '../device/memory'
import { checkLines, useTyped } from './useTyped'
import { useState } from 'react'
import Button from 'react-bootstrap/Button'
import Form from 'react-bootstrap/Form'
import type { SampleId } from '@ivory-crystal/core/ids'
import {
  type SampleRole,
  type Weighed,
  vesselsOf,
  weighingDoubts,
  weighingOf,
} from '@ivory-crystal/core/notebook'
import { type Result, attempt, ok, refuse } from '@ivory-crystal/core/problems'
import type { Reading } from '@ivory-crystal/core/units'
import { netMass, readFromBalance, readReading } from '@ivory-crystal/core/weighing'
import { clock, day, netMassText } from '../format/format'
import { useNotebook, write } from '../ledger/notebook'
import { BalancePanel } from './BalancePanel'
import { NumberField } from './NumberField'

interface Typed {
  net: string
  empty: string
  loaded: string
  vessel: string
}
const READABILITIES = ['0.1', '0.01', '0.001', '0.0001'] as const
const BALANCE = 'ivory-crystal balance'
const METHOD = 'ivory-crystal weighed by'

/** One weighing of a sample, tared or by difference. Nothing impossible goes in; what is odd is answered. */
export function WeighingForm({
  sample,
  role,
  what,
  aboutG = null,
  before = null,
  isCorrection = false,
  onDone,
}: {
  sample: SampleId
  role: SampleRole
  what: string
  /** How much is expected, for the simulated balance. */
  aboutG?: number | null
  /** The weighing before this one: its way, its balance and its vessel are kept. */
  before?: Weighed | null
  /** The one before is put right: its digits stand in the fields. */
  isCorrection?: boolean
  /** Called as the new line is written. */
  onDone?: () => void
}) {
  const view = useNotebook((state) => state.view)
  const vessels = vesselsOf(view)
  // As it was weighed before: this sample, else whatever was weighed last.
  const [method, setMethod] = useState<Weighed['method']>(
    before?.method ?? (remembered(METHOD) === 'difference' ? 'difference' : 'tared'),
  )
  const [readability, setReadability] = useState(
    before ? String(before.readabilityG) : (remembered(BALANCE) ?? '0.001'),
  )
  /** A mass that was asked about: handed in once more as it is, it is kept. */
  const [asked, setAsked] = useState<string | null>(null)
  const [simulated, setSimulated] = useState(false)
  /** What the balance sent, field by field; a digit typed over makes it a typed reading again. */
  const [sent, setSent] = useState<Partial<Typed>>({})
  const fromOf = (values: Typed): Weighed['from'] => {
    const fields = method === 'tared' ? (['net'] as const) : (['empty', 'loaded'] as const)
    return fields.every((field) => sent[field] === values[field]) ? 'simulated balance' : 'typed'
  }
  const make = (values: Typed) => bodyOf(values, method, Number(readability), what, fromOf(values))
  const form = useTyped<Typed, Weighed>({
    start: startOf(before, isCorrection),
    make(values) {
      const made = make(values)
      if (!made.ok) return made
      const massG = netMassText(made.value)
      const doubts = weighingDoubts(view, { sample, what, body: made.value, isCorrection })
      if (doubts.length === 0 || asked === massG) return made
      setAsked(massG)
      return refuse(doubts.join(' '), method === 'tared' ? 'net' : 'loaded')
    },
    check: (body) => checkLines([{ kind: 'weighed', subject: sample, body }]),
    keep(body) {
      storeValue(BALANCE, readability)
      storeValue(METHOD, method)
      write({ kind: 'weighed', subject: sample, body })
      form.reset()
      setSent({})
      setAsked(null)
      onDone?.()
    },
  })
  const { typed } = form
  const preview = make(typed)
  const vessel = vessels.find(({ name }) => name.toLowerCase() === typed.vessel.trim().toLowerCase())
  const receive = (reading: Reading): string => {
    const field = method === 'tared' ? 'net' : typed.empty === '' ? 'empty' : 'loaded'
    setReadability('0.001')
    form.set({ [field]: reading.text })
    setSent({ ...sent, [field]: reading.text })
    return `${reading.text} g is now ${field === 'net' ? 'the net mass' : `the ${field} vessel`}.`
  }
  return (
    <form onSubmit={form.onSubmit} noValidate aria-label={`Weigh ${what}`}>
      <div className="row-of mb-2">
        <Form.Check
          inline
          type="radio"
          id={`${sample}-tared`}
          label="tared"
          checked={method === 'tared'}
          onChange={() => {
            setMethod('tared')
          }}
        />
        <Form.Check
          inline
          type="radio"
          id={`${sample}-difference`}
          label="by difference"
          checked={method === 'difference'}
          onChange={() => {
            setMethod('difference')
          }}
        />
        <div>
          <Form.Label htmlFor={`${sample}-balance`}>balance reads to, g</Form.Label>
          <Form.Select
            id={`${sample}-balance`}
            value={readability}
            onChange={(event) => {
              setReadability(event.target.value)
            }}
          >
            {READABILITIES.map((one) => (
              <option key={one}>{one}</option>
            ))}
          </Form.Select>
        </div>
      </div>
      <div className="row-of align-items-start">
        {method === 'tared' ? (
          <NumberField className="flex-fill" label={`net mass of ${what}, g`} {...form.of('net')} />
        ) : (
          <>
            <Form.Group>
              <Form.Label htmlFor={`${sample}-vessel`}>vessel, if it has a name</Form.Label>
              <Form.Control
                id={`${sample}-vessel`}
                list={`${sample}-vessels`}
                style={{ width: 170 }}
                maxLength={60}
                autoComplete="off"
                value={typed.vessel}
                onChange={({ target }) => {
                  const known = vessels.find(({ name }) => name.toLowerCase() === target.value.toLowerCase())
                  form.set({ vessel: target.value, ...(known ? { empty: known.empty.text } : {}) })
                }}
              />
              <datalist id={`${sample}-vessels`}>
                {vessels.map(({ name, empty }) => (
                  <option key={name} value={name}>
                    {empty.text} g
                  </option>
                ))}
              </datalist>
            </Form.Group>
            <NumberField className="flex-fill" label="empty vessel, g" {...form.of('empty')} />
            <NumberField className="flex-fill" label="loaded vessel, g" {...form.of('loaded')} />
          </>
        )}
      </div>
      {method === 'difference' && vessel && typed.empty === vessel.empty.text && (
        <p className="quiet mt-1 mb-0">
          {vessel.name} was {vessel.empty.text} g empty on {day(vessel.at)}, {clock(vessel.at)}. Weigh it
          again if it was washed or is on another balance.
        </p>
      )}
      {simulated && <BalancePanel sample={sample} role={role} aboutG={aboutG} onSend={receive} />}
      <div className="row-of align-items-center mt-3">
        <Button type="submit">
          {!preview.ok
            ? 'Record the mass'
            : asked === netMassText(preview.value)
              ? `It is correct: record ${netMassText(preview.value)} g`
              : `Record ${netMassText(preview.value)} g`}
        </Button>
        <Button
          variant="link"
          size="sm"
          onClick={() => {
            setSimulated(!simulated)
          }}
        >
          {simulated ? 'put the simulated balance away' : 'use the simulated balance'}
        </Button>
      </div>
    </form>
  )
}

function bodyOf(
  typed: Typed,
  method: Weighed['method'],
  readabilityG: number,
  what: string,
  from: Weighed['from'],
): Result<Weighed, keyof Typed> {
  const read = (field: keyof Typed, name: string): Result<Reading, keyof Typed> => {
    const reading = readReading(typed[field], name)
    const fits = reading.ok ? readFromBalance(reading.value, readabilityG, name) : reading
    return fits.ok ? ok(fits.value) : refuse(fits.problem.sentence, field)
  }
  if (method === 'tared') {
    const net = read('net', `The mass of ${what}`)
    return net.ok ? possible({ method, net: net.value, readabilityG, from }, 'net') : net
  }
  const empty = read('empty', 'The empty vessel')
  const loaded = read('loaded', 'The loaded vessel')
  if (!empty.ok) return empty
  if (!loaded.ok) return loaded
  const vessel = typed.vessel.trim()
  return possible(
    {
      method,
      empty: empty.value,
      loaded: loaded.value,
      readabilityG,
      from,
      ...(vessel === '' ? {} : { vessel }),
    },
    'loaded',
  )
}

/** What the fields hold at first: all of a weighing that is put right, of one that is repeated its vessel. */
function startOf(before: Weighed | null, isCorrection: boolean): Typed {
  const nothing = { net: '', empty: '', loaded: '', vessel: '' }
  if (!before) return nothing
  if (before.method === 'tared') return isCorrection ? { ...nothing, net: before.net.text } : nothing
  return {
    ...nothing,
    empty: before.empty.text,
    vessel: before.vessel ?? '',
    loaded: isCorrection ? before.loaded.text : '',
  }
}

function possible(body: Weighed, field: keyof Typed): Result<Weighed, keyof Typed> {
  const net = attempt(() => netMass(weighingOf(body)))
  if (!net.ok) return refuse(net.problem.sentence, field)
  if (net.value.value > 0) return ok(body)
  return refuse('That gives a mass of zero. Was the sample on the balance?', field)
}
