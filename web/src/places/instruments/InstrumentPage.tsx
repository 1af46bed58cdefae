import { Link, useParams, useSearchParams } from 'react-router'
import type { Instrument } from '@ivory-crystal/core/instruments'
import { meltOf } from '@ivory-crystal/core/notebook'
import { fixed, span } from '../../format/format'
import { Figure } from '../../parts/Figure'
import { Tabs } from '../../parts/Tabs'
import { Title } from '../../parts/Title'
import { Turns } from '../../parts/Turns'
import { useInstruments } from '../../ledger/instruments'
import { useNotebook } from '../../ledger/notebook'
import { Connection } from './Connection'
import { Dial } from './Dial'
import { ThermometerPart } from './ThermometerPart'

type Part = 'now' | 'dial' | 'flame' | 'thermometer' | 'connection'

/** One instrument: how it stands, what its dial does, how true its thermometer is, how it is spoken to. */
export function InstrumentPage({ id }: { id: string }) {
  const { notebook } = useParams()
  const [search, setSearch] = useSearchParams()
  const instrument = useNotebook((state) => state.shelf?.instruments.find((one) => one.id === id))
  if (!instrument)
    return (
      <>
        <Title title="No such instrument" />
        <p className="mt-3">
          There is no such instrument at this bench.{' '}
          <Link to={`/n/${notebook ?? ''}/instruments`}>All instruments</Link>
        </p>
      </>
    )
  const { control } = instrument.character
  const parts: readonly Part[] = [
    'now',
    ...(control === 'program' ? [] : [control]),
    'thermometer',
    'connection',
  ]
  const here = parts.find((part) => part === search.get('part')) ?? 'now'
  return (
    <>
      <Title title={instrument.name} aside={instrument.simulated ? 'simulated' : instrument.sort} />
      <Tabs
        tabs={parts}
        here={here}
        name={`Parts of the ${instrument.name}`}
        onTab={(part) => {
          setSearch({ part })
        }}
      />
      {here === 'now' && <Now instrument={instrument} />}
      {(here === 'dial' || here === 'flame') && <Dial instrument={instrument} />}
      {here === 'thermometer' && <ThermometerPart instrument={instrument} />}
      {here === 'connection' && <Connection instrument={instrument} />}
    </>
  )
}

function Now({ instrument }: { instrument: Instrument }) {
  const view = useNotebook((state) => state.view)
  const { notebook } = useParams()
  const { states, trouble } = useInstruments()
  const state = states?.find((one) => one.instrument.id === instrument.id)
  const reading = useNotebook((one) => one.readings[instrument.id])
  const { character, thermometer } = instrument
  const run = state?.run ?? null
  const blockC = state?.blockC ?? null
  const text = run
    ? (reading?.reading?.probe.text ?? run.reading?.probe.text)
    : blockC === null
      ? undefined
      : fixed(blockC, character.decimals)
  const melt = run ? meltOf(view, run.melt) : null
  return (
    <div className="columns two mt-2">
      <div>
        {trouble && <p className="look">{trouble}</p>}
        {state?.trouble && (
          <p className="look" role="alert">
            {state.trouble}
          </p>
        )}
        <div className={blockC !== null && blockC > 45 ? 'block-c trouble' : 'block-c'}>
          {character.readBy === 'eye' && run ? 'by eye' : (text ?? '–')}
          <small>{character.readBy === 'eye' && run ? '' : '°C'}</small>
        </div>
        <p className="mt-2">
          {run ? (
            <>
              In a run since {span((run.reading?.atS ?? 0) * 1000)}.{' '}
              {melt && <Link to={`/n/${notebook ?? ''}/melts/${melt.id}`}>Watch it</Link>}
            </>
          ) : blockC === null ? (
            'Not heard yet.'
          ) : blockC > 45 ? (
            'Free, but still hot. A hot block looks like a cold one.'
          ) : (
            'Free.'
          )}
        </p>
        <Turns instrument={instrument} />
      </div>
      <dl className="figures">
        <Figure name="Range">
          {character.ambientC} to {character.maxC} °C
        </Figure>
        <Figure name="Slots">{character.slots}</Figure>
        {character.dial ? (
          <Figure name={character.control === 'flame' ? 'Flame' : 'Dial'} why="sets power, not temperature">
            0 to {character.dial.max}, steps of {character.dial.step}
          </Figure>
        ) : (
          <Figure name="Ramps" why="the rates it can hold">
            {character.rates.join(', ')} °C/min
          </Figure>
        )}
        <Figure name="Cools" why="time constant towards the room">
          {character.coolTimeConstantMin} min
        </Figure>
        <Figure
          name="Thermometer"
          why={
            thermometer.kind === 'glass'
              ? `${thermometer.immersion ?? ''} immersion, ${thermometer.filling ?? ''}, read by eye`
              : 'a probe in the metal: it reads higher than the sample'
          }
        >
          {thermometer.lowC} to {thermometer.highC} °C
        </Figure>
        <Figure
          name="Lags"
          why={
            instrument.simulated
              ? 'of the sample, of the thermometer'
              : 'of the sample, of the thermometer; typical values'
          }
        >
          {character.sampleLagMin}, {character.probeLagMin} min
        </Figure>
        {instrument.highRangeAboveC !== null && (
          <Figure name="High range" why="a switch has to be set above this">
            {instrument.highRangeAboveC} °C
          </Figure>
        )}
        <Figure name="Finds the melt itself">{character.readsLight ? 'yes, by light' : 'no'}</Figure>
      </dl>
    </div>
  )
}
