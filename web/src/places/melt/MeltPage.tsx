import { lazy, Suspense } from 'react'
import { Link, useNavigate, useParams, useSearchParams } from 'react-router'
import { type MeltFacts, type MeltId, meltOf, meltRangesOf, rackOf } from '@ivory-crystal/core'
import { Title } from '../../parts/Title'
import { useNotebook } from '../../ledger/notebook'
import { MeltPlan } from './MeltPlan'

const Watch = lazy(async () => ({ default: (await import('./Watch')).Watch }))

/** A melt by itself: of tubes from the rack, of several preps, or of none. */
export function MeltPage() {
  const { notebook, melt: id } = useParams()
  const view = useNotebook((state) => state.view)
  const base = `/n/${notebook ?? ''}`
  if (id === 'new') return <NewMelt base={base} />
  const melt = meltOf(view, id as MeltId)
  if (!melt)
    return (
      <>
        <Title title="No such melt" />
        <p className="mt-3">
          This notebook holds no such melt, or its plan was struck.{' '}
          <Link to={`${base}/instruments/rack`}>To the rack</Link>
        </p>
      </>
    )
  const isOver = melt.run?.ended != null || (melt.run === null && melt.detected.size > 0)
  return (
    <>
      <Title
        title={`Melt: ${melt.planned.body.tubes.map(({ label }) => label).join(', ')}`}
        aside={melt.planned.body.instrumentName.toLowerCase()}
      />
      {isOver ? (
        <Over melt={melt} base={base} />
      ) : (
        <Suspense fallback={<p aria-busy="true">Opening the watch …</p>}>
          <Watch melt={melt} />
        </Suspense>
      )}
    </>
  )
}

function NewMelt({ base }: { base: string }) {
  const go = useNavigate()
  const view = useNotebook((state) => state.view)
  const [search] = useSearchParams()
  const wanted = search.get('tubes')?.split(',') ?? []
  const rack = rackOf(view).filter(({ entry }) => wanted.includes(entry.id))
  return (
    <>
      <Title title="A melt of the rack’s tubes" />
      <MeltPlan
        prep={null}
        again={false}
        rack={rack}
        on={search.get('on') ?? undefined}
        begunAs={search.get('purpose') === 'scouting' ? 'scouting' : 'careful'}
        onPlanned={(melt) => void go(`${base}/melts/${melt}`, { replace: true })}
      />
    </>
  )
}

/** What came of it, tube by tube. */
function Over({ melt, base }: { melt: MeltFacts; base: string }) {
  const view = useNotebook((state) => state.view)
  return (
    <>
      <h2 className="mt-3">What came of it</h2>
      <table className="lines mt-1">
        <thead>
          <tr>
            <th>tube</th>
            <th className="num">onset, raw</th>
            <th className="num">clear, raw</th>
            <th className="num">corrected</th>
            <th>caught by</th>
            <th />
          </tr>
        </thead>
        <tbody>
          {meltRangesOf(view, melt).map((row) => (
            <tr key={row.slot}>
              <td>
                {row.slot}: {row.label}
              </td>
              <td className="num">{row.onset?.text ?? '–'}</td>
              <td className="num">{row.clear?.text ?? '–'}</td>
              <td className="num">
                {row.corrected
                  ? `${row.corrected.onsetC.toFixed(1)} to ${row.corrected.clearC.toFixed(1)} °C`
                  : 'not calibrated'}
              </td>
              <td>{row.by}</td>
              <td className={row.trouble ? 'trouble' : undefined}>{row.trouble ?? row.notes.join(', ')}</td>
            </tr>
          ))}
        </tbody>
      </table>
      <p className="mt-3">
        <Link to={`${base}/instruments/rack`}>To the rack</Link>
      </p>
    </>
  )
}
