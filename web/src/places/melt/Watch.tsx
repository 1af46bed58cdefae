import { lazy, Suspense, useEffect, useMemo, useRef, useState } from 'react'
import Button from 'react-bootstrap/Button'
import {
  correctedRange,
  estimatedNow,
  type Instrument,
  isTooFast,
  liveRate,
  type MeltFacts,
  mendingSetting,
  minutesToWindow,
  nextTurn,
  plannedCurve,
  readCurve,
  SIGN_WORDS,
} from '@ivory-crystal/core'
import { fixed, span } from '../../format/format'
import { Lens } from '../../drawings/Lens'
import { MarkPad } from '../../drawings/MarkPad'
import { sound } from '../../drawings/sounds'
import { Thermometer } from '../../drawings/Thermometer'
import { useNow } from '../../app/now'
import { useNotebook } from '../../ledger/notebook'
import { EndPanel } from './EndPanel'
import { EyeReading } from './EyeReading'
import { LightPanel } from './LightPanel'
import { RateGauge } from './RateGauge'
import { Ready } from './Ready'
import { RunControls } from './RunControls'
import { TubeNotes } from './TubeNotes'
import { useAwake } from './useAwake'
import { type Marking, useMarking } from './useMarking'
import { type Run, runSeconds, useRun } from './useRun'

const TemperatureChart = lazy(async () => ({
  default: (await import('../../drawings/TemperatureChart')).TemperatureChart,
}))

/** One purpose: to catch both ends of every range without looking up. */
export function Watch({ melt }: { melt: MeltFacts }) {
  const run = useRun(melt)
  const marking = useMarking(melt)
  const shelf = useNotebook((state) => state.shelf)
  const instrument = shelf?.instruments.find(({ id }) => id === melt.planned.body.instrument)
  const [ending, setEnding] = useState(false)
  useAwake(melt.run !== null && melt.run.ended === null)
  if (!melt.run) return <Ready melt={melt} run={run} instrument={instrument} />
  return (
    <Watching
      melt={melt}
      run={run}
      marking={marking}
      instrument={instrument}
      ending={ending}
      setEnding={setEnding}
    />
  )
}

function Watching({
  melt,
  run,
  marking,
  instrument,
  ending,
  setEnding,
}: {
  melt: MeltFacts
  run: Run
  marking: Marking
  instrument: Instrument | undefined
  ending: boolean
  setEnding: (ending: boolean) => void
}) {
  const { tubes, conventions } = melt.planned.body
  const now = useTemperatureNow(melt, run)
  useCalls(melt, run, now, marking.muted)
  const onset =
    conventions.onsetRule === 'distinct drop'
      ? 'the first distinct drop of liquid in the bulk'
      : 'the first clear wetness'
  return (
    <div className="watch">
      <section aria-label="Instrument" className="on-block">
        <Temperature melt={melt} run={run} instrument={instrument} nowC={now} />
        {!run.recorded && <EyeReading melt={melt} muted={marking.muted} />}
        <Announcement melt={melt} run={run} nowC={now} />
        {ending ? (
          <EndPanel
            melt={melt}
            run={run}
            onBack={() => {
              setEnding(false)
            }}
          />
        ) : (
          <RunControls
            melt={melt}
            run={run}
            nowC={now}
            instrument={instrument}
            onEnd={() => {
              setEnding(true)
            }}
          />
        )}
      </section>
      <section aria-label="Tubes" className="on-tubes">
        {run.heard?.reading && run.heard.reading.tubes.length > 0 && (
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
          disabled={!run.byHand && run.heard?.reading == null}
          onPress={marking.press}
        />
        <UnderThePad melt={melt} marking={marking} onset={onset} />
        <TubeNotes melt={melt} />
      </section>
      <section aria-label="Temperature over time" className="on-curve">
        <Curve melt={melt} />
        {instrument?.character.readsLight && <LightPanel melt={melt} />}
      </section>
    </div>
  )
}

/** What the thermometer shows where it is recorded, about where it stands where it is read by eye; °C. */
function useTemperatureNow(melt: MeltFacts, run: Run): number | null {
  const view = useNotebook((state) => state.view)
  useNow()
  if (run.recorded) return run.heard?.reading?.probe.value ?? null
  return estimatedNow(view, melt, runSeconds(melt))
}

function Temperature({
  melt,
  run,
  instrument,
  nowC,
}: {
  melt: MeltFacts
  run: Run
  instrument: Instrument | undefined
  nowC: number | null
}) {
  const view = useNotebook((state) => state.view)
  const reading = run.heard?.reading
  const rate = liveRate(view, melt, run.heard?.recent ?? [])
  const { conventions, calibration } = melt.planned.body
  const corrected =
    calibration && reading && run.recorded ? correctedRange(calibration, reading.probe, reading.probe) : null
  // Fast is too fast only where it matters.
  const isSlowPart = (nowC ?? 0) >= melt.planned.body.window.startC && isSettled(melt)
  return (
    <div className="d-flex gap-4 align-items-end flex-wrap instrument-line">
      {run.recorded ? (
        <div>
          <span className="quiet">
            {melt.planned.body.instrumentName.toLowerCase()}, raw{' '}
            {instrument?.simulated && <span className="simulated ms-1">simulated</span>}
          </span>
          <div className="block-c" data-testid="block-temperature">
            {reading?.probe.text ?? '–'}
            <small>°C</small>
          </div>
          {corrected && (
            <span className="quiet">
              corrected {fixed(corrected.onsetC, 1)} °C
              {corrected.extrapolated ? ', beyond its standards' : ''}
            </span>
          )}
        </div>
      ) : (
        <div style={{ width: 430, maxWidth: '100%' }}>
          <span className="quiet">
            {melt.planned.body.instrumentName.toLowerCase()}, read by eye{' '}
            {instrument?.simulated && <span className="simulated ms-1">simulated</span>}
          </span>
          {reading && instrument && (
            <Thermometer
              valueC={reading.probe.value}
              lowC={instrument.thermometer.lowC}
              highC={instrument.thermometer.highC}
            />
          )}
        </div>
      )}
      <div className="pb-2">
        <span className="quiet">rate{run.recorded ? '' : ', from your readings'}</span>
        <RateGauge rate={rate} wanted={conventions.meltRate} ramping={isSlowPart} />
        <span className="quiet">{span(runSeconds(melt) * 1000)} into the run</span>
      </div>
    </div>
  )
}

function Announcement({ melt, run, nowC }: { melt: MeltFacts; run: Run; nowC: number | null }) {
  const view = useNotebook((state) => state.view)
  const connected = useNotebook((state) => state.connected)
  const { window, conventions } = melt.planned.body
  const reading = run.heard?.reading
  if (!connected && !run.byHand)
    return (
      <div className="window wait" role="status">
        The instrument cannot be heard. Keep watching and keep pressing: each press is kept with its time, and
        the recorder’s trace gives the temperature.
      </div>
    )
  const isHeating = run.byHand || reading?.phase === 'ramping' || reading?.phase === 'heating'
  if (nowC === null || !isHeating)
    return reading?.phase === 'holding' && nowC !== null && nowC >= window.stopC - 1 ? (
      <div className="window" role="status">
        At the stop temperature. Not melted? Go on a little, or end the run and say so.
      </div>
    ) : null
  if (nowC >= window.watchFromC) {
    const rate = liveRate(view, melt, run.heard?.recent ?? [])
    return (
      <div className="window" role="status">
        {rate !== null && isSettled(melt) && isTooFast(rate, conventions.meltRate)
          ? tooFast(melt, nowC, rate)
          : nowC > window.stopC
            ? 'Past the planned stop. Not melted? End the run and say so, or go on a little.'
            : 'In the window. Eye at the lens, all tubes.'}
      </div>
    )
  }
  const rate = liveRate(view, melt, run.heard?.recent ?? []) ?? 0
  const minutes = minutesToWindow({ ...window, rateCPerMin: Math.max(rate, window.rateCPerMin / 2) }, nowC)
  return (
    <div className="window wait" role="status">
      The window opens at {fixed(window.watchFromC, 1)} °C, in about {span(minutes * 60_000)}.
    </div>
  )
}

/** A live rate looks back a minute: before that has passed since the last command it tells of what was before. */
const SETTLED_AFTER_S = 60

function isSettled(melt: MeltFacts): boolean {
  const last = melt.run?.commands.filter(({ body }) => body.command.kind !== 'pace').at(-1)
  return runSeconds(melt) - (last?.body.atS ?? 0) >= SETTLED_AFTER_S
}

/** Said while it can still be mended. */
function tooFast(melt: MeltFacts, nowC: number, rate: number): string {
  const said = `${fixed(rate, 1)} °C/min is too fast in the window`
  const setting = mendingSetting(melt, nowC)
  if (setting !== null) return `${said}: turn down to ${fixed(setting, 2)} now.`
  if (melt.planned.body.heating.by === 'hand') return `${said}: turn it down now.`
  return `${said}; the range will read wide and late. Let it settle, or repeat slower.`
}

function Curve({ melt }: { melt: MeltFacts }) {
  const view = useNotebook((state) => state.view)
  const read = useMemo(() => readCurve(view, melt), [view, melt])
  const planned = useMemo(() => plannedCurve(melt), [melt])
  const { watchFromC, stopC } = melt.planned.body.window
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
          A key stamps time
          {melt.run?.started.body.recorded === false
            ? '; the temperature is typed after'
            : ' and temperature'}
          . First liquid here is {onset}; shrinking and sweat on the glass are early signs. <b>Backspace</b>{' '}
          strikes the last mark; nothing is erased.
        </p>
        <div className="d-flex gap-2 ms-auto">
          <Button size="sm" variant="outline-primary" onClick={marking.strikeLast} className="text-nowrap">
            Strike last
          </Button>
          <Button size="sm" variant="outline-primary" onClick={fillTheScreen} className="text-nowrap">
            Full screen
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

/** Nothing but the melt on the screen, and back. */
function fillTheScreen(): void {
  const asked = document.fullscreenElement
    ? document.exitFullscreen()
    : document.querySelector('.watch')?.requestFullscreen()
  asked?.catch(() => undefined)
}

/** Three notes once when the window opens; two when a turn of the dial falls due. What is rung is also said on screen. */
function useCalls(melt: MeltFacts, run: Run, nowC: number | null, muted: boolean): void {
  const view = useNotebook((state) => state.view)
  const rung = useRef(false)
  const inside = nowC !== null && nowC >= melt.planned.body.window.watchFromC && melt.run !== null
  const rate = liveRate(view, melt, run.heard?.recent ?? [])
  const turn = nowC === null ? null : nextTurn(melt, nowC, runSeconds(melt), rate)
  const due = turn !== null && turn.dueInMin === 0 ? turn.atMin : null
  useEffect(() => {
    // Sound is outside React; it must ring once and not at every reading.
    if (!inside || rung.current) return
    rung.current = true
    if (!muted) sound('window')
  }, [inside, muted])
  useEffect(() => {
    // Once for each turn that falls due.
    if (due !== null && !muted) sound('turn')
  }, [due, muted])
}
