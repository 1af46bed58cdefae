import css from '../../../parts/steps.module.css'
import classNames from 'classnames'
import { useState } from 'react'
import Button from 'react-bootstrap/Button'
import {
  isDone,
  isWetting,
  nextActOf,
  type PrepFacts,
  tickStep,
  timersOf,
} from '@ivory-crystal/core/notebook'
import type { Step } from '@ivory-crystal/core/procedures'
import { clock as pageClock } from '../../../clock/clock'
import { clock, span } from '../../../format/format'
import { strike, useNotebook, write } from '../../../ledger/notebook'
import { useNow } from '../../../clock/now'
import { LiquorPanel } from './LiquorPanel'
import { PartnerForm } from './PartnerForm'
import { Portions, Wetting } from './Portions'
import { SampleLabel } from './SampleLabel'
import { TemperatureForm } from './TemperatureForm'

/** One step: ticked and stamped, with what belongs to it underneath while it is the next. */
export function StepLine({ step, prep, isNext }: { step: Step; prep: PrepFacts; isNext: boolean }) {
  const tick = prep.ticked.get(step.id)
  const view = useNotebook((state) => state.view)
  const now = useNow(5000)
  const timer = timersOf(view, prep.id, now).find((one) => one.timer === step.timer?.timer)
  const act = isNext && !tick ? nextActOf(view, prep, step, now) : null
  const isOver = timer !== undefined && timer.leftMs <= 0
  return (
    <li className={isNext ? css.next : undefined} data-next-step={isNext || undefined}>
      <button
        type="button"
        className={tick ? classNames(css.tick, css.done) : css.tick}
        aria-pressed={tick !== undefined}
        aria-label={
          tick
            ? `${tick.body.isLeftOut ? 'Left out at' : 'Done at'} ${clock(tick.at)}: ${step.text}`
            : `Tick: ${step.text}`
        }
        disabled={tick !== undefined}
        data-act={act === 'tick' || undefined}
        onClick={() => {
          write(...tickStep(view, prep, step.id, pageClock.now()))
        }}
      >
        {tick ? (tick.body.isLeftOut ? '–' : '✓') : ''}
      </button>
      <div className={tick ? css.doneText : undefined}>
        {step.text}
        {step.caution && !tick && <p className="caution">{step.caution}</p>}
      </div>
      <div className={css.stamp}>
        {tick && (
          <>
            {tick.body.isLeftOut && <span className="d-block">left out</span>}
            {clock(tick.at)}
            <br />
            <Button
              variant="link"
              size="sm"
              onClick={() => {
                strike(tick, 'ticked by mistake')
              }}
            >
              strike out
            </Button>
          </>
        )}
      </div>
      {step.timer && !tick && isOver && (
        <p className={classNames(css.under, 'trouble mb-0')} role="status">
          {step.timer.minutes} min are up: tick this step.
        </p>
      )}
      {step.timer && tick && !tick.body.isLeftOut && (
        <NotWaited minutes={step.timer.minutes} endsAt={timer?.endsAt} at={tick.at} />
      )}
      {step.timer && !tick && timer === undefined && (
        <div className={css.under}>
          <Button
            variant="outline-primary"
            size="sm"
            data-act={act === 'start its clock' || undefined}
            onClick={() => {
              if (step.timer) write({ kind: 'timer started', subject: prep.id, body: step.timer })
            }}
          >
            Start {step.timer.minutes} min
          </Button>
        </div>
      )}
      {isWetting(step) && isNext && (
        <div className={css.under}>
          <Wetting prep={prep} />
        </div>
      )}
      {step.portions && (!tick || isNext) && !isBeforeItsTurn(step, prep) && (
        <div className={css.under}>
          <Portions prep={prep} use={step.portions} />
        </div>
      )}
      {step.portions && isNext && isBeforeItsTurn(step, prep) && (
        <p className={classNames(css.under, 'quiet mb-0')}>
          Tick the earlier steps that use solvent first. Then you can log its solvent here.
        </p>
      )}
      {step.asks && (
        <div className={css.under}>
          {step.asks === 'temperature' && !tick && isNext && <TemperatureForm prep={prep} />}
          {step.asks === 'centrifuge partner' && (
            <PartnerForm prep={prep} step={step.id} isOpen={isNext && !tick} />
          )}
          {step.asks === 'liquor kept' && isDone(prep, step.id) && <LiquorPanel prep={prep} />}
        </div>
      )}
      {isNext && !tick && step.meanwhile && (
        <p className={classNames(css.under, 'quiet mb-0')}>
          <b>Meanwhile.</b> {step.meanwhile}
        </p>
      )}
      {step.stop && <Stop step={step} prep={prep} ticked={tick !== undefined} />}
    </li>
  )
}

/** Solvent is added step by step: “the rest” is none while the solid still dissolves. */
function isBeforeItsTurn(step: Step, prep: PrepFacts): boolean {
  if (prep.portions.some(({ body }) => body.use === step.portions)) return false
  const at = prep.steps.findIndex(({ id }) => id === step.id)
  return prep.steps
    .slice(0, at)
    .some((earlier) => earlier.portions !== undefined && !prep.ticked.has(earlier.id))
}

/** Ticked this much before its time is as good as waited for, ms. */
const SOON_ENOUGH_MS = 30_000

/** A wait that was ticked and not waited for is remarked on; it may have been timed otherwise. */
function NotWaited({ minutes, endsAt, at }: { minutes: number; endsAt: number | undefined; at: number }) {
  if (endsAt === undefined)
    return (
      <p className={classNames(css.under, 'quiet mb-0')}>Ticked without its {minutes} min being timed.</p>
    )
  const early = endsAt - at
  if (early < SOON_ENOUGH_MS) return null
  return (
    <p className={classNames(css.under, 'quiet mb-0')}>
      Ticked {span(early)} before its {minutes} min were up.
    </p>
  )
}

/** A place where the work can stand until next week, with the label that goes on it. */
function Stop({ step, prep, ticked }: { step: Step; prep: PrepFacts; ticked: boolean }) {
  const [label, setLabel] = useState(false)
  return (
    <p className={classNames(css.under, 'quiet mb-0')}>
      <b>Safe place to stop.</b> {ticked ? '' : step.stop}{' '}
      <Button
        variant="link"
        size="sm"
        onClick={() => {
          setLabel(true)
        }}
      >
        Print a label
      </Button>
      {label && (
        <SampleLabel
          prep={prep}
          step={step}
          onDone={() => {
            setLabel(false)
          }}
        />
      )}
    </p>
  )
}
