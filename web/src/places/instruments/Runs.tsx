import { minutesInWords } from '@ivory-crystal/core/words'
import { useState } from 'react'
import Button from 'react-bootstrap/Button'
import Form from 'react-bootstrap/Form'
import { Link, useParams } from 'react-router'
import type { RackTube } from '@ivory-crystal/core/notebook'
import { attempt } from '@ivory-crystal/core/problems'
import { costOfRuns, type TubeRunInput, type TubeRunPlan } from '@ivory-crystal/core/scheduling'
import { RunStrip } from '../../drawings/RunStrip'
import { compute } from '../../workers/compute'
import { useComputed } from '../../workers/useComputed'

type Order = readonly (readonly string[])[]

export function Runs({
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
  if (best.value.runs.length === 0) return <p className="mt-2">Only tubes for a scouting run wait here.</p>
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
        {cost.ok ? `${minutesInWords(cost.value.totalMin)} in total. ` : `${cost.problem.sentence} `}
        {extraMin > 0.05
          ? `${minutesInWords(extraMin)} more than the best order.`
          : best.value.proven
            ? 'No order is shorter.'
            : `This is the shortest order found; none takes less than ${minutesInWords(best.value.lowerBoundMin)}.`}{' '}
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
          If the block has to cool first, put no tube in before it is below the start of the watch band.
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
