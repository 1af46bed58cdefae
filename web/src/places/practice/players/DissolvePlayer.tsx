import css from '../Practice.module.css'
import { useEffect, useMemo, useRef, useState } from 'react'
import Button from 'react-bootstrap/Button'
import {
  type Called,
  dissolveExercise,
  type FlaskCommand,
  lookAtFlask,
  passFlask,
  PORTIONS_ML,
  scorePortions,
  startFlask,
} from '@ivory-crystal/core/practice'
import { attempt } from '@ivory-crystal/core/problems'
import { useKey } from '../../../parts/useKey'
import { FlaskDrawing } from '../../../drawings/FlaskDrawing'
import { fixed } from '../../../format/format'
import { Hurry } from '../../../parts/instrument/Hurry'
import type { PlayerProps } from '../exerciseSetup'

const HURRIES = [1, 4, 8]
const TICK_MS = 200
const AWAY_MS = 1000

/** A crude in its flask, hot solvent in portions, until it is just dissolved. */
export function DissolvePlayer({ put, onDone }: PlayerProps) {
  const exercise = useMemo(() => dissolveExercise(put.seed, put.level), [put.seed, put.level])
  const [flask, setFlask] = useState(() => startFlask(exercise))
  const [hurry, setHurry] = useState(4)
  const [message, setSaid] = useState<string | null>(null)
  const pace = useRef(hurry)
  useEffect(() => {
    pace.current = hurry
  }, [hurry])
  useEffect(() => {
    // Its time is outside React; a page that was away does not make up for it.
    let dueS = 0
    let last = performance.now()
    const timer = setInterval(() => {
      const at = performance.now()
      dueS += (Math.min(AWAY_MS, at - last) / 1000) * pace.current
      last = at
      const seconds = Math.floor(dueS)
      dueS -= seconds
      if (seconds > 0) setFlask((before) => passFlask(before, [], seconds))
    }, TICK_MS)
    return () => {
      clearInterval(timer)
    }
  }, [])
  const act = (command: FlaskCommand) => {
    const next = attempt(() => passFlask(flask, [command], 0))
    if (!next.ok) return setSaid(next.problem.sentence)
    setSaid(null)
    setFlask(next.value)
  }
  const call = (called: Called) => {
    onDone({ score: scorePortions(flask, called) })
  }
  useKey('s', () => {
    act({ kind: 'swirl' })
  })
  useKey('p', () => {
    act({ kind: flask.isOnPlate ? 'off the plate' : 'on the plate' })
  })
  useKey('1', () => {
    act({ kind: 'portion', mL: PORTIONS_ML[0] })
  })
  useKey('2', () => {
    act({ kind: 'portion', mL: PORTIONS_ML[1] })
  })
  useKey('3', () => {
    act({ kind: 'portion', mL: PORTIONS_ML[2] })
  })
  useKey('4', () => {
    act({ kind: 'portion', mL: PORTIONS_ML[3] })
  })
  const look = lookAtFlask(flask)
  return (
    <div className={css.both}>
      <section aria-label="Flask">
        <FlaskDrawing look={look} isOnPlate={flask.isOnPlate} seed={put.seed} />
      </section>
      <section aria-label="What to do">
        <p>
          {fixed(exercise.crudeG, 2)} g of a made-up crude. Its solvent boils at {exercise.boilsC} °C and is
          hot. Dissolve the crude in as little as possible. <span className="simulated">simulated</span>
        </p>
        <div className={css.readout}>
          <div>
            <span className="quiet">added so far</span>
            <div className={css.big}>{fixed(flask.addedML, 1)} mL</div>
          </div>
          <div>
            <span className="quiet">in the flask</span>
            <div className={css.big}>
              {fixed(look.temperatureC, 0)} <span className="quiet">°C{look.boils ? ', boils' : ''}</span>
            </div>
          </div>
          <Hurry of={HURRIES} value={hurry} onChange={setHurry} />
        </div>
        <h2 className="mt-4">Hot portion</h2>
        <div className="row-of">
          {PORTIONS_ML.map((mL, i) => (
            <Button
              key={mL}
              variant="outline-primary"
              onClick={() => {
                act({ kind: 'portion', mL })
              }}
            >
              {mL} mL <kbd className="key ms-1">{i + 1}</kbd>
            </Button>
          ))}
        </div>
        <div className="row-of mt-3">
          <Button
            variant="outline-primary"
            onClick={() => {
              act({ kind: 'swirl' })
            }}
          >
            Swirl <kbd className="key ms-1">S</kbd>
          </Button>
          <Button
            variant="outline-primary"
            onClick={() => {
              act({ kind: flask.isOnPlate ? 'off the plate' : 'on the plate' })
            }}
          >
            {flask.isOnPlate ? 'Take it off the plate' : 'Put it on the plate'}{' '}
            <kbd className="key ms-1">P</kbd>
          </Button>
        </div>
        {message && (
          <p className="look" role="alert">
            {message}
          </p>
        )}
        <h2 className="mt-4">Done</h2>
        <div className="row-of">
          <Button
            disabled={flask.addedML === 0}
            onClick={() => {
              call('all dissolved')
            }}
          >
            All is dissolved
          </Button>
          <Button
            variant="outline-primary"
            disabled={flask.addedML === 0}
            onClick={() => {
              call('what is left is grit')
            }}
          >
            The rest is grit
          </Button>
        </div>
      </section>
    </div>
  )
}
