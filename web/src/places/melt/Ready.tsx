import Button from 'react-bootstrap/Button'
import { Link, useNavigate, useParams } from 'react-router'
import { checksFor, scaleTrouble, uncheckedOf } from '@ivory-crystal/core/heating'
import type { Instrument } from '@ivory-crystal/core/instruments'
import { type MeltFacts, unknownsOf, heatedAsItBehaves } from '@ivory-crystal/core/notebook'
import { meltCautions } from '@ivory-crystal/core/planning'
import { RescueButton } from '../../parts/sheets/RescueButton'
import { Confirm } from '../../parts/Confirm'
import { NoFlameYet } from '../../parts/FlameNear'
import { originOf } from '../../parts/SampleOrigin'
import { Turns } from '../../parts/Turns'
import { strike, useNotebook } from '../../ledger/notebook'
import { useInstruments } from '../../ledger/instruments'
import { Checks } from './Checks'
import { CopyMarks } from './CopyMarks'
import { HeatingPlan } from './HeatingPlan'
import { LightImport } from './LightImport'
import type { Run } from './useRun'

/** Where the tubes of a plan that was struck are planned again, on the same instrument. */
function anew(base: string, { planned: { body } }: MeltFacts): string {
  const tubes = body.tubes.flatMap(({ tube }) => tube ?? []).join(',')
  return `${base}/melts/new?tubes=${tubes}&on=${body.instrument}&purpose=${body.purpose}`
}

/** Planned and not yet begun: the list to follow, what is looked at first, and the ways to begin. */
export function Ready({
  melt,
  run,
  instrument,
}: {
  melt: MeltFacts
  run: Run
  instrument: Instrument | undefined
}) {
  const { tubes, purpose, instrumentName } = melt.planned.body
  const { states } = useInstruments()
  const blockC = states?.find((one) => one.instrument.id === instrument?.id)?.blockC ?? null
  const isSimulated = instrument?.simulated === true
  const trouble = instrument ? scaleTrouble(instrument, melt.planned.body.window) : []
  const open = instrument
    ? uncheckedOf(checksFor(instrument, melt.planned.body.window, blockC), melt.checks)
    : []
  const asked =
    trouble.length > 0
      ? 'That range is too high for this instrument and its thermometer. Begin only if you stop well before the end of the scale and the person in charge agrees. Begin?'
      : instrument?.character.control === 'flame' && open.length > 0
        ? `${open.length === 1 ? 'One check is' : `${open.length} checks are`} not ticked, and you will have hot oil and a flame. Go through the list first. Begin anyway?`
        : null
  const ways = waysToStart(instrumentName, isSimulated, blockC !== null)
  const { notebook = '', melt: own } = useParams()
  const go = useNavigate()
  const view = useNotebook((state) => state.view)
  // A tube of an unknown nobody has sealed holds nothing: the way to its case stands where that is said.
  const unsealed = useNotebook(
    ({ view }) =>
      unknownsOf(view).find((one) => !one.sealed && tubes.some(({ sample }) => sample === one.sample.id))
        ?.id ?? null,
  )
  return (
    <div className="columns two">
      <div>
        <h2>
          {purpose === 'scouting' ? 'Ready to scout' : 'Ready'}: {tubes.map((tube) => tube.label).join(', ')}
        </h2>
        <p className="mt-1 mb-2">
          On the {instrumentName.toLowerCase()} {isSimulated && <span className="simulated">simulated</span>}
        </p>
        <ul className="plain-list mb-2">
          {tubes.map(({ slot, sample, label, fillMm, grain }) => (
            <li key={slot}>
              <b>Slot {slot}</b>: {label}, {fillMm} mm {grain}{' '}
              <span className="quiet">{originOf(view, sample)}</span>
            </li>
          ))}
        </ul>
        <div className="row-of mb-3">
          {trouble.map(({ id, sentence }) => (
            <p key={id} className="look w-100 mb-0" role="alert">
              {sentence}
            </p>
          ))}
          {ways.map(({ feed, says }, i) =>
            asked !== null ? (
              <Confirm
                key={feed}
                offer={says}
                question={asked}
                onYes={() => {
                  run.start(feed)
                }}
              />
            ) : (
              <Button
                key={feed}
                variant={i === 0 ? 'primary' : 'outline-primary'}
                disabled={run.busy}
                onClick={() => {
                  run.start(feed)
                }}
              >
                {says}
              </Button>
            ),
          )}
          <Button
            variant="outline-primary"
            onClick={() => {
              strike(melt.planned, 'planned again')
              // A melt by itself has no page left: its tubes are back in the rack, to be planned anew.
              if (own) void go(anew(`/n/${notebook}`, melt), { replace: true })
            }}
          >
            Strike out this plan
          </Button>
        </div>
        {run.trouble && (
          <p className="look" role="alert">
            {run.trouble}{' '}
            {unsealed && (
              <Link to={`/n/${notebook}/unknowns/${unsealed}/candidates`}>
                Seal its answer and simulate it
              </Link>
            )}
          </p>
        )}
        <HeatingPlan
          planned={melt.planned.body}
          blockC={blockC}
          control={instrument?.character.control ?? 'program'}
        />
        <CopyMarks melt={melt} />
        <LightImport melt={melt} />
        {isSimulated && (
          <p className="quiet mt-3">
            No real instrument is connected. The simulated one behaves like two masses with a heater and a
            thermometer. Its tubes hold what the plan of their prep predicts, or the compound they were named
            as.
          </p>
        )}
      </div>
      <aside>
        {instrument?.character.control === 'flame' && <NoFlameYet />}
        {instrument && <Checks melt={melt} instrument={instrument} blockC={blockC} />}
        {instrument && <Turns instrument={instrument} />}
        {heatedAsItBehaves(view, tubes, melt.planned.body.conventions).notes.map((note) => (
          <p key={note} className="look mt-3" role="note">
            {note}
          </p>
        ))}
        <p className="caution mt-3">{meltCautions(instrument?.sort ?? 'dial block').join(' ')}</p>
        <RescueButton />
      </aside>
    </div>
  )
}

interface Way {
  readonly feed: Parameters<Run['start']>[0]
  readonly says: string
}

/** How a melt can be begun, the likeliest first: by eye, as long as a connected instrument was never heard. */
function waysToStart(name: string, isSimulated: boolean, isHeard: boolean): readonly Way[] {
  if (isSimulated) return [{ feed: 'instrument', says: `Start the simulated ${name.toLowerCase()}` }]
  const connected: Way = { feed: 'instrument', says: 'Start, the instrument is connected' }
  const byEye: Way = { feed: 'hand', says: 'Start, its thermometer is read by eye' }
  return isHeard ? [connected, byEye] : [byEye, connected]
}
