import css from './OnTheBlock.module.css'
import classNames from 'classnames'
import { useEffect, useRef } from 'react'
import type { Instrument } from '@ivory-crystal/core/instruments'
import { correctedRange, linesOf, type MeltFacts } from '@ivory-crystal/core/notebook'
import { isSlowPart, meltRateOf, nextTurn } from '@ivory-crystal/core/planning'
import { useNotebook } from '../../ledger/notebook'
import { fixed, span } from '../../format/format'
import { sound } from '../../drawings/sounds'
import { Thermometer } from '../../drawings/Thermometer'
import { RateGauge } from '../../parts/instrument/RateGauge'
import { InstrumentName, Readout } from '../../parts/instrument/Readout'
import { type MeltMoment, useMoment } from './useMoment'
import type { Run } from './useRun'

interface OnTheBlockProps {
  melt: MeltFacts
  run: Run
  instrument: Instrument | undefined
  muted: boolean
}
/** The instrument as it stands: temperature, rate, and the reading that is wanted. */
export function OnTheBlock({ melt, run, instrument, muted }: OnTheBlockProps) {
  const now = useMoment(melt, run)
  useCalls(melt, now, muted)
  return (
    <>
      <Temperature melt={melt} run={run} instrument={instrument} now={now} />
      <Trouble instrument={melt.planned.body.instrument} />
    </>
  )
}

/** Why what is read is not written down, said where it is watched. */
function Trouble({ instrument }: { instrument: string }) {
  const trouble = useNotebook((state) => state.readings[instrument]?.trouble)
  return trouble ? (
    <p className="look" role="alert">
      {trouble} The app tries again every second; marks are saved on this device.
    </p>
  ) : null
}

function Temperature({
  melt,
  run,
  instrument,
  now,
}: {
  melt: MeltFacts
  run: Run
  instrument: Instrument | undefined
  now: MeltMoment
}) {
  const reading = now.lastReading?.reading
  const { calibration } = melt.planned.body
  const corrected =
    calibration && reading && run.recorded ? correctedRange(calibration, reading.probe, reading.probe) : null
  return (
    <div className={classNames(css.instrumentLine, 'd-flex gap-4 align-items-end flex-wrap')}>
      {run.recorded ? (
        <Readout
          name={`${melt.planned.body.instrumentName.toLowerCase()}, raw`}
          simulated={instrument?.simulated === true}
          text={reading?.probe.text ?? null}
        >
          {corrected && (
            <span className="quiet">
              corrected {fixed(corrected.onsetC, 1)} °C
              {corrected.extrapolated ? ', beyond its standards' : ''}
            </span>
          )}
        </Readout>
      ) : (
        <div style={{ width: 430, maxWidth: '100%' }}>
          <InstrumentName
            name={`${melt.planned.body.instrumentName.toLowerCase()}, read by eye`}
            simulated={instrument?.simulated === true}
          />
          {instrument?.simulated ? (
            <Thermometer
              valueC={reading?.probe.value ?? null}
              lowC={instrument.thermometer.lowC}
              highC={instrument.thermometer.highC}
            />
          ) : (
            <LastRead melt={melt} now={now} />
          )}
        </div>
      )}
      <div className="pb-2">
        <span className="quiet">rate{run.recorded ? '' : ', from your readings'}</span>
        <RateGauge
          rate={now.rateCPerMin}
          within={now.rateWithinCPerMin}
          wanted={meltRateOf(melt)}
          ramping={isSlowPart(melt, now)}
        />
        <span className="quiet">{span(now.atS * 1000)} into the run</span>
      </div>
    </div>
  )
}

/** A real thermometer is before the eye: here stands what it was last read at, and about where it is by now. */
function LastRead({ melt, now }: { melt: MeltFacts; now: MeltMoment }) {
  const last = useNotebook(({ view }) => linesOf(view, melt.id, 'temperature typed').at(-1)?.body ?? null)
  const ago = last && now.atS - last.atS
  return (
    <>
      <div className="block-c">
        {last?.temperature.text ?? '–'}
        <small>°C</small>
      </div>
      <span className="quiet">
        {ago === null
          ? 'nothing read yet'
          : `read ${span(ago * 1000)} ago${now.nowC !== null && ago >= TELLS_AFTER_S ? `; about ${fixed(now.nowC, 0)} °C now` : ''}`}
      </span>
    </>
  )
}

/** A reading this fresh needs no estimate beside it, s. */
const TELLS_AFTER_S = 15

/** Three notes once when the window opens; two when a turn of the dial falls due. What is rung is also said on screen. */
function useCalls(melt: MeltFacts, { nowC, atS, rateCPerMin }: MeltMoment, muted: boolean): void {
  const rung = useRef(false)
  const inside = nowC !== null && nowC >= melt.planned.body.window.watchFromC && melt.run !== null
  const turn = nowC === null ? null : nextTurn(melt, nowC, atS, rateCPerMin)
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
