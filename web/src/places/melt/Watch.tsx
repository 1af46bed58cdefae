import css from './Watch.module.css'
import { lazy, memo, Suspense, useMemo, useState } from 'react'
import { type Mark, type MeltFacts, sampleNamedAs } from '@ivory-crystal/core/notebook'
import { plannedCurve, readCurve } from '@ivory-crystal/core/planning'
import { Lens } from '../../drawings/Lens'
import { MarkPad } from '../../drawings/MarkPad'
import { useNotebook } from '../../ledger/notebook'
import { EndPanel, isComplete } from './EndPanel'
import { EyeReading } from './EyeReading'
import { LightPanel } from './LightPanel'
import { OnTheBlock } from './OnTheBlock'
import { Ready } from './Ready'
import { RunControls } from './RunControls'
import { TubeNotes } from './TubeNotes'
import { UnderThePad } from './UnderThePad'
import { useAwake } from './useAwake'
import { type Marking, useMarking } from './useMarking'
import { type Run, useLastReading, useIsConnected, useRun } from './useRun'

// A chart is slow to draw anew: only with what it shows.
const TemperatureChart = lazy(async () => ({
  default: memo((await import('../../drawings/TemperatureChart')).TemperatureChart),
}))

/**
 * One purpose: to catch both ends of every range without looking up. Only what shows the temperature is drawn
 * anew with it: pad and curve change with the notebook.
 */
export function Watch({ melt }: { melt: MeltFacts }) {
  const run = useRun(melt)
  const marking = useMarking(melt)
  const shelf = useNotebook((state) => state.shelf)
  const instrument = shelf?.instruments.find(({ id }) => id === melt.planned.body.instrument)
  const [ending, setEnding] = useState(false)
  useAwake(melt.run !== null && melt.run.ended === null)
  if (!melt.run) return <Ready melt={melt} run={run} instrument={instrument} />
  return (
    <div className={css.watch} data-fills-the-screen>
      <section aria-label="Now" className={css.onNow}>
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
            instrument={instrument}
            onEnd={() => {
              if (isComplete(melt)) run.end()
              else setEnding(true)
            }}
          />
        )}
        {/* Where it is asked for, whatever the height of the screen. */}
        {!run.recorded && !ending && <EyeReading melt={melt} muted={marking.muted} />}
      </section>
      <section aria-label="Instrument" className={css.onBlock}>
        {/* A thermometer that is read by eye stands before the lens: both are in view together. */}
        {run.recorded && (
          <div className={css.lens}>
            <Seen melt={melt} />
          </div>
        )}
        <OnTheBlock melt={melt} run={run} instrument={instrument} muted={marking.muted} />
        {!run.recorded && (
          <div className={css.lensBeside}>
            <Seen melt={melt} />
          </div>
        )}
      </section>
      <section aria-label="Tubes" className={css.onTubes}>
        <Tubes melt={melt} run={run} marking={marking} />
        <TubeNotes melt={melt} />
      </section>
      <section aria-label="Temperature over time" className={css.onCurve}>
        <Curve melt={melt} />
        {instrument?.character.readsLight && <LightPanel melt={melt} />}
      </section>
    </div>
  )
}

function Tubes({ melt, run, marking }: { melt: MeltFacts; run: Run; marking: Marking }) {
  const { tubes, conventions } = melt.planned.body
  const isHeard = useIsConnected(melt)
  const heads = useMemo(
    () =>
      tubes.map(({ slot, label, fillMm, grain }) => ({
        slot,
        label,
        note: `tube ${slot} · ${fillMm} mm ${grain}`,
      })),
    [tubes],
  )
  const onset =
    conventions.onsetRule === 'distinct drop'
      ? 'the first distinct drop of liquid in the bulk'
      : 'the first clear wetness'
  return (
    <>
      <Pad
        tubes={heads}
        marks={melt.marks}
        onset={onset}
        disabled={!run.byHand && !isHeard}
        onPress={marking.press}
        onStrike={marking.strikeMark}
      />
      <UnderThePad melt={melt} marking={marking} onset={onset} />
    </>
  )
}
const Pad = memo(MarkPad<Mark>)

/** The tubes as the eye at the lens would see them, where the instrument is simulated and once they are in. */
function Seen({ melt }: { melt: MeltFacts }) {
  const reading = useLastReading(melt)?.reading
  const planned = melt.planned.body.tubes
  const colours = useNotebook(({ view }) =>
    planned.map(({ sample }) => sampleNamedAs(view, sample)?.compound?.colour ?? '').join('\n'),
  )
  const tubes = useMemo(
    () =>
      planned.map(({ slot, sample, fillMm, grain }, i) => ({
        slot,
        seed: `${sample} ${slot}`,
        fillMm,
        grain,
        colour: colours.split('\n')[i] ?? null,
      })),
    [planned, colours],
  )
  if (!reading || reading.tubes.length === 0) return null
  return <Lens tubes={tubes} readings={reading.tubes} />
}

function Curve({ melt }: { melt: MeltFacts }) {
  const read = useNotebook((state) => readCurve(state.view, melt.id))
  const planned = useNotebook((state) => plannedCurve(state.view, melt.id))
  const { watchFromC, stopC } = melt.planned.body.window
  return (
    <Suspense fallback={<div style={{ height: 265 }} />}>
      <TemperatureChart planned={planned} read={read} watchFromC={watchFromC} stopC={stopC} />
    </Suspense>
  )
}
