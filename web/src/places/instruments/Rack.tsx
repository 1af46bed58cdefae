import { useHouseRules } from '../../parts/useHouseRules'
import { useState } from 'react'
import Button from 'react-bootstrap/Button'
import Form from 'react-bootstrap/Form'
import { rackOf, type RackTube, tubeRunInput } from '@ivory-crystal/core/notebook'
import { fixed } from '../../format/format'
import { Title } from '../../parts/Title'
import { Why } from '../../parts/Why'
import { useInstruments } from '../../ledger/instruments'
import { strike, useNotebook } from '../../ledger/notebook'
import { SampleOrigin } from '../../parts/SampleOrigin'
import { SlotCard } from './SlotCard'
import { PackTube } from './PackTube'
import { Runs } from './Runs'

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
      <div className="columns two mt-4">
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
            <p className="mt-2">No tube is waiting. Pack a tube, and the app plans its run here.</p>
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
            <td>
              {entry.body.label}
              <SampleOrigin sample={entry.body.sample} />
            </td>
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
