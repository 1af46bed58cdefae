import css from '../Practice.module.css'
import { useMemo, useState } from 'react'
import Button from 'react-bootstrap/Button'
import Form from 'react-bootstrap/Form'
import { OIL_BATH_TUBE } from '@ivory-crystal/core'
import {
  flameExercise,
  forTubes,
  scoreFlame,
  type TypedReading,
  whenShown,
} from '@ivory-crystal/core/practice'
import { useKey } from '../../../app/useKey'
import { Lens } from '../../../drawings/Lens'
import { sound } from '../../../drawings/sounds'
import { Thermometer } from '../../../drawings/Thermometer'
import { Hurry } from '../Hurry'
import type { PlayerProps } from '../put'
import { useEnding } from '../useEnding'
import { useHeated } from '../useHeated'
import { Turn } from './Turn'

const HURRIES = [1, 2, 4]
const ENDS = ['first liquid', 'all liquid'] as const
type End = (typeof ENDS)[number]
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
  const [typed, setTyped] = useState('')
  const [said, setSaid] = useState<string | null>(null)
  const reading = now.reading
  const wants = ENDS.find((end) => marks[end]?.typed === null)
  const press = (end: End) => {
    if (!reading) return setSaid('Nothing has been heard yet.')
    if (marks[end]) return setSaid(`“${end}” is pressed already.`)
    setSaid(null)
    sound(end)
    setMarks((before) => ({ ...before, [end]: { pressedAtS: reading.atS, typed: null } }))
  }
  useKey('s', () => {
    press('first liquid')
  })
  useKey('x', () => {
    press('all liquid')
  })
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
            ? ' What was typed late was taken back to the press at the rate of that moment.'
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
        slot: 2,
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
        <Lens tubes={lensTubes} readings={reading?.tubes ?? NONE} />
        <div className={css.readout}>
          <Turn
            what="flame"
            value={flame}
            step={OIL_BATH_TUBE.dial?.step ?? 0.5}
            coarse={1}
            max={OIL_BATH_TUBE.dial?.max ?? 6}
            onChange={(setting) => {
              setFlame(setting)
              command({ kind: 'dial', setting })
            }}
          />
          <Hurry of={HURRIES} value={hurry} onChange={setHurry} />
        </div>
      </section>
      <section aria-label="Reading">
        <span className="quiet">
          thermometer in the oil, divided in degrees <span className="simulated ms-1">simulated</span>
        </span>
        <Thermometer valueC={reading?.probe.value ?? null} lowC={0} highC={200} />
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
          {said ??
            'Press as it happens; then read the thermometer, to half a division, and type. Late is taken back.'}
        </p>
        {wants && (
          <Form
            className={css.job}
            onSubmit={(event) => {
              event.preventDefault()
              const readC = Number(typed.trim().replace(',', '.'))
              const mark = marks[wants]
              if (typed.trim() === '' || !Number.isFinite(readC) || readC < 0 || readC > 200)
                return setSaid('A temperature is a number on the scale, such as 94.5.')
              if (!mark || !reading) return
              setSaid(null)
              setTyped('')
              setMarks((before) => ({ ...before, [wants]: { ...mark, typed: { readC, atS: reading.atS } } }))
            }}
          >
            <Form.Label htmlFor="flame-reading">{wants}: where does it stand? °C</Form.Label>
            <div className="row-of">
              <Form.Control
                id="flame-reading"
                key={wants}
                className="narrow"
                inputMode="decimal"
                autoComplete="off"
                autoFocus
                value={typed}
                onChange={(event) => {
                  setTyped(event.target.value)
                }}
              />
              <Button type="submit">Record it</Button>
            </div>
          </Form>
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
