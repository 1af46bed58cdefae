import { useEffect, useState } from 'react'
import { Link } from 'react-router'
import { type InstrumentState, meltOf, TEACHING_BALANCE } from '@ivory-crystal/core'
import { fixed, span } from '../../format/format'
import { Figure } from '../../parts/Figure'
import { Title } from '../../parts/Title'
import { api } from '../../state/api'
import { useNotebook } from '../../state/notebook'

const ASK_EVERY_MS = 5000

/** The instruments of the bench, how they stand, and whose run is on. */
export function Instruments() {
  const [states, setStates] = useState<readonly InstrumentState[] | null>(null)
  const [trouble, setTrouble] = useState<string | null>(null)
  useEffect(() => {
    // A resting block sends nothing, so it is asked.
    const ask = () => {
      api.instruments().then(
        ({ instruments }) => {
          setStates(instruments)
          setTrouble(null)
        },
        (error: unknown) => {
          setTrouble((error as Error).message)
        },
      )
    }
    ask()
    const timer = setInterval(ask, ASK_EVERY_MS)
    return () => {
      clearInterval(timer)
    }
  }, [])
  return (
    <>
      <Title title="Instruments" />
      {trouble && <p className="look mt-3">{trouble}</p>}
      {!states && !trouble && <p aria-busy="true">Asking the instruments …</p>}
      {states?.map((state) => (
        <Block key={state.instrument.id} state={state} />
      ))}
      {states && <Balance />}
    </>
  )
}

/** The simulated balance: it is used where something is weighed. */
function Balance() {
  const balance = useNotebook((state) => state.balance)
  return (
    <section className="mt-4" aria-label="Balance">
      <h2>
        Teaching balance <span className="simulated">simulated</span>
      </h2>
      <p className="quiet mt-1">
        Reads to {TEACHING_BALANCE.readabilityG} g, up to {TEACHING_BALANCE.maxG} g. It drifts, settles and
        sends its reading on a key press, at Plan and Weigh of a prep. What is on its pan is worked out from
        the prep’s plan.
        {balance && ` It shows ${balance.reading.display.text} g, ${balance.load} on the pan.`}
      </p>
    </section>
  )
}

function Block({ state }: { state: InstrumentState }) {
  const { instrument, run } = state
  const { character } = instrument
  const heard = useNotebook((one) => one.readings[instrument.id])
  const reading = heard?.reading ?? run?.reading
  return (
    <section className="mt-4" aria-label={instrument.name}>
      <h2>
        {instrument.name} <span className="simulated">simulated</span>
      </h2>
      <div className="columns two mt-2">
        <div>
          <div className={run ? 'block-c trouble' : 'block-c'}>
            {run ? (reading?.probe.text ?? '–') : fixed(state.blockC, character.decimals)}
            <small>°C</small>
          </div>
          <p className="mt-2">
            {run ? (
              <Running state={state} />
            ) : state.blockC > 45 ? (
              'Free, and still hot. It looks the same as cold.'
            ) : (
              'Free.'
            )}
          </p>
          <p className="quiet">
            A simulated stand-in on this computer, labelled as such wherever it appears: two masses with a
            heater, a probe that lags, and tubes that melt as their contents would. It is no copy of any real
            instrument.
          </p>
        </div>
        <dl className="figures">
          <Figure name="Range">
            {character.ambientC} to {character.maxC} °C
          </Figure>
          <Figure name="Slots">{character.slots}</Figure>
          <Figure name="Ramps" why="the rates it can hold">
            {character.rates.join(', ')} °C/min
          </Figure>
          <Figure name="Heats up">{character.heatCPerMin} °C/min</Figure>
          <Figure name="Cools" why="time constant towards the room">
            {character.coolTimeConstantMin} min
          </Figure>
          <Figure name="Probe" why="display digits; it has not been calibrated">
            0.{'0'.repeat(character.decimals - 1)}1 °C
          </Figure>
        </dl>
      </div>
    </section>
  )
}

function Running({ state }: { state: InstrumentState }) {
  const { view, notebook } = useNotebook()
  const { run } = state
  if (!run) return null
  const melt = meltOf(view, run.melt)
  const prep = melt?.planned.body.prep
  return (
    <>
      In a run since {span((run.reading?.atS ?? 0) * 1000)}:{' '}
      {melt ? melt.planned.body.tubes.map((tube) => tube.label).join(', ') : 'a melt of another notebook'}.{' '}
      {prep && <Link to={`/n/${notebook ?? ''}/preps/${prep}/melt`}>Watch it</Link>}
    </>
  )
}
