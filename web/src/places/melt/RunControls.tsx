import { useState } from 'react'
import Button from 'react-bootstrap/Button'
import { type Instrument, type MeltFacts, nextTurn, readReading } from '@ivory-crystal/core'
import { fixed, span } from '../../format/format'
import { InlineField, Refusal } from '../../parts/InlineField'
import type { MeltMoment } from './useMoment'
import type { Run } from './useRun'

/** How many times faster simulated time passes while nothing is to be seen. */
const HURRY = 20
/** How far past the planned stop a run is extended at a time, °C. */
const EXTEND_C = 10
/** A turn of the dial is announced this long before it is due, min. */
const ANNOUNCED_MIN = 0.5

/** The next command for the instrument, one at a time, and the way out. */
export function RunControls({
  melt,
  run,
  now,
  instrument,
  onEnd,
}: {
  melt: MeltFacts
  run: Run
  now: MeltMoment
  instrument: Instrument | undefined
  onEnd: () => void
}) {
  const { heard, nowC } = now
  const control = instrument?.character.control ?? 'program'
  const pace = heard?.pace ?? 1
  const phase = heard?.reading?.phase ?? 'idle'
  const { watchFromC } = melt.planned.body.window
  const inWindow = (nowC ?? 0) >= watchFromC - 1
  const mayHurry =
    !run.byHand &&
    instrument?.simulated === true &&
    (phase === 'preheating' ||
      ((phase === 'ramping' || phase === 'heating' || phase === 'cooling') && !inWindow))
  return (
    <div className="my-3">
      <div className="row-of align-items-center">
        {control === 'program' ? (
          run.byHand ? (
            <ProgramByHand melt={melt} run={run} />
          ) : (
            <ProgramCommand melt={melt} run={run} phase={phase} />
          )
        ) : (
          <DialCommand melt={melt} run={run} now={now} control={control} />
        )}
        {mayHurry && (
          <Button
            variant="outline-primary"
            disabled={run.busy}
            onClick={() => {
              run.command({ kind: 'pace', pace: pace > 1 ? 1 : HURRY })
            }}
          >
            {pace > 1 ? 'Back to real time' : `Hurry simulated time × ${HURRY}`}
          </Button>
        )}
        <Button variant="outline-primary" disabled={run.busy} onClick={onEnd}>
          End and cool
        </Button>
      </div>
      {pace > 1 && (
        <p className="quiet mt-2 mb-0">
          Simulated time is hurried; it goes back to real time by itself before hands or eyes are needed.
        </p>
      )}
      {run.trouble && (
        <p className="look" role="alert">
          {run.trouble}
        </p>
      )}
    </div>
  )
}

/** Preheat, tubes in, ramp; and past the stop, further. */
function ProgramCommand({ melt, run, phase }: { melt: MeltFacts; run: Run; phase: string }) {
  const { window, heating, conventions } = melt.planned.body
  const given = new Set(melt.run?.commands.map((line) => line.body.command.kind))
  const rampsAtOnce = heating.by !== 'ramp' || heating.plan.segments[0]?.kind === 'ramp'
  const cools = heating.by === 'ramp' && heating.plan.segments[0]?.kind === 'cool'
  const tubesFirst = conventions.tubeIn === 'cold'
  const needsTubes =
    !given.has('tubes in') && (tubesFirst || (given.has('preheat') && phase === 'holding') || rampsAtOnce)
  const needsPreheat = !given.has('preheat') && !needsTubes && !given.has('ramp') && !rampsAtOnce
  const needsRamp = given.has('tubes in') && !given.has('ramp') && (phase === 'holding' || rampsAtOnce)
  const lastRamp = [...(melt.run?.commands ?? [])].reverse().find((line) => line.body.command.kind === 'ramp')
  const said = hint(needsPreheat, needsTubes, needsRamp, phase)
  const stopC = lastRamp?.body.command.kind === 'ramp' ? lastRamp.body.command.toC : window.stopC
  return (
    <>
      {needsPreheat && (
        <Button
          disabled={run.busy}
          onClick={() => {
            run.command({ kind: 'preheat', toC: window.startC })
          }}
        >
          {cools ? 'Let it cool to' : 'Preheat to'} {fixed(window.startC, 1)} °C
        </Button>
      )}
      {needsTubes && <TubesIn run={run} />}
      {needsRamp && (
        <Button
          disabled={run.busy}
          onClick={() => {
            run.command({ kind: 'ramp', toC: window.stopC, rateCPerMin: window.rateCPerMin })
          }}
        >
          Ramp at {fixed(window.rateCPerMin, 1)} °C/min to {fixed(window.stopC, 1)}
        </Button>
      )}
      {given.has('ramp') && phase === 'holding' && (
        <Button
          disabled={run.busy}
          onClick={() => {
            run.command({ kind: 'ramp', toC: stopC + EXTEND_C, rateCPerMin: window.rateCPerMin })
          }}
        >
          Go on to {fixed(stopC + EXTEND_C, 0)} °C
        </Button>
      )}
      {said !== '' && <span className="quiet">{said}</span>}
    </>
  )
}

/** What to set on an instrument nobody here can command. */
function ProgramByHand({ melt, run }: { melt: MeltFacts; run: Run }) {
  const { window } = melt.planned.body
  const hasTubes = melt.run?.commands.some(({ body }) => body.command.kind === 'tubes in') === true
  return (
    <>
      {!hasTubes && <TubesIn run={run} />}
      <span className="quiet">
        Set on the instrument: start {fixed(window.startC, 1)} °C, {fixed(window.rateCPerMin, 1)} °C/min, stop{' '}
        {fixed(window.stopC, 1)} °C.
      </span>
    </>
  )
}

function TubesIn({ run }: { run: Run }) {
  return (
    <Button
      disabled={run.busy}
      onClick={() => {
        run.command({ kind: 'tubes in' })
      }}
    >
      Tubes are in
    </Button>
  )
}

function hint(needsPreheat: boolean, needsTubes: boolean, needsRamp: boolean, phase: string): string {
  if (needsPreheat) return 'Fast to the start temperature; the tubes stay out until then.'
  if (needsTubes) return 'Put the tubes in, sealed end down, and turn them until each shows well.'
  if (needsRamp) return 'Slowly from here. Eye at the lens before the window opens.'
  if (phase === 'preheating') return 'On its way to the start temperature.'
  return ''
}

/** The turns of the dial, announced before they are due and recorded when made; by hand where nothing was planned. */
function DialCommand({
  melt,
  run,
  now: { nowC, atS, rateCPerMin },
  control,
}: {
  melt: MeltFacts
  run: Run
  now: MeltMoment
  control: string
}) {
  const given = new Set(melt.run?.commands.map((line) => line.body.command.kind))
  const { heating, conventions, window } = melt.planned.body
  const turn = nextTurn(melt, nowC ?? window.startC, atS, rateCPerMin)
  const needsTubes =
    !given.has('tubes in') &&
    (conventions.tubeIn === 'cold' || (nowC ?? 0) >= window.startC - 2 || heating.by === 'hand')
  const due = turn?.dueInMin ?? null
  return (
    <>
      {needsTubes && <TubesIn run={run} />}
      {turn && (
        <Button
          variant={due !== null && due <= ANNOUNCED_MIN ? 'primary' : 'outline-primary'}
          disabled={run.busy}
          onClick={() => {
            run.command({ kind: 'dial', setting: turn.dial })
          }}
        >
          Turned the {control} to {turn.dial}
        </Button>
      )}
      {turn && (
        <span className={due !== null && due <= ANNOUNCED_MIN ? 'trouble' : 'quiet'} role="status">
          {due === 0
            ? `Turn the ${control} to ${turn.dial} now.`
            : `Next: ${turn.dial} at ${fixed(turn.atC, 0)} °C${due === null ? '' : `, in about ${span(due * 60_000)}`}.`}
        </span>
      )}
      {!turn && <OtherSetting run={run} control={control} />}
    </>
  )
}

/** A setting of the watcher's own choosing. */
function OtherSetting({ run, control }: { run: Run; control: string }) {
  const [text, setText] = useState('')
  const [said, setSaid] = useState<string | null>(null)
  return (
    <span className="row-of align-items-center">
      <InlineField
        label={`setting of the ${control}`}
        hint="setting"
        value={text}
        invalid={said !== null}
        onChange={(value) => {
          setText(value)
          setSaid(null)
        }}
      />
      <Button
        size="sm"
        variant="outline-primary"
        disabled={run.busy}
        onClick={() => {
          const read = readReading(text, 'The setting')
          if (!read.ok) return setSaid(read.problem.sentence)
          run.command({ kind: 'dial', setting: read.value.value })
          setText('')
        }}
      >
        Set the {control}
      </Button>
      <Refusal sentence={said} />
    </span>
  )
}
