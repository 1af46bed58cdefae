import css from '../Practice.module.css'
import { type ReactNode, useEffect, useMemo, useRef, useState } from 'react'
import Button from 'react-bootstrap/Button'
import type { Moment } from '@ivory-crystal/core/notebook'
import {
  isJobRight,
  type MarkedTube,
  type MeltExercise,
  scoreLens,
  type SmallJob,
  type TubeTruth,
} from '@ivory-crystal/core/practice'
import { Lens } from '../../../drawings/Lens'
import { MarkPad } from '../../../drawings/MarkPad'
import { sound } from '../../../drawings/sounds'
import { fixed } from '../../../format/format'
import { SwappedTube } from '../../../parts/SwappedMarks'
import { usePadKeys } from '../../../parts/usePadKeys'
import { Hurry } from '../../../parts/instrument/Hurry'
import { RateGauge } from '../../../parts/instrument/RateGauge'
import { Readout } from '../../../parts/instrument/Readout'
import { NO_MARK_TO_STRIKE, refusedPress } from '../../../parts/instrument/refusedPress'
import type { Done, ExerciseSetup } from '../exerciseSetup'
import { useEnding } from '../useEnding'
import { useLearnersSeconds } from '../useLearnersSeconds'
import { useHeated } from '../useHeated'
import { Jobs } from './Jobs'

/** One press on the pad. */
interface Press {
  readonly entry: {
    readonly id: string
    readonly body: { readonly slot: number; readonly moment: Moment; readonly pressedAtS: number }
  }
  readonly temperature: { readonly text: string }
  readonly word: null
}
/** No wider, and it is held in one hand. */
const PHONE_PX = 640
/** When all is liquid and not all of it is marked, it goes on for so long, °C. */
const GOES_ON_C = 1.5
const HURRIES = [1, 4, 8, 16]
/** It begins so hurried that it takes about so many of the learner’s minutes at most. */
const MINUTES_AT_MOST = 5

/** Tubes at the lens, to be marked; it ends by itself when all has been seen. */
export function AtTheLens({
  put,
  exercise,
  jobs,
  onDone,
  minutesMost = 0,
  below,
}: {
  put: ExerciseSetup
  exercise: MeltExercise
  jobs: readonly SmallJob[]
  onDone: (done: Done & { readonly truth: readonly TubeTruth[] }) => void
  /** It ends after so many of the learner’s minutes; 0 for no end. */
  minutesMost?: number
  below?: ReactNode
}) {
  const [hurry, setHurry] = useState(() => startingHurry(exercise))
  const heated = useMemo(() => ({ what: 'tubes', exercise }) as const, [exercise])
  const now = useHeated(heated, hurry)
  const [marks, setMarks] = useState<readonly Press[]>([])
  const [sentence, setSaid] = useState<string | null>(null)
  const [answers, setAnswers] = useState<readonly (string | null)[]>(jobs.map(() => null))
  const reading = now.reading
  const press = (slot: number, moment: Moment) => {
    const refusal = refusedPress(slot, moment, {
      slots: exercise.tubes.map((tube) => tube.slot),
      marks,
      isHeard: reading !== null,
    })
    setSaid(refusal)
    if (refusal !== null || !reading) return
    sound(moment)
    setMarks((before) => [
      ...before,
      {
        entry: {
          id: `${slot} ${moment} ${reading.atS} ${before.length}`,
          body: { slot, moment, pressedAtS: reading.atS },
        },
        temperature: { text: reading.probe.text },
        word: null,
      },
    ])
  }
  const strikeLast = () => {
    setSaid(marks.length === 0 ? NO_MARK_TO_STRIKE : null)
    setMarks((before) => before.slice(0, -1))
  }
  const at = (slot: number, moment: Moment) =>
    marks.find(({ entry: { body } }) => body.slot === slot && body.moment === moment)?.entry.body.pressedAtS
  const swapped = exercise.tubes
    .map(({ slot }) => slot)
    .filter((slot) => (at(slot, 'first liquid') ?? -Infinity) > (at(slot, 'all liquid') ?? Infinity))
  usePadKeys(press, strikeLast)
  const markOf = (slot: number, moment: Moment) => {
    const made = marks.find(({ entry: { body } }) => body.slot === slot && body.moment === moment)
    return made ? Number(made.temperature.text) : null
  }
  const finish = async () => {
    const truth = await now.stop(true)
    const mine = exercise.tubes.map(({ slot }) => ({
      firstC: markOf(slot, 'first liquid'),
      allC: markOf(slot, 'all liquid'),
    }))
    const put_ = jobs.filter((_, i) => i < shownJobs || answers[i] !== null).length
    const score = scoreLens(
      {
        marks: mine,
        truth,
        rateCPerMin: exercise.rateCPerMin,
        ...(jobs.length > 0
          ? { jobs: { put: put_, right: jobs.filter((job, i) => isJobRight(job, answers[i] ?? '')).length } }
          : {}),
      },
      put.rules,
    )
    const tubes = score.marks.tubes.map(({ first, all }): MarkedTube => ({
      firstErrorC: first.errorC,
      allErrorC: all.errorC,
    }))
    onDone({ score, tubes, truth, more: <Was exercise={exercise} truth={truth} /> })
  }
  const seconds = useLearnersSeconds(now.reading !== null)
  const shownJobs = jobs.filter(({ atS }) => atS <= seconds).length
  const clearC = now.truth.every(({ allC }) => allC !== null)
    ? Math.max(...now.truth.map(({ allC }) => allC ?? 0))
    : null
  const isMarked = exercise.tubes.every(
    ({ slot }) => markOf(slot, 'first liquid') !== null && markOf(slot, 'all liquid') !== null,
  )
  const isOver =
    (now.truth.length > 0 &&
      clearC !== null &&
      ((isMarked && swapped.length === 0) ||
        (reading !== null && reading.probe.value >= clearC + GOES_ON_C) ||
        reading?.phase === 'holding')) ||
    (minutesMost > 0 && seconds >= 60 * minutesMost)
  const end = useEnding(isOver, finish)
  const both = useRef<HTMLDivElement>(null)
  const isHeard = reading !== null
  useEffect(() => {
    // On a phone the lens is brought to the top once, so that the whole pad is in view with it.
    if (isHeard && window.innerWidth <= PHONE_PX) both.current?.scrollIntoView({ block: 'start' })
  }, [isHeard])
  const lensTubes = useMemo(
    () =>
      exercise.tubes.map(({ slot, fillMm, grain, colour, seed }) => ({
        slot,
        seed: `practice ${seed}`,
        fillMm,
        grain,
        colour,
      })),
    [exercise],
  )
  return (
    <div className={css.both} ref={both}>
      <section aria-label="Instrument">
        <div className={css.lensHere}>
          <Lens tubes={lensTubes} readings={reading?.tubes ?? NO_READINGS} />
        </div>
        <div className={css.readout}>
          <Readout
            name={(exercise.character?.name ?? 'block').toLowerCase()}
            simulated
            text={reading?.probe.text ?? null}
          />
          <div className={css.rate}>
            <span className="quiet">rate</span>
            <RateGauge rate={now.rateCPerMin} within={null} wanted={put.rules.meltRate} ramping={false} />
          </div>
          <Hurry of={HURRIES} value={hurry} onChange={setHurry} />
        </div>
        {now.trouble && (
          <p className="look" role="alert">
            {now.trouble}
          </p>
        )}
      </section>
      <section aria-label="Tubes">
        <MarkPad
          tubes={exercise.tubes.map(({ slot, fillMm, grain }) => ({
            slot,
            label: `tube ${slot}`,
            note: `${fillMm} mm ${grain}`,
          }))}
          marks={marks}
          onset={
            put.rules.onsetRule === 'distinct drop'
              ? 'the first distinct drop of liquid in the bulk'
              : 'the first clear wetness'
          }
          disabled={reading === null}
          onPress={press}
          onStrike={(mark) => {
            setMarks((before) => before.filter(({ entry }) => entry.id !== mark.entry.id))
          }}
        />
        <p className="quiet mt-2 mb-2" role="status">
          {sentence ??
            `First liquid means ${put.rules.onsetRule === 'distinct drop' ? 'the first distinct drop in the bulk' : 'the first clear wetness'}. Backspace strikes out the last mark.`}
        </p>
        {swapped.map((slot) => (
          <SwappedTube
            key={slot}
            slot={slot}
            onExchange={() => {
              setMarks((before) => before.map((mark) => exchanged(mark, slot)))
            }}
          />
        ))}
        {jobs.length > 0 && (
          <Jobs
            jobs={jobs.slice(0, shownJobs)}
            answers={answers}
            onAnswer={(i, answer) => {
              setAnswers((before) => before.map((one, at) => (at === i ? answer : one)))
            }}
          />
        )}
        <Button variant="link" className="p-0" onClick={end}>
          I have seen enough
        </Button>
        {below}
      </section>
    </div>
  )
}
/** Each of a tube’s two marks as the other. */
function exchanged(mark: Press, slot: number): Press {
  const { body } = mark.entry
  if (body.slot !== slot || body.moment === 'early sign') return mark
  const moment = body.moment === 'first liquid' ? 'all liquid' : 'first liquid'
  return { ...mark, entry: { ...mark.entry, body: { ...body, moment } } }
}
function startingHurry({ startC, stopC, rateCPerMin }: MeltExercise): number {
  const minutes = (stopC - startC) / rateCPerMin
  return HURRIES.find((times) => times > 1 && minutes / times <= MINUTES_AT_MOST) ?? 16
}
const NO_READINGS: readonly [] = []

/** What was in the tubes, told with the answer. */
function Was({ exercise, truth }: { exercise: MeltExercise; truth: readonly TubeTruth[] }) {
  return (
    <ul className="plain-list">
      {exercise.tubes.map(({ slot, was }, i) => {
        const { shrankC = null, sweatedC = null } = truth[i] ?? {}
        const early = [
          shrankC === null ? null : `shrank dry at ${fixed(shrankC, 1)} °C`,
          sweatedC === null ? null : `a sheen from ${fixed(sweatedC, 1)} °C`,
        ].filter((one) => one !== null)
        return (
          <li key={slot}>
            Tube {slot}: {was}
            {early.length > 0 ? `; ${early.join(', ')}` : ''}.
          </li>
        )
      })}
    </ul>
  )
}
