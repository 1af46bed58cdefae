import { lazy, Suspense, useEffect, useMemo, useRef, useState } from 'react'
import Button from 'react-bootstrap/Button'
import {
  liveRate,
  minutesToWindow,
  plannedCurve,
  readCurve,
  SIGN_WORDS,
  type MeltFacts,
} from '@ivory-crystal/core'
import { fixed, span } from '../../../format/format'
import { Lens } from '../../../signature/Lens'
import { MarkPad } from '../../../signature/MarkPad'
import { sound } from '../../../signature/sounds'
import { strike, useNotebook } from '../../../state/notebook'
import { RampTable } from './MeltPlan'
import { RateGauge } from './RateGauge'
import { RunControls } from './RunControls'
import { useMarking, type Marking } from './useMarking'
import { useRun, type Run } from './useRun'

const TemperatureChart = lazy(async () => ({
  default: (await import('../../../signature/TemperatureChart')).TemperatureChart,
}))

/** One purpose: to catch both ends of every range without looking up. */
export function Watch({ melt }: { melt: MeltFacts }) {
  const run = useRun(melt)
  const marking = useMarking(melt)
  useWindowSound(melt, run, marking.muted)
  if (!melt.run) return <Ready melt={melt} run={run} />
  const { tubes, conventions } = melt.planned.body
  const onset =
    conventions.onsetRule === 'distinct drop'
      ? 'the first distinct drop of liquid in the bulk'
      : 'the first clear wetness'
  return (
    <div className="watch">
      <section aria-label="Instrument" className="on-block">
        <Temperature melt={melt} run={run} />
        <Announcement melt={melt} run={run} />
        <RunControls melt={melt} run={run} />
      </section>
      <section aria-label="Tubes" className="on-tubes">
        {run.heard?.reading && (
          <Lens tubes={run.heard.reading.tubes} slots={tubes.map((tube) => tube.slot)} />
        )}
        <MarkPad
          tubes={tubes.map((tube) => ({
            slot: tube.slot,
            label: tube.label,
            note: `tube ${tube.slot} · ${tube.fillMm} mm ${tube.grain}`,
          }))}
          marks={melt.marks}
          onset={onset}
          disabled={run.heard?.reading == null}
          onPress={marking.press}
        />
        <UnderThePad melt={melt} marking={marking} onset={onset} />
      </section>
      <section aria-label="Temperature over time" className="on-curve">
        <Curve melt={melt} />
      </section>
    </div>
  )
}

function Ready({ melt, run }: { melt: MeltFacts; run: Run }) {
  const { plan, tubes } = melt.planned.body
  return (
    <div className="columns two">
      <div>
        <h2>Ready: {tubes.map((tube) => tube.label).join(', ')}</h2>
        <div className="mt-3">
          <RampTable plan={plan} blockC={melt.planned.body.input.apparatus.blockC} />
        </div>
        <div className="row-of mt-3">
          <Button onClick={run.start} disabled={run.busy}>
            Start the simulated block
          </Button>
          <Button
            variant="outline-primary"
            onClick={() => {
              strike(melt.planned, 'planned again')
            }}
          >
            Strike this plan
          </Button>
        </div>
        {run.trouble && (
          <p className="look" role="alert">
            {run.trouble}
          </p>
        )}
      </div>
      <aside>
        <h3>Simulated</h3>
        <p className="quiet mt-1">
          No real instrument is connected. The simulated block behaves like a metal block with a heater and a
          probe; its tubes hold what this prep’s plan predicts: the crude near the fraction estimated, the
          product as pure as the plan expects.
        </p>
        <h3>Take care at a real one</h3>
        <p className="quiet mt-1">
          Eye protection. The block looks the same hot or cold. Never force a tube or a thermometer. Leave it
          cool for the next person.
        </p>
      </aside>
    </div>
  )
}

function Temperature({ melt, run }: { melt: MeltFacts; run: Run }) {
  const view = useNotebook((state) => state.view)
  const reading = run.heard?.reading
  const rate = run.heard ? liveRate(view, melt, run.heard.recent) : null
  return (
    <div className="d-flex gap-4 align-items-end flex-wrap instrument-line">
      <div>
        <span className="quiet">
          block, raw <span className="simulated ms-1">simulated</span>
        </span>
        <div className="block-c" data-testid="block-temperature">
          {reading?.probe.text ?? '–'}
          <small>°C</small>
        </div>
      </div>
      <div className="pb-2">
        <span className="quiet">rate</span>
        <RateGauge
          rate={rate}
          wanted={melt.planned.body.conventions.meltRate}
          ramping={reading?.phase === 'ramping'}
        />
        <span className="quiet">{reading ? `${span(reading.atS * 1000)} into the run` : ''}</span>
      </div>
    </div>
  )
}

function Announcement({ melt, run }: { melt: MeltFacts; run: Run }) {
  const reading = run.heard?.reading
  const { watchFromC, stopC } = melt.planned.body.plan
  const connected = useNotebook((state) => state.connected)
  if (!connected)
    return (
      <div className="window wait" role="status">
        The instrument cannot be heard. Keep watching and keep pressing: each press is kept with its time, and
        the recorder’s trace gives the temperature.
      </div>
    )
  if (!reading || reading.phase !== 'ramping')
    return reading?.phase === 'holding' && reading.probe.value >= stopC - 1 ? (
      <div className="window" role="status">
        At the stop temperature. End the run, or strike and repeat what was missed.
      </div>
    ) : null
  if (reading.probe.value >= watchFromC)
    return (
      <div className="window" role="status">
        In the window. Eye at the lens, all tubes.
      </div>
    )
  const minutes = minutesToWindow(melt.planned.body.plan, reading.probe.value)
  return (
    <div className="window wait" role="status">
      The window opens at {fixed(watchFromC, 1)} °C, in about {span(minutes * 60_000)}.
    </div>
  )
}

function Curve({ melt }: { melt: MeltFacts }) {
  const view = useNotebook((state) => state.view)
  const read = useMemo(() => readCurve(view, melt), [view, melt])
  const planned = useMemo(() => plannedCurve(melt), [melt])
  const { watchFromC, stopC } = melt.planned.body.plan
  return (
    <Suspense fallback={<div style={{ height: 265 }} />}>
      <TemperatureChart planned={planned} read={read} watchFromC={watchFromC} stopC={stopC} />
    </Suspense>
  )
}

function UnderThePad({ melt, marking, onset }: { melt: MeltFacts; marking: Marking; onset: string }) {
  const unnamed = [...melt.marks]
    .reverse()
    .find((mark) => mark.entry.body.moment === 'early sign' && mark.word === null)
  return (
    <div className="mt-3">
      {marking.said && (
        <p className="look" role="alert">
          {marking.said}
        </p>
      )}
      {unnamed && (
        <div className="row-of align-items-center mb-2" role="group" aria-label="Name the early sign">
          <span className="quiet">
            Tube {unnamed.entry.body.slot} at {unnamed.temperature?.text ?? '…'}: what was it?
          </span>
          {SIGN_WORDS.map((word) => (
            <Button
              key={word}
              size="sm"
              variant="outline-primary"
              onClick={() => {
                marking.nameSign(unnamed.entry.id, word)
              }}
            >
              {word}
            </Button>
          ))}
        </div>
      )}
      <div className="d-flex gap-3 align-items-start">
        <p className="quiet mb-0">
          A key stamps time and temperature. First liquid here is {onset}; shrinking and sweat on the glass
          are early signs. <b>Backspace</b> strikes the last mark; nothing is erased.
        </p>
        <div className="d-flex gap-2 ms-auto">
          <Button size="sm" variant="outline-primary" onClick={marking.strikeLast} className="text-nowrap">
            Strike last
          </Button>
          <Button
            size="sm"
            variant="outline-primary"
            aria-pressed={marking.muted}
            onClick={() => {
              marking.setMuted(!marking.muted)
            }}
          >
            {marking.muted ? 'Unmute' : 'Mute'}
          </Button>
        </div>
      </div>
    </div>
  )
}

/** Three notes once, when the window opens. */
function useWindowSound(melt: MeltFacts, run: Run, muted: boolean): void {
  const rung = useRef(false)
  const [opened, setOpened] = useState(false)
  const reading = run.heard?.reading
  const inside = reading?.phase === 'ramping' && reading.probe.value >= melt.planned.body.plan.watchFromC
  if (inside && !opened) setOpened(true)
  useEffect(() => {
    // Sound is outside React; it must ring once and not at every reading.
    if (!opened || rung.current) return
    rung.current = true
    if (!muted) sound('window')
  }, [opened, muted])
}
