import { useHouseRules } from '../../parts/useHouseRules'
import { useState } from 'react'
import Button from 'react-bootstrap/Button'
import Form from 'react-bootstrap/Form'
import { Link, useParams } from 'react-router'
import {
  attempt,
  costOfRuns,
  type Grain,
  rackOf,
  type RackTube,
  readReading,
  type SampleId,
  samplesNamed,
  tubeRunInput,
  type TubeRunInput,
  type TubeRunPlan,
} from '@ivory-crystal/core'
import { fixed } from '../../format/format'
import { InlineField } from '../../parts/InlineField'
import { Title } from '../../parts/Title'
import { Why } from '../../parts/Why'
import { FillGauge } from '../../drawings/FillGauge'
import { RunStrip } from '../../drawings/RunStrip'
import { useInstruments } from '../../ledger/instruments'
import { strike, useNotebook, write } from '../../ledger/notebook'
import { compute } from '../../workers/compute'
import { useComputed } from '../../workers/useComputed'
import { NewSample } from '../melt/NewSample'
import { PackingTrouble } from '../melt/PackingTrouble'
import { SlotCard } from './SlotCard'

/** Tubes packed and waiting, and in which runs and order they are done soonest. */
export function Rack() {
  const view = useNotebook((state) => state.view)
  const shelf = useNotebook((state) => state.shelf)
  const { states } = useInstruments()
  const tubes = rackOf(view)
  const conventions = useHouseRules()
  const instruments = (shelf?.instruments ?? []).filter(({ character }) => character.slots > 1)
  const [chosen, setChosen] = useState<string | null>(null)
  const instrument = instruments.find(({ id }) => id === chosen) ?? instruments[0]
  const blockC = states?.find((one) => one.instrument.id === instrument?.id)?.blockC ?? null
  return (
    <>
      <Title title="Rack and runs" />
      <div className="columns two mt-2">
        <div>
          <h2>Waiting in the rack</h2>
          <RackTable tubes={tubes} />
          <PackTube />
        </div>
        <div>
          <h2>
            Which tube when <Why of="planTubeRuns" />
          </h2>
          <div className="row-of align-items-center mt-1">
            <span className="quiet">on the</span>
            <Form.Select
              style={{ width: 220 }}
              aria-label="instrument of the runs"
              value={instrument?.id ?? ''}
              onChange={(event) => {
                setChosen(event.target.value)
              }}
            >
              {instruments.map((one) => (
                <option key={one.id} value={one.id}>
                  {one.name}
                </option>
              ))}
            </Form.Select>
            <span className="quiet">
              {blockC === null ? 'its temperature is not known' : `at ${fixed(blockC, 0)} °C now`}
            </span>
          </div>
          {instrument && tubes.length > 0 && (
            <Runs
              tubes={tubes}
              instrumentId={instrument.id}
              input={tubeRunInput(
                tubes,
                instrument,
                // Whole degrees, so that a cooling block does not have the runs planned anew each second.
                Math.round(blockC ?? instrument.character.ambientC),
                conventions,
              )}
            />
          )}
          {tubes.length === 0 && (
            <p className="mt-2">Nothing waits. Pack a tube, and its run is planned here.</p>
          )}
        </div>
      </div>
      <SlotCard tubes={tubes} />
    </>
  )
}

function RackTable({ tubes }: { tubes: readonly RackTube[] }) {
  if (tubes.length === 0) return null
  return (
    <table className="lines mt-1">
      <thead>
        <tr>
          <th>tube</th>
          <th>packed</th>
          <th>set</th>
          <th className="num">expected, °C</th>
          <th />
        </tr>
      </thead>
      <tbody>
        {tubes.map(({ entry, expected }) => (
          <tr key={entry.id}>
            <td>{entry.body.label}</td>
            <td>
              {entry.body.fillMm} mm {entry.body.grain}
            </td>
            <td>{entry.body.set ?? ''}</td>
            <td className="num">
              {expected ? (
                `${fixed(expected.firstLiquidFromC ?? expected.lowC, 0)} to ${fixed(expected.highC, 0)}`
              ) : (
                <span className="trouble">scout first</span>
              )}
            </td>
            <td>
              <Button
                size="sm"
                variant="link"
                aria-label={`Take ${entry.body.label} out of the rack`}
                onClick={() => {
                  strike(entry, 'taken out of the rack')
                }}
              >
                out
              </Button>
            </td>
          </tr>
        ))}
      </tbody>
    </table>
  )
}

function PackTube() {
  const view = useNotebook((state) => state.view)
  const conventions = useHouseRules()
  const samples = samplesNamed(view)
  const [sample, setSample] = useState<SampleId | ''>('')
  const [fill, setFill] = useState(String(conventions.fillMm[0]))
  const [grain, setGrain] = useState<Grain>('fine')
  const [set, setSet] = useState('')
  const [said, setSaid] = useState<string | null>(null)
  const fillMm = Number(fill)
  return (
    <form
      className="mt-3"
      aria-label="Pack a tube"
      onSubmit={(event) => {
        event.preventDefault()
        if (sample === '') return setSaid('Choose the sample it is packed with.')
        const read = readReading(fill, 'The fill height')
        if (!read.ok) return setSaid(read.problem.sentence)
        if (!(read.value.value > 0 && read.value.value <= 50))
          return setSaid(`A fill height of ${read.value.text} mm cannot be; most labs pack 2 to 3.`)
        write({
          kind: 'tube packed',
          subject: sample,
          body: {
            sample,
            label: samples.find(({ id }) => id === sample)?.label ?? 'sample',
            fillMm: read.value.value,
            grain,
            set: set.trim() === '' ? null : set.trim().slice(0, 10),
          },
        })
        setSample('')
        setSaid(null)
      }}
    >
      <h3>Pack a tube</h3>
      <div className="row-of align-items-end mt-1">
        <Form.Select
          style={{ width: 200 }}
          aria-label="sample of the tube"
          value={sample}
          onChange={(event) => {
            setSample(event.target.value as SampleId | '')
          }}
        >
          <option value="">a sample …</option>
          {samples.map(({ id, label }) => (
            <option key={id} value={id}>
              {label}
            </option>
          ))}
        </Form.Select>
        <InlineField label="fill, mm" width={80} value={fill} onChange={setFill} />
        <Form.Select
          style={{ width: 130 }}
          aria-label="grain of the tube"
          value={grain}
          onChange={(event) => {
            setGrain(event.target.value as Grain)
          }}
        >
          <option value="fine">fine powder</option>
          <option value="coarse">coarse</option>
        </Form.Select>
        <InlineField label="set" width={70} value={set} onChange={setSet} />
        <Button type="submit" size="sm">
          Into the rack
        </Button>
      </div>
      <p className="quiet mt-1 mb-1">
        Tubes of one set go into one run: give an unknown, its authentic and their mixture one letter.
      </p>
      {said && (
        <p className="look" role="alert">
          {said}
        </p>
      )}
      <NewSample samples={samples} onNamed={setSample} />
      <PackingTrouble />
      {fillMm > 0 && fillMm <= 14 && (
        <FillGauge
          fillMm={fillMm}
          grain={grain}
          rateCPerMin={conventions.meltRate.target}
          wished={conventions.fillMm}
        />
      )}
    </form>
  )
}

type Order = readonly (readonly string[])[]

function Runs({
  tubes,
  input,
  instrumentId,
}: {
  tubes: readonly RackTube[]
  input: TubeRunInput
  instrumentId: string
}) {
  const { notebook } = useParams()
  const key = JSON.stringify(input)
  const best = useComputed<TubeRunPlan>(key, async () => (await compute()).planRuns(input))
  const [mine, setMine] = useState<{ readonly key: string; readonly runs: Order } | null>(null)
  if (!best)
    return (
      <p aria-busy="true" className="mt-2">
        Looking for the best order … <progress aria-label="Planning the runs" />
      </p>
    )
  if (!best.ok) return <p className="look mt-2">{best.problem.sentence}</p>
  if (best.value.runs.length === 0)
    return <p className="mt-2">Only tubes that want a scouting run wait here.</p>
  // An order of one's own stands as long as the same tubes wait.
  const runs = mine?.key === idsOf(best.value.runs) ? mine.runs : best.value.runs
  const cost = attempt(() => costOfRuns(input, runs))
  const extraMin = cost.ok ? cost.value.totalMin - best.value.totalMin : 0
  const labelOf = (id: string) => tubes.find(({ entry }) => entry.id === id)?.entry.body.label ?? id
  const change = (changed: Order) => {
    setMine({ key: idsOf(best.value.runs), runs: changed.filter((run) => run.length > 0) })
  }
  return (
    <>
      {cost.ok && <RunStrip timeline={cost.value.timeline} runs={runs.length} />}
      <p className="mt-1" role="status">
        {cost.ok ? `${fixed(cost.value.totalMin, 0)} min in all. ` : `${cost.problem.sentence} `}
        {extraMin > 0.05
          ? `${fixed(extraMin, 0)} min more than the best order.`
          : best.value.proven
            ? 'No order is shorter.'
            : `At best ${fixed(best.value.lowerBoundMin, 0)} min; this is the shortest found.`}{' '}
        {extraMin > 0.05 && (
          <Button
            size="sm"
            variant="link"
            onClick={() => {
              setMine(null)
            }}
          >
            back to the best
          </Button>
        )}
      </p>
      {cost.ok && cost.value.timeline.some(({ phase }) => phase === 'cool') && (
        <p className="quiet mb-1">
          Where a block has to cool first, no tube goes in before it is below the start of its window.
        </p>
      )}
      <ol className="plain-list">
        {runs.map((run, i) => (
          <li key={run.join(' ')} className="mb-2">
            <b>Run {i + 1}</b>{' '}
            {i > 0 && (
              <Button
                size="sm"
                variant="link"
                aria-label={`Run ${i + 1} earlier`}
                onClick={() => {
                  change(swapped(runs, i - 1, i))
                }}
              >
                earlier
              </Button>
            )}
            <Link
              className="ms-2"
              to={`/n/${notebook ?? ''}/melts/new?on=${instrumentId}&tubes=${run.join(',')}`}
            >
              plan it
            </Link>
            <ul className="plain-list ms-3">
              {run.map((id) => (
                <li key={id}>
                  {labelOf(id)}{' '}
                  {runs.length > 1 && (
                    <Form.Select
                      size="sm"
                      style={{ width: 110, display: 'inline-block' }}
                      aria-label={`run of ${labelOf(id)}`}
                      value={i}
                      onChange={(event) => {
                        change(movedTo(runs, id, Number(event.target.value)))
                      }}
                    >
                      {runs.map((_, n) => (
                        <option key={n} value={n}>
                          run {n + 1}
                        </option>
                      ))}
                    </Form.Select>
                  )}
                </li>
              ))}
            </ul>
          </li>
        ))}
      </ol>
    </>
  )
}

const idsOf = (runs: Order) => runs.flat().sort().join(' ')

function swapped(runs: Order, i: number, j: number): Order {
  return runs.map((run, n) => (n === i ? (runs[j] ?? run) : n === j ? (runs[i] ?? run) : run))
}

function movedTo(runs: Order, id: string, to: number): Order {
  return runs.map((run, n) =>
    n === to ? [...run.filter((one) => one !== id), id] : run.filter((one) => one !== id),
  )
}
