import { useState } from 'react'
import Button from 'react-bootstrap/Button'
import {
  type Instrument,
  INSTRUMENT_SORTS,
  type InstrumentId,
  type InstrumentSort,
  SIMULATED_INSTRUMENTS,
} from '@ivory-crystal/core'
import { Choice, Field } from '../../parts/Field'
import { useSaving } from '../../parts/useSaving'

const THERMOMETERS = ['metal probe', 'glass, total immersion', 'glass, partial immersion'] as const
const FILLINGS = ['mercury', 'spirit'] as const

/** An instrument of the lab's own. What it does not say is typical, until its dial is learned. */
export function NewInstrument() {
  const saving = useSaving()
  const [open, setOpen] = useState(false)
  const [sort, setSort] = useState<InstrumentSort>('dial block')
  const [name, setName] = useState('')
  const [maxC, setMaxC] = useState('250')
  const [slots, setSlots] = useState('3')
  const [scaleHigh, setScaleHigh] = useState('300')
  const [thermometer, setThermometer] = useState<(typeof THERMOMETERS)[number]>('metal probe')
  const [filling, setFilling] = useState<(typeof FILLINGS)[number]>('mercury')
  const [dialMax, setDialMax] = useState('10')
  const [dialStep, setDialStep] = useState('0.5')
  if (!open)
    return (
      <Button
        size="sm"
        variant="link"
        onClick={() => {
          setOpen(true)
        }}
      >
        Add an instrument of your own
      </Button>
    )
  const like = SIMULATED_INSTRUMENTS.find((one) => one.sort === sort) as Instrument
  const isGlass = thermometer !== 'metal probe'
  const hasDial = like.character.dial !== null
  const save = async () => {
    const instrument: Instrument = {
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
        maxC: Number(maxC),
        slots: Number(slots),
        readBy: isGlass ? 'eye' : 'probe',
        dial: like.character.dial && { ...like.character.dial, max: Number(dialMax), step: Number(dialStep) },
      },
      thermometer: {
        kind: isGlass ? 'glass' : 'metal probe',
        lowC: like.thermometer.lowC,
        highC: Number(scaleHigh),
        immersion: isGlass ? (thermometer.endsWith('total immersion') ? 'total' : 'partial') : null,
        filling: isGlass ? filling : null,
      },
      highRangeAboveC: null,
    }
    if (instrument.id === ('' as InstrumentId))
      return saving.say('Give it a name, such as “Dial block by the window”.')
    if (await saving.save('instrument', [instrument])) setOpen(false)
  }
  return (
    <form
      className="mt-3"
      aria-label="A new instrument"
      onSubmit={(event) => {
        event.preventDefault()
        void save()
      }}
    >
      <h2>An instrument of your own</h2>
      <div className="row-of align-items-end mt-1">
        <Field label="name" width={220} value={name} onChange={setName} />
        <Choice label="sort" options={INSTRUMENT_SORTS} value={sort} onChange={setSort} />
        <Field label="goes up to, °C" width={120} value={maxC} onChange={setMaxC} />
        <Field label="slots" width={80} value={slots} onChange={setSlots} />
      </div>
      <div className="row-of align-items-end mt-2">
        <Choice label="thermometer" options={THERMOMETERS} value={thermometer} onChange={setThermometer} />
        {isGlass && <Choice label="filled with" options={FILLINGS} value={filling} onChange={setFilling} />}
        <Field label="its scale ends at, °C" width={160} value={scaleHigh} onChange={setScaleHigh} />
        {hasDial && (
          <>
            <Field label="dial goes to" width={110} value={dialMax} onChange={setDialMax} />
            <Field label="smallest turn" width={110} value={dialStep} onChange={setDialStep} />
          </>
        )}
      </div>
      <p className="quiet mt-1 mb-1">
        How it heats and cools is taken as typical for its sort until you log heatings; its lags stay typical
        values.
      </p>
      <div className="row-of">
        <Button type="submit" size="sm" disabled={saving.busy}>
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
      {saving.said && (
        <p className="look" role="alert">
          {saving.said}
        </p>
      )}
    </form>
  )
}
