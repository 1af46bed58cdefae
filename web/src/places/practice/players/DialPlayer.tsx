import css from '../Practice.module.css'
import { lazy, memo, Suspense, useMemo, useState } from 'react'
import Button from 'react-bootstrap/Button'
import { DIAL_RATE, dialExercise, isDialOver, scoreDial } from '@ivory-crystal/core/practice'
import { fixed } from '../../../format/format'
import { Hurry } from '../../../parts/instrument/Hurry'
import { RateGauge } from '../../../parts/instrument/RateGauge'
import { Readout } from '../../../parts/instrument/Readout'
import { Turn } from '../../../parts/instrument/Turn'
import type { PlayerProps } from '../exerciseSetup'
import { useEnding } from '../useEnding'
import { useHeated } from '../useHeated'

const TemperatureChart = lazy(async () => ({
  default: memo((await import('../../../drawings/TemperatureChart')).TemperatureChart),
}))
const HURRIES = [1, 4, 8, 16]
/** The curve is drawn anew once in so many seconds of the block. */
const DRAWN_EVERY_S = 15

/** A block to be brought slowly through its window by the dial. */
export function DialPlayer({ put, onDone }: PlayerProps) {
  const exercise = useMemo(() => dialExercise(put.seed, put.level), [put.seed, put.level])
  const heated = useMemo(() => ({ what: 'block', exercise }) as const, [exercise])
  const [hurry, setHurry] = useState(8)
  const [dial, setDial] = useState(0)
  const now = useHeated(heated, hurry)
  const { command } = now
  const { fromC, expectedLowC, expectedHighC, character } = exercise
  const reading = now.reading
  const shownC = reading?.probe.value ?? exercise.startC
  const finish = async () => {
    await now.stop(false)
    const score = scoreDial(exercise, now.shown)
    onDone({
      score,
      more: (
        <Suspense fallback={<div style={{ height: 265 }} />}>
          <TemperatureChart
            planned={pointsOf(
              exercise.plan.steps.map(({ atMin, atC }) => [atMin, atC] as const),
              exercise,
            )}
            read={now.shown
              .filter(({ atS }) => atS % 10 === 0)
              .map(({ atS, shownC: c }) => [atS / 60, c] as const)}
            watchFromC={fromC}
            stopC={expectedHighC}
          />
        </Suspense>
      ),
    })
  }
  const isOver = reading !== null && isDialOver(exercise, reading.atS, shownC)
  const end = useEnding(isOver, finish)
  const drawnUpTo = Math.floor((now.shown.at(-1)?.atS ?? 0) / DRAWN_EVERY_S) * DRAWN_EVERY_S
  const curve = useMemo(
    () =>
      now.shown
        .filter(({ atS }) => atS % 10 === 0 && atS <= drawnUpTo)
        .map(({ atS, shownC: c }) => [atS / 60, c] as const),
    // eslint-disable-next-line react-hooks/exhaustive-deps -- drawn anew in steps, not with every reading
    [drawnUpTo],
  )
  return (
    <div className={css.both}>
      <section aria-label="Instrument">
        <p>
          Something is expected to melt at{' '}
          <strong>
            {expectedLowC} to {expectedHighC} °C
          </strong>
          : from <strong>{fromC} °C</strong> on, {DIAL_RATE.minCPerMin} to {DIAL_RATE.maxCPerMin} °C/min.
        </p>
        <div className={css.readout}>
          <Readout name="dial block" simulated text={reading?.probe.text ?? null} />
          <div style={{ width: 190 }}>
            <span className="quiet">rate</span>
            <RateGauge
              rate={now.rateCPerMin}
              within={null}
              wanted={{ min: DIAL_RATE.minCPerMin, target: DIAL_RATE.minCPerMin, max: DIAL_RATE.maxCPerMin }}
              ramping={shownC >= fromC}
            />
          </div>
          <div>
            <span className="quiet">minutes of the block</span>
            <div className={css.big}>{fixed((reading?.atS ?? 0) / 60, 1)}</div>
          </div>
        </div>
        <div className={css.readout}>
          <Turn
            what="dial"
            value={dial}
            scale={character.dial ? { ...character.dial, coarse: 1 } : null}
            keys
            onChange={(setting) => {
              setDial(setting)
              command({ kind: 'dial', setting })
            }}
          />
          <Hurry of={HURRIES} value={hurry} onChange={setHurry} />
        </div>
        {now.trouble && (
          <p className="look" role="alert">
            {now.trouble}
          </p>
        )}
        <Button variant="link" className="p-0 mt-3" onClick={end}>
          Stop here
        </Button>
      </section>
      <section aria-label="Temperature over time">
        <Suspense fallback={<div style={{ height: 265 }} />}>
          <TemperatureChart planned={NOTHING} read={curve} watchFromC={fromC} stopC={expectedHighC} />
        </Suspense>
      </section>
    </div>
  )
}
const NOTHING: readonly (readonly [number, number])[] = []

/** The planner’s turns as a line, to its end. */
function pointsOf(
  turns: readonly (readonly [number, number])[],
  { plan, expectedHighC }: { readonly plan: { readonly totalMin: number }; readonly expectedHighC: number },
) {
  return [...turns, [plan.totalMin, expectedHighC + 1] as const]
}
