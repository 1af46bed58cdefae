import css from '../../parts/Tabs.module.css'
import classNames from 'classnames'
import { lazy, Suspense } from 'react'
import { Link, useParams } from 'react-router'
import { calibrationOf, dialOf, meltOf, turnsOf, type View } from '@ivory-crystal/core/notebook'
import { TEACHING_BALANCE } from '@ivory-crystal/core/simulator'
import type { InstrumentState } from '@ivory-crystal/core/wire'
import { fixed } from '../../format/format'
import { Title } from '../../parts/Title'
import { clock } from '../../clock/clock'
import { useInstruments } from '../../ledger/instruments'
import { useNotebook } from '../../ledger/notebook'
import { NewInstrument } from './NewInstrument'

const Rack = lazy(async () => ({ default: (await import('./Rack')).Rack }))
const HouseRules = lazy(async () => ({ default: (await import('./HouseRules')).HouseRules }))
const InstrumentPage = lazy(async () => ({ default: (await import('./InstrumentPage')).InstrumentPage }))

/** The instruments of the bench, the rack of tubes that wait for them, and the house rules they are used by. */
export function Instruments() {
  const { instrument, notebook } = useParams()
  const base = `/n/${notebook ?? ''}/instruments`
  return (
    <>
      <nav className={classNames(css.tabs, 'no-print')} aria-label="Instruments, rack and rules">
        {(
          [
            ['', 'the bench'],
            ['/rack', 'rack and runs'],
            ['/rules', 'house rules'],
          ] as const
        ).map(([path, name]) => {
          const isHere =
            path === `/${instrument ?? ''}` || (path === '' && !RESERVED.includes(instrument ?? ''))
          return (
            <Link key={name} to={`${base}${path}`} aria-current={isHere ? 'page' : undefined}>
              {name}
            </Link>
          )
        })}
      </nav>
      <Suspense fallback={<p aria-busy="true">Opening …</p>}>
        {instrument === 'rack' ? (
          <Rack />
        ) : instrument === 'rules' ? (
          <HouseRules />
        ) : instrument ? (
          <InstrumentPage id={instrument} />
        ) : (
          <BenchOfInstruments base={base} />
        )}
      </Suspense>
    </>
  )
}

const RESERVED = ['rack', 'rules']

function BenchOfInstruments({ base }: { base: string }) {
  const view = useNotebook((state) => state.view)
  const balance = useNotebook((state) => state.balance)
  const { states, trouble } = useInstruments()
  return (
    <>
      <Title title="Instruments" />
      {trouble && <p className="look mt-3">{trouble}</p>}
      {!states && !trouble && <p aria-busy="true">Asking the instruments …</p>}
      {states && (
        <div className="scroll mt-3">
          <table className="lines stacks">
            <thead>
              <tr>
                <th>instrument</th>
                <th className="num">now, °C</th>
                <th>state</th>
                <th>in use by</th>
                <th>to do</th>
              </tr>
            </thead>
            <tbody>
              {states.map((state) => (
                <InstrumentRow key={state.instrument.id} state={state} base={base} view={view} />
              ))}
              <tr>
                <td className="whole">
                  Teaching balance <span className="simulated">simulated</span>
                </td>
                <td />
                <td>{balance ? `shows ${balance.reading.display.text} g` : 'idle'}</td>
                <td>anyone</td>
                <td className="quiet">
                  Reads to {TEACHING_BALANCE.readabilityG} g, at Plan and Weigh of a prep.
                </td>
              </tr>
            </tbody>
          </table>
        </div>
      )}
      <p className="quiet mt-2">
        Simulated instruments exist only on this computer and are labelled wherever they appear. Each behaves
        differently. They are not copies of real ones.
      </p>
      <NewInstrument />
    </>
  )
}

function InstrumentRow({ state, base, view }: { state: InstrumentState; base: string; view: View }) {
  const { instrument, run, blockC } = state
  const reading = useNotebook((one) => one.readings[instrument.id])
  const shown = run
    ? (reading?.reading?.probe.text ?? run.reading?.probe.text ?? '–')
    : blockC === null
      ? '–'
      : fixed(blockC, instrument.character.decimals)
  const isHot = blockC !== null && blockC > 45
  const turns = turnsOf(view, instrument.id, instrument.character.slots)
  return (
    <tr>
      <td className="whole">
        <Link to={`${base}/${instrument.id}`}>{instrument.name}</Link>{' '}
        {instrument.simulated && <span className="simulated">simulated</span>}
      </td>
      <td className={isHot ? 'num trouble' : 'num'} data-name="now, °C">
        {instrument.character.readBy === 'eye' && run ? 'by eye' : shown}
      </td>
      <td data-name="state">
        {run ? <Running state={state} view={view} /> : isHot ? 'free, and hot' : 'free'}
      </td>
      <td data-name="in use by">
        {turns.length === 0
          ? 'nobody'
          : turns.map(({ who, state: has }) => `${who}${has === 'waits' ? ' (waits)' : ''}`).join(', ')}
      </td>
      <td data-name="what it needs">{needOf(view, state)}</td>
    </tr>
  )
}

/** The one thing this instrument needs next. */
function needOf(view: View, { instrument }: InstrumentState): string {
  const dial = dialOf(view, instrument.id)
  if (instrument.character.dial && !dial) return `fit its ${instrument.character.control}`
  if (dial?.stale) return dial.stale
  const calibration = calibrationOf(view, instrument.id, clock.now())
  if (!calibration) return 'calibrate its thermometer'
  return calibration.stale ?? 'nothing'
}

function Running({ state, view }: { state: InstrumentState; view: View }) {
  const notebook = useNotebook((one) => one.notebook)
  const melt = state.run ? meltOf(view, state.run.melt) : null
  if (!melt) return <>in a run of another notebook</>
  return (
    <Link to={`/n/${notebook ?? ''}/melts/${melt.id}`}>
      melting {melt.planned.body.tubes.map((tube) => tube.label).join(', ')}
    </Link>
  )
}
