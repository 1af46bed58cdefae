import css from './RunControls.module.css'
import classNames from 'classnames'
import Button from 'react-bootstrap/Button'
import type { Instrument } from '@ivory-crystal/core/instruments'
import type { MeltFacts } from '@ivory-crystal/core/notebook'
import { type Move, moveOf, needsEyes, notLookedAt } from '@ivory-crystal/core/planning'
import { fixed } from '../../format/format'
import { write } from '../../ledger/notebook'
import { Hurry } from '../../parts/instrument/Hurry'
import { DialCommand } from './DialCommand'
import { isComplete } from './EndPanel'
import { sentenceOf } from './moveSentence'
import { TubesIn } from './TubesIn'
import { type MeltMoment, useMoment } from './useMoment'
import type { Run } from './useRun'

/** How many times faster simulated time may pass while nothing is to be seen. */
const PACES = [1, 20]
/** How far past the planned stop a run is extended at a time, °C. */
const EXTEND_C = 10

/** What to do now in one line, the command it asks for, and the way out. */
export function RunControls({
  melt,
  run,
  instrument,
  onEnd,
}: {
  melt: MeltFacts
  run: Run
  instrument: Instrument | undefined
  onEnd: () => void
}) {
  const now = useMoment(melt, run)
  const control = instrument?.character.control ?? 'program'
  const pace = now.lastReading?.pace ?? 1
  const move = moveOf(melt, now)
  const isUrgent = move !== null && URGENT.includes(move.say)
  return (
    <div className={classNames(css.now, isUrgent && css.urgent)}>
      <p className={css.line} role="status">
        {move ? sentenceOf(move, control) : 'Nothing to do yet. Watch it.'}
      </p>
      <div className="row-of align-items-center">
        {move?.say === 'all told' ? null : control === 'program' ? (
          <ProgramCommand melt={melt} run={run} move={move} isHolding={now.phase === 'holding'} />
        ) : (
          <DialCommand melt={melt} run={run} now={now} control={control} dial={instrument?.character.dial} />
        )}
        {mayHurry(melt, run, now, instrument) && (
          <Hurry
            of={PACES}
            value={pace}
            disabled={run.busy}
            onChange={(times) => {
              run.command({ kind: 'pace', pace: times })
            }}
          />
        )}
        <Button
          variant={move?.say === 'all told' ? 'primary' : 'outline-primary'}
          disabled={run.busy}
          onClick={onEnd}
        >
          {isComplete(melt) ? 'End the run' : 'End and cool'}
        </Button>
        {pace > 1 && <span className="quiet">Time runs fast until you are needed.</span>}
      </div>
      {run.trouble && (
        <p className="look mb-0" role="alert">
          {run.trouble}
        </p>
      )}
      {instrument && <Unchecked melt={melt} instrument={instrument} />}
    </div>
  )
}

/** What nobody ticked before the start: said while it can still be looked at, and ticked here. */
function Unchecked({ melt, instrument }: { melt: MeltFacts; instrument: Instrument }) {
  const open = notLookedAt(melt, instrument)
  if (open.length === 0) return null
  return (
    <details className="quiet">
      <summary>
        Begun with {open.length === 1 ? 'one check' : `${open.length} checks`} not ticked: see to{' '}
        {open.length === 1 ? 'it' : 'them'} now
      </summary>
      <ul className="plain-list mb-0">
        {open.map(({ id, sentence }) => (
          <li key={id}>
            <Button
              size="sm"
              variant="link"
              aria-label={`Seen now: ${sentence}`}
              onClick={() => {
                write({ kind: 'check made', subject: melt.id, body: { check: id } })
              }}
            >
              seen
            </Button>{' '}
            {sentence}
          </li>
        ))}
      </ul>
    </details>
  )
}

/** What asks for hands or eyes at once. */
const URGENT: readonly Move['say'][] = [
  'in the window',
  'at the stop',
  'past the stop',
  'too fast',
  'turn down',
  'tubes in',
]

/** Simulated time may be hurried while something goes on by itself and nobody has to look. */
function mayHurry(
  melt: MeltFacts,
  run: Run,
  { lastReading }: MeltMoment,
  instrument: Instrument | undefined,
) {
  if (run.byHand || instrument?.simulated !== true || !lastReading?.reading) return false
  return GOES_ON.includes(lastReading.reading.phase) && !needsEyes(melt.planned.body, lastReading.reading)
}
const GOES_ON: readonly string[] = ['preheating', 'ramping', 'heating', 'cooling']

/** Preheat, tubes in, ramp; and past the stop, further. */
function ProgramCommand({
  melt,
  run,
  move,
  isHolding,
}: {
  melt: MeltFacts
  run: Run
  move: Move | null
  /** It stands at the start temperature: slowed down on its way up it would run past. */
  isHolding: boolean
}) {
  const { window } = melt.planned.body
  const commands = melt.run?.commands ?? []
  const given = new Set(commands.map((line) => line.body.command.kind))
  if (move?.say === 'tubes in')
    return (
      <TubesIn
        run={run}
        then={
          isHolding && given.has('preheat') && !run.byHand
            ? { kind: 'ramp', toC: window.stopC, rateCPerMin: window.rateCPerMin }
            : null
        }
      />
    )
  if (run.byHand) return <ProgramByHand melt={melt} />
  const lastRamp = [...commands].reverse().find((line) => line.body.command.kind === 'ramp')
  const stopC = lastRamp?.body.command.kind === 'ramp' ? lastRamp.body.command.toC : window.stopC
  if ((move?.say === 'preheat' || move?.say === 'cool first') && !given.has('preheat'))
    return (
      <Button
        disabled={run.busy}
        onClick={() => {
          run.command({ kind: 'preheat', toC: window.startC })
        }}
      >
        {move.say === 'preheat' ? 'Preheat' : 'Let it cool'} to {fixed(window.startC, 1)} °C
      </Button>
    )
  if (move?.say === 'slow down')
    return (
      <Button
        disabled={run.busy}
        onClick={() => {
          run.command({ kind: 'ramp', toC: window.stopC, rateCPerMin: window.rateCPerMin })
        }}
      >
        Ramp at {fixed(window.rateCPerMin, 1)} °C/min to {fixed(window.stopC, 1)}
      </Button>
    )
  if (move?.say === 'at the stop')
    return (
      <Button
        disabled={run.busy}
        onClick={() => {
          run.command({ kind: 'ramp', toC: stopC + EXTEND_C, rateCPerMin: window.rateCPerMin })
        }}
      >
        Go on to {fixed(stopC + EXTEND_C, 0)} °C
      </Button>
    )
  return null
}

/** What to set on an instrument nobody here can command. */
function ProgramByHand({ melt }: { melt: MeltFacts }) {
  const { window } = melt.planned.body
  return (
    <span className="quiet">
      Set on the instrument: start {fixed(window.startC, 1)} °C, {fixed(window.rateCPerMin, 1)} °C/min, stop{' '}
      {fixed(window.stopC, 1)} °C.
    </span>
  )
}
