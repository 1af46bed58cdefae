import { Term } from '../../parts/Term'
import { lazy, Suspense } from 'react'
import { Link, useNavigate, useParams, useSearchParams } from 'react-router'
import Button from 'react-bootstrap/Button'
import type { MeltId } from '@ivory-crystal/core/ids'
import {
  type Mark,
  markOf,
  type MeltFacts,
  isUnderWay,
  meltOf,
  meltRangesOf,
  prepsOf,
  rackOf,
  sampleNamedAs,
  unknownsOf,
  type View,
} from '@ivory-crystal/core/notebook'
import { notLookedAt } from '@ivory-crystal/core/planning'
import { listed } from '@ivory-crystal/core/words'
import { useTopOf } from '../../parts/useFromTheTop'
import { Title } from '../../parts/Title'
import { strike, useNotebook } from '../../ledger/notebook'
import { SampleOrigin } from '../../parts/SampleOrigin'
import { SwappedMarks } from '../../parts/SwappedMarks'
import { MeltPlan } from './MeltPlan'

const Watch = lazy(async () => ({ default: (await import('./Watch')).Watch }))

/** A melt by itself: of tubes from the rack, of several preps, or of none. */
export function MeltPage() {
  const { notebook, melt: id } = useParams()
  const view = useNotebook((state) => state.view)
  const base = `/n/${notebook ?? ''}`
  const melt = id === 'new' ? null : meltOf(view, id as MeltId)
  useTopOf(melt ? `${melt.id} ${!isUnderWay(melt) ? 'over' : melt.run ? 'runs' : 'ready'}` : (id ?? ''))
  if (id === 'new') return <NewMelt base={base} />
  if (!melt)
    return (
      <>
        <Title title="No such melt" />
        <p className="mt-3">
          There is no such melt in this notebook, or its plan was struck out.{' '}
          <Link to={`${base}/instruments/rack`}>To the rack</Link>
        </p>
      </>
    )
  return (
    <>
      <Title
        title={`Melt: ${melt.planned.body.tubes.map(({ label }) => label).join(', ')}`}
        aside={melt.planned.body.instrumentName.toLowerCase()}
      />
      {isUnderWay(melt) ? (
        <Suspense fallback={<p aria-busy="true">Opening the melt …</p>}>
          <Watch melt={melt} />
        </Suspense>
      ) : (
        <Over melt={melt} base={base} />
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

/** The result, tube by tube. */
function Over({ melt, base }: { melt: MeltFacts; base: string }) {
  const view = useNotebook((state) => state.view)
  return (
    <>
      <h2 className="mt-3">The result</h2>
      <table className="lines stacks mt-1">
        <thead>
          <tr>
            <th>tube</th>
            <th className="num">
              <Term of="onset" /> (first liquid), raw
            </th>
            <th className="num">
              <Term of="clearPoint" /> (all liquid), raw
            </th>
            <th className="num">corrected</th>
            <th>caught by</th>
            <th />
          </tr>
        </thead>
        <tbody>
          {meltRangesOf(view, melt).map((row) => (
            <tr key={row.slot}>
              <td className="whole">
                {row.slot}: {row.label}
                <SampleOrigin sample={row.sample} />
              </td>
              <td className="num" data-name="onset (first liquid), raw">
                <End
                  text={(row.onset ?? row.onsetBelow)?.text}
                  below={row.onsetBelow !== null}
                  mark={markOf(melt, row.slot, 'first liquid')}
                />
              </td>
              <td className="num" data-name="clear point (all liquid), raw">
                <End text={row.clear?.text} mark={markOf(melt, row.slot, 'all liquid')} />
              </td>
              <td className="num" data-name="corrected">
                {row.corrected
                  ? `${row.corrected.onsetC.toFixed(1)} to ${row.corrected.clearC.toFixed(1)} °C`
                  : 'not calibrated'}
              </td>
              <td data-name="caught by">{row.by}</td>
              <td className={(row.trouble ?? row.doubt) ? 'trouble' : undefined}>
                {row.trouble ?? row.doubt ?? row.notes.join(', ')}
              </td>
            </tr>
          ))}
        </tbody>
      </table>
      <SwappedMarks melts={[melt]} />
      <NotLookedAt melt={melt} />
      <p className="row-of mt-3">
        {placesOf(view, melt).map(({ to, name }, i) => (
          <Link
            key={to}
            className={i === 0 ? 'btn btn-primary' : 'btn btn-outline-primary'}
            to={`${base}${to}`}
          >
            Back to {name}
          </Link>
        ))}
        <Link to={`${base}/instruments/rack`}>To the rack</Link>
      </p>
    </>
  )
}

/** Checks nobody ticked, before the start or after. */
function NotLookedAt({ melt }: { melt: MeltFacts }) {
  const instrument = useNotebook(({ shelf }) =>
    shelf?.instruments.find(({ id }) => id === melt.planned.body.instrument),
  )
  if (!instrument) return null
  const open = notLookedAt(melt, instrument)
  return open.length === 0 ? null : (
    <p className="quiet mt-2 mb-0">Not ticked before the start: {listed(open.map(({ name }) => name))}.</p>
  )
}

/** One end of a range; its mark can be struck still. */
function End({
  text,
  below = false,
  mark,
}: {
  text: string | undefined
  below?: boolean
  mark: Mark | null
}) {
  if (text === undefined) return '–'
  return (
    <>
      {below ? 'below ' : ''}
      {text}{' '}
      {mark && (
        <Button
          size="sm"
          variant="link"
          aria-label={`Strike out ${mark.entry.body.moment} of tube ${mark.entry.body.slot} at ${text} °C`}
          onClick={() => {
            strike(mark.entry, 'pressed by mistake')
          }}
        >
          strike out
        </Button>
      )}
    </>
  )
}

/** Where the tubes of a melt belong: the cases of its unknowns, then the preps of its samples. */
function placesOf(view: View, melt: MeltFacts): readonly { readonly to: string; readonly name: string }[] {
  const samples = melt.planned.body.tubes.flatMap(({ sample }) => [
    sample,
    ...(sampleNamedAs(view, sample)?.of ?? []),
  ])
  const cases = unknownsOf(view)
    .filter(({ sample }) => samples.includes(sample.id))
    .map(({ id, opened }) => ({ to: `/unknowns/${id}`, name: `unknown ${opened.body.code}` }))
  const preps = prepsOf(view)
    .filter((prep) => prep.samples.some(({ id }) => samples.includes(id)))
    .map(({ id, opened }) => ({ to: `/preps/${id}`, name: opened.body.title }))
  return [...cases, ...preps]
}
