import { GrainField } from '../../parts/GrainField'
import { useLines } from '../../parts/useTyped'
import { ok, type Result, refuse } from '@ivory-crystal/core/problems'
import { InlineField, FieldError } from '../../parts/InlineField'
import type { Grain } from '@ivory-crystal/core/heating'
import type { Instrument } from '@ivory-crystal/core/instruments'
import {
  type Bodies,
  calibrationFrom,
  calibrationOf,
  calibrationPointOf,
  standardsOf,
} from '@ivory-crystal/core/notebook'
import type { Compound } from '@ivory-crystal/core/substances'
import { type Calibration, emergentStemCorrectionC, THREAD_EXPANSION } from '@ivory-crystal/core/thermometer'
import { readReading } from '@ivory-crystal/core/weighing'
import { lazy, Suspense, useState } from 'react'
import Button from 'react-bootstrap/Button'
import Form from 'react-bootstrap/Form'
import { day, fixed } from '../../format/format'
import { CompoundField, compoundNamed } from '../../parts/CompoundField'
import { Why } from '../../parts/Why'
import { clock } from '../../clock/clock'
import { strike, useNotebook, write } from '../../ledger/notebook'

const CalibrationChart = lazy(async () => ({
  default: (await import('../../drawings/CalibrationChart')).CalibrationChart,
}))
const METHODS: readonly Calibration['method'][] = ['between the points', 'straight line']

/** Standards read on this thermometer, the calibration they give, and how long it holds. */
export function ThermometerPart({ instrument }: { instrument: Instrument }) {
  const view = useNotebook((state) => state.view)
  const standards = standardsOf(view, instrument.id)
  const facts = calibrationOf(view, instrument.id, clock.now())
  const [method, setMethod] = useState<Calibration['method']>('between the points')
  const calibrations = METHODS.map((one) => ({ method: one, calibration: calibrationFrom(standards, one) }))
  const chosen = calibrations.find((one) => one.method === method)?.calibration
  const isNew =
    !facts || facts.stale !== null || standards.some(({ id }) => !facts.entry.body.restsOn.includes(id))
  return (
    <div className="columns two mt-2">
      <div>
        <h2>Standards read</h2>
        <p className="quiet mt-1">
          Read ice water and sharp-melting standards over the range you use, heated and packed like your
          samples. The app compares the midpoint you read with the midpoint of the literature range.
        </p>
        <table className="lines stacks">
          <thead>
            <tr>
              <th>standard</th>
              <th className="num">read, °C</th>
              <th className="num">literature</th>
              <th className="num">add</th>
              <th />
            </tr>
          </thead>
          <tbody>
            {standards.map((entry) => {
              const [readC, trueC] = calibrationPointOf(entry.body)
              const { lowC, highC } = entry.body.literature
              return (
                <tr key={entry.id}>
                  <td className="whole">{entry.body.standard}</td>
                  <td className="num" data-name="read, °C">
                    {entry.body.read.map(({ text }) => text).join(' to ')}
                  </td>
                  <td className="num" data-name="literature">
                    {lowC === highC ? fixed(lowC, 1) : `${fixed(lowC, 1)} to ${fixed(highC, 1)}`}
                  </td>
                  <td className="num" data-name="add">
                    {fixed(trueC - readC, 2)}
                  </td>
                  <td>
                    <Button
                      size="sm"
                      variant="link"
                      aria-label={`Strike out ${entry.body.standard}`}
                      onClick={() => {
                        strike(entry, 'not a good reading')
                      }}
                    >
                      strike out
                    </Button>
                  </td>
                </tr>
              )
            })}
          </tbody>
        </table>
        {standards.length === 0 && <p>None yet.</p>}
        <ReadStandard instrument={instrument} />
        <StemCorrection instrument={instrument} isCalibrated={facts !== null} />
      </div>
      <div>
        <h2>
          Calibration <Why of="correctReading" />
        </h2>
        {facts ? (
          <p className="mt-1">
            In force since {day(facts.entry.at)}, {facts.entry.body.method}
            {facts.entry.body.heating
              ? `, made at ${fixed(facts.entry.body.heating.rateCPerMin, 1)} °C/min with ${fixed(facts.entry.body.heating.fillMm, 1)} mm of ${facts.entry.body.heating.grain} powder`
              : ''}
            . Plans from now on use this correction; the raw readings stay.
          </p>
        ) : (
          <p className="mt-1">Not calibrated: ranges read here stay raw and are labelled so.</p>
        )}
        {facts?.stale && <p className="look">{facts.stale}</p>}
        {standards.length > 0 && (
          <>
            <div role="radiogroup" aria-label="method of calibration">
              {calibrations.map(({ method: one, calibration }) => (
                <Form.Check
                  key={one}
                  type="radio"
                  id={`method-${one}`}
                  name="method"
                  label={`${one}: ${
                    !calibration.ok
                      ? calibration.problem.sentence
                      : calibration.value.errorC === null
                        ? 'too few points to say how well'
                        : `each point, left out, is predicted within ${fixed(calibration.value.errorC, 2)} °C`
                  }`}
                  checked={one === method}
                  disabled={!calibration.ok}
                  onChange={() => {
                    setMethod(one)
                  }}
                />
              ))}
            </div>
            {chosen?.ok && (
              <>
                <Suspense fallback={<div style={{ height: 270 }} />}>
                  <CalibrationChart calibration={chosen.value} />
                </Suspense>
                {(isNew || facts.entry.body.method !== method) && (
                  <Button
                    onClick={() => {
                      write({ kind: 'thermometer calibrated', subject: instrument.id, body: chosen.value })
                    }}
                  >
                    Calibrate with{' '}
                    {standards.length === 1 ? 'this standard' : `these ${standards.length} standards`}
                  </Button>
                )}
              </>
            )}
          </>
        )}
      </div>
    </div>
  )
}

const ICE: Pick<Bodies['standard read'], 'standard' | 'literature' | 'heating'> = {
  standard: 'Ice water',
  literature: { lowC: 0, highC: 0, source: 'ice and water at the pressure of the room' },
  heating: null,
}

function ReadStandard({ instrument }: { instrument: Instrument }) {
  const shelf = useNotebook((state) => state.shelf)
  const form = useLines<TypedStandard>({
    start: { standard: '', onset: '', clear: '', rate: '1', fill: '2', grain: 'fine' },
    make(typed) {
      const body = standardOf(typed, compoundNamed(shelf, typed.standard))
      return body.ok ? ok([{ kind: 'standard read', subject: instrument.id, body: body.value }]) : body
    },
    stays: ['rate', 'fill', 'grain'],
  })
  const isIce = isIceWater(form.typed.standard)
  return (
    <form className="mt-3" aria-label="Read a standard" onSubmit={form.onSubmit}>
      <h3>Read another</h3>
      <div className="row-of align-items-end mt-1">
        <CompoundField label="standard, or ice water" {...form.of('standard')} />
        <InlineField label={isIce ? 'read, °C' : 'onset, °C'} {...form.of('onset')} />
        {!isIce && <InlineField label="clear, °C" {...form.of('clear')} />}
      </div>
      {!isIce && (
        <div className="row-of align-items-end mt-1">
          <InlineField label="°C/min" {...form.of('rate')} />
          <InlineField label="fill, mm" {...form.of('fill')} />
          <GrainField name="grain of the standard" size="sm" {...form.of('grain')} />
        </div>
      )}
      <Button type="submit" size="sm" className="mt-2">
        Record this standard
      </Button>
      <FieldError sentence={form.message} />
    </form>
  )
}

interface TypedStandard {
  standard: string
  onset: string
  clear: string
  rate: string
  fill: string
  grain: Grain
}
const isIceWater = (standard: string) => standard.trim().toLowerCase() === 'ice water'

/** What was read of a standard: one reading in ice water, else both ends of its range with its heating. */
function standardOf(
  typed: TypedStandard,
  compound: Compound | null,
): Result<Bodies['standard read'], keyof TypedStandard> {
  const isIce = isIceWater(typed.standard)
  if (!isIce && !compound)
    return refuse(
      'Name a standard on the shelf, or “ice water”. The reading is compared with its literature range.',
      'standard',
    )
  const low = readReading(typed.onset, isIce ? 'The reading in ice water' : 'The onset')
  if (!low.ok) return refuse(low.problem.sentence, 'onset')
  if (isIce || !compound) return ok({ ...ICE, read: [low.value] })
  const high = readReading(typed.clear, 'The clear point')
  if (!high.ok) return refuse(high.problem.sentence, 'clear')
  if (high.value.value < low.value.value)
    return refuse(
      `An onset of ${low.value.text} °C lies above the clear point of ${high.value.text} °C. Were the two swapped?`,
      'onset',
    )
  const [rateCPerMin, fillMm] = [Number(typed.rate), Number(typed.fill)]
  if (!(rateCPerMin > 0) || !(fillMm > 0))
    return refuse('Enter how fast it was heated and how much was packed.')
  return ok({
    standard: compound.name,
    literature: { lowC: compound.meltLowC, highC: compound.meltHighC, source: compound.source },
    read: [low.value, high.value],
    heating: { rateCPerMin, fillMm, grain: typed.grain },
  })
}

/** Only where it belongs: a total-immersion thermometer partly out of the bath, and no calibration made in place. */
function StemCorrection({ instrument, isCalibrated }: { instrument: Instrument; isCalibrated: boolean }) {
  const { thermometer } = instrument
  const [reading, setReading] = useState('')
  const [exposed, setExposed] = useState('')
  const [stem, setStem] = useState('')
  if (thermometer.kind !== 'glass' || thermometer.immersion !== 'total') return null
  const filling = thermometer.filling ?? 'mercury'
  const values = [reading, exposed, stem].map((text) => readReading(text, 'This'))
  const [r, e, s] = values
  const correction =
    r?.ok && e?.ok && s?.ok && e.value.value >= 0
      ? emergentStemCorrectionC({
          readingC: r.value.value,
          exposedC: e.value.value,
          stemC: s.value.value,
          coefficient: THREAD_EXPANSION[filling],
        })
      : null
  return (
    <section className="mt-3" aria-label="Thread out of the bath">
      <h3>
        Thread out of the bath <Why of="emergentStemCorrectionC" />
      </h3>
      {isCalibrated ? (
        <p className="quiet mt-1">
          This thermometer was calibrated in place, with its thread out of the bath. The calibration already
          includes this, so nothing is added.
        </p>
      ) : (
        <>
          <p className="quiet mt-1">
            For this total-immersion thermometer with {filling}, as long as it is not calibrated in place.
          </p>
          <div className="row-of align-items-end">
            <InlineField label="read, °C" value={reading} onChange={setReading} />
            <InlineField label="out, °C of scale" width={130} value={exposed} onChange={setExposed} />
            <InlineField label="thread at, °C" width={110} value={stem} onChange={setStem} />
          </div>
          {correction !== null && (
            <p className="mt-1 mb-0">
              Add {fixed(correction, 2)} °C: {fixed((r?.ok ? r.value.value : 0) + correction, 1)} °C.
            </p>
          )}
        </>
      )}
    </section>
  )
}
