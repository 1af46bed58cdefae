import css from '../Practice.module.css'
import { useMemo, useState } from 'react'
import Button from 'react-bootstrap/Button'
import { OIL_BATH_TUBE } from '@ivory-crystal/core/instruments'
import { readReading } from '@ivory-crystal/core/weighing'
import {
  flameExercise,
  forTubes,
  scoreFlame,
  type TypedReading,
  whenShown,
} from '@ivory-crystal/core/practice'
import { Lens } from '../../../drawings/Lens'
import { sound } from '../../../drawings/sounds'
import { Thermometer } from '../../../drawings/Thermometer'
import { span } from '../../../format/format'
import { Hurry } from '../../../parts/instrument/Hurry'
import { InstrumentName } from '../../../parts/instrument/Readout'
import { askedFor, ThermometerForm } from '../../../parts/instrument/ThermometerForm'
import { Turn } from '../../../parts/instrument/Turn'
import { NO_MARK_TO_STRIKE } from '../../../parts/instrument/refusedPress'
import { usePadKeys } from '../../../parts/usePadKeys'
import { useTyped } from '../../../parts/useTyped'
import { ok, refuse } from '@ivory-crystal/core/problems'
import type { PlayerProps } from '../exerciseSetup'
import { useEnding } from '../useEnding'
import { useHeated } from '../useHeated'

const HURRIES = [1, 2, 4]
const ENDS = ['first liquid', 'all liquid'] as const
type End = (typeof ENDS)[number]
/** The tube stands in the middle: its keys are the pad’s of that slot. */
const SLOT = 2
/** From end to end of the thermometer, °C. */
const SCALE = { lowC: 0, highC: 200 }
/** So long after all is liquid it goes on where a reading is missing, s of the oil. */
const GOES_ON_S = 60

/** A tube in oil beside a thermometer read by eye: press at the moment, then read and type. */
export function FlamePlayer({ put, onDone }: PlayerProps) {
  const exercise = useMemo(
    () => flameExercise(forTubes(put.shelf), put.seed, put.level),
    [put.shelf, put.seed, put.level],
  )
  const heated = useMemo(() => ({ what: 'oil', exercise }) as const, [exercise])
  const [hurry, setHurry] = useState(1)
  const [flame, setFlame] = useState(exercise.dial)
  const now = useHeated(heated, hurry)
  const { command } = now
  const [marks, setMarks] = useState<Readonly<Partial<Record<End, TypedReading>>>>({})
  const [message, setSaid] = useState<string | null>(null)
  const reading = now.reading
  const wants = ENDS.find((end) => marks[end]?.typed === null)
  const press = (end: End) => {
    if (!reading) return setSaid('Nothing has been heard yet.')
    if (marks[end]) return setSaid(`“${end}” is pressed already.`)
    setSaid(null)
    sound(end)
    setMarks((before) => ({ ...before, [end]: { pressedAtS: reading.atS, typed: null } }))
  }
  const form = useTyped({
    start: { text: '' },
    make({ text }) {
      const read = readReading(text, 'The reading')
      if (!read.ok) return refuse(read.problem.sentence, 'text')
      const { value } = read.value
      return value < SCALE.lowC || value > SCALE.highC
        ? refuse(`The thermometer goes from ${SCALE.lowC} to ${SCALE.highC} °C.`, 'text')
        : ok(value)
    },
    keep(readC) {
      const mark = wants && marks[wants]
      if (!mark || !reading) return
      form.reset()
      setMarks((before) => ({ ...before, [wants]: { ...mark, typed: { readC, atS: reading.atS } } }))
    },
  })
  usePadKeys(
    (slot, moment) => {
      const end = ENDS.find((one) => one === moment)
      if (slot === SLOT && end) press(end)
    },
    () => {
      const last = ENDS.findLast((end) => marks[end])
      setSaid(last ? null : NO_MARK_TO_STRIKE)
      if (last) setMarks(({ [last]: _, ...others }) => others)
    },
  )
  const finish = async () => {
    const [was] = await now.stop(true)
    const score = scoreFlame(
      { first: marks['first liquid'] ?? null, all: marks['all liquid'] ?? null },
      was ?? { shrankC: null, sweatedC: null, firstC: null, allC: null },
      now.shown,
    )
    const { firstC, allC: lastC } = score.takenBackC
    onDone({
      score,
      tubes: [],
      more: (
        <p className="quiet">
          In the tube: {exercise.was}, pure.
          {firstC !== null && lastC !== null
            ? ' Late readings were corrected back to the press with the heating rate at that moment.'
            : ''}
        </p>
      ),
    })
  }
  const allC = now.truth[0]?.allC ?? null
  const allLiquidS = allC === null ? null : whenShown(now.shown, allC)
  const isRead = ENDS.every((end) => marks[end]?.typed)
  const isOver = isRead || (allLiquidS !== null && (reading?.atS ?? 0) > allLiquidS + GOES_ON_S && !wants)
  const end = useEnding(isOver, finish)
  const lensTubes = useMemo(
    () => [
      {
        slot: SLOT,
        seed: `practice ${exercise.tubeSeed}`,
        fillMm: exercise.fillMm,
        grain: 'fine' as const,
        colour: exercise.colour,
      },
    ],
    [exercise],
  )
  return (
    <div className={css.both}>
      <section aria-label="Instrument">
        <div className={css.lensHere}>
          <Lens tubes={lensTubes} readings={reading?.tubes ?? NONE} />
        </div>
        <div className={css.readout}>
          <Turn
            what="flame"
            value={flame}
            scale={OIL_BATH_TUBE.dial ? { ...OIL_BATH_TUBE.dial, coarse: 1 } : null}
            keys
            onChange={(setting) => {
              setFlame(setting)
              command({ kind: 'dial', setting })
            }}
          />
          <Hurry of={HURRIES} value={hurry} onChange={setHurry} />
        </div>
      </section>
      <section aria-label="Reading">
        <InstrumentName name="thermometer in the oil, divided in degrees" simulated />
        <Thermometer valueC={reading?.probe.value ?? null} {...SCALE} />
        <div className="row-of mt-3">
          {ENDS.map((end, i) => (
            <Button
              key={end}
              variant="outline-primary"
              className="py-3 px-4"
              disabled={!reading || marks[end] !== undefined}
              onClick={() => {
                press(end)
              }}
            >
              {end} <kbd className="key ms-1">{i === 0 ? 'S' : 'X'}</kbd>
            </Button>
          ))}
        </div>
        <p className="quiet mt-2" role="status">
          {message ??
            'Press when it happens. Then read the thermometer to half a division and type it. The app corrects it back to the moment you pressed. Backspace strikes out the last mark.'}
        </p>
        {wants && (
          <ThermometerForm
            form={form}
            asks={askedFor(wants, span(1000 * ((reading?.atS ?? 0) - (marks[wants]?.pressedAtS ?? 0))))}
            isAsked
            mark={wants}
          />
        )}
        {ENDS.map((end) =>
          marks[end]?.typed ? (
            <p key={end} className="mb-1">
              {end}: {marks[end].typed.readC} °C, read{' '}
              {Math.round(marks[end].typed.atS - marks[end].pressedAtS)} s after the press
            </p>
          ) : null,
        )}
        {now.trouble && (
          <p className="look" role="alert">
            {now.trouble}
          </p>
        )}
        <Button variant="link" className="p-0 mt-3" onClick={end}>
          I have seen enough
        </Button>
      </section>
    </div>
  )
}
const NONE: readonly [] = []
