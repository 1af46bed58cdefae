import { ok, refuse } from '@ivory-crystal/core/problems'
import { useShelving } from '../../parts/useShelving'
import { FieldError } from '../../parts/InlineField'
import { useState } from 'react'
import Button from 'react-bootstrap/Button'
import type { InstrumentId } from '@ivory-crystal/core/ids'
import {
  SIMULATED_INSTRUMENTS,
  type Instrument,
  INSTRUMENT_SORTS,
  type InstrumentSort,
} from '@ivory-crystal/core/instruments'
import { Choice, Field } from '../../parts/Field'

const THERMOMETERS = ['metal probe', 'glass, total immersion', 'glass, partial immersion'] as const
const FILLINGS = ['mercury', 'spirit'] as const

interface Typed {
  sort: InstrumentSort
  name: string
  maxC: string
  slots: string
  scaleHigh: string
  thermometer: (typeof THERMOMETERS)[number]
  filling: (typeof FILLINGS)[number]
  dialMax: string
  dialStep: string
}

/** An instrument of the lab's own. What it does not say is typical, until its dial is learned. */
export function NewInstrument() {
  const [open, setOpen] = useState(false)
  const form = useShelving<Typed>({
    sort: 'instrument',
    start: {
      sort: 'dial block',
      name: '',
      maxC: '250',
      slots: '3',
      scaleHigh: '300',
      thermometer: 'metal probe',
      filling: 'mercury',
      dialMax: '10',
      dialStep: '0.5',
    },
    make(typed) {
      const instrument = instrumentOf(typed)
      return instrument.id === ''
        ? refuse('Give it a name, such as “Dial block by the window”.', 'name')
        : ok({ rows: [{ ...instrument }] })
    },
    saved() {
      setOpen(false)
      form.reset()
    },
  })
  if (!open)
    return (
      <Button
        size="sm"
        variant="link"
        onClick={() => {
          setOpen(true)
        }}
      >
        Add your own instrument
      </Button>
    )
  const isGlass = form.typed.thermometer !== 'metal probe'
  return (
    <form className="mt-3" aria-label="A new instrument" onSubmit={form.onSubmit}>
      <h2>An instrument of your own</h2>
      <div className="row-of align-items-end mt-1">
        <Field label="name" width={220} {...form.of('name')} />
        <Choice label="sort" options={INSTRUMENT_SORTS} {...form.of('sort')} />
        <Field label="goes up to, °C" width={120} {...form.of('maxC')} />
        <Field label="slots" width={80} {...form.of('slots')} />
      </div>
      <div className="row-of align-items-end mt-2">
        <Choice label="thermometer" options={THERMOMETERS} {...form.of('thermometer')} />
        {isGlass && <Choice label="filled with" options={FILLINGS} {...form.of('filling')} />}
        <Field label="its scale ends at, °C" width={160} {...form.of('scaleHigh')} />
        {likeOf(form.typed.sort).character.dial && (
          <>
            <Field label="dial goes to" width={110} {...form.of('dialMax')} />
            <Field label="smallest turn" width={110} {...form.of('dialStep')} />
          </>
        )}
      </div>
      <p className="quiet mt-1 mb-1">
        Typical heating and cooling of its kind are assumed until you log heatings. Its lags stay typical
        values.
      </p>
      <div className="row-of">
        <Button type="submit" size="sm" disabled={form.busy}>
          Add it
        </Button>
        <Button
          size="sm"
          variant="link"
          onClick={() => {
            setOpen(false)
          }}
        >
          Never mind
        </Button>
      </div>
      <FieldError sentence={form.message} />
    </form>
  )
}

/** The simulated instrument of the same sort, whose character stands in until its own is learned. */
const likeOf = (sort: InstrumentSort) => SIMULATED_INSTRUMENTS.find((one) => one.sort === sort) as Instrument

function instrumentOf(typed: Typed): Instrument {
  const { name, sort, thermometer, filling } = typed
  const like = likeOf(sort)
  const isGlass = thermometer !== 'metal probe'
  const { dial } = like.character
  return {
    id: name
      .trim()
      .toLowerCase()
      .replace(/[^a-z0-9]+/g, '-')
      .replace(/^-|-$/g, '')
      .slice(0, 60) as InstrumentId,
    name: name.trim(),
    sort,
    simulated: false,
    character: {
      ...like.character,
      name: sort,
      maxC: Number(typed.maxC),
      slots: Number(typed.slots),
      readBy: isGlass ? 'eye' : 'probe',
      dial: dial && { ...dial, max: Number(typed.dialMax), step: Number(typed.dialStep) },
    },
    thermometer: {
      kind: isGlass ? 'glass' : 'metal probe',
      lowC: like.thermometer.lowC,
      highC: Number(typed.scaleHigh),
      immersion: isGlass ? (thermometer.endsWith('total immersion') ? 'total' : 'partial') : null,
      filling: isGlass ? filling : null,
    },
    highRangeAboveC: null,
  }
}
