import { Fragment, lazy, Suspense } from 'react'
import { Link, useParams } from 'react-router'
import { type MeltFacts, isUnderWay, meltsOf, rangesOf } from '@ivory-crystal/core/notebook'
import { useNow } from '../../clock/now'
import { useTopOf } from '../../parts/useFromTheTop'
import { dayAndClock } from '../../format/format'
import { Photographs } from '../../parts/Photographs'
import { PrepLadder } from '../../parts/PrepLadder'
import { SwappedMarks } from '../../parts/SwappedMarks'
import { useNotebook } from '../../ledger/notebook'
import { MeltPlan } from '../melt/MeltPlan'
import { RepeatsTable } from '../melt/RepeatsTable'
import type { StationProps } from './station'
import { useHere } from './useHere'

const Watch = lazy(async () => ({ default: (await import('../melt/Watch')).Watch }))

/** The runs that are over, each with its own page: what was marked, and where a mark can be struck still. */
function Runs({ melts }: { melts: readonly MeltFacts[] }) {
  const { notebook } = useParams()
  const now = useNow(60_000)
  if (melts.length === 0) return null
  return (
    <p className="quiet mt-2 mb-0">
      Marks:{' '}
      {melts.map(({ id, planned, run }, i) => (
        <Fragment key={id}>
          {i > 0 && ', '}
          <Link to={`/n/${notebook ?? ''}/melts/${id}`}>
            {planned.body.instrumentName.toLowerCase()}, {dayAndClock(run?.started.at ?? planned.at, now)}
          </Link>
        </Fragment>
      ))}
    </p>
  )
}

/** Tubes packed, a heating planned, the melt watched, both ends caught. */
export function Melt({ prep }: StationProps) {
  const { base } = useHere()
  const view = useNotebook((state) => state.view)
  const melts = meltsOf(view, prep.id)
  const underWay = melts.filter(isUnderWay)
  const open = underWay.find(({ run }) => run !== null) ?? underWay[0]
  useTopOf(open ? `${open.id} ${open.run ? 'runs' : 'ready'}` : 'to plan')
  if (open)
    return (
      <Suspense fallback={<p aria-busy="true">Opening the melt …</p>}>
        <Watch melt={open} />
      </Suspense>
    )
  const ranges = rangesOf(view, prep.id)
  const complete = ranges.some((row) => row.role === 'product' && row.trouble === null)
  return (
    <>
      <PrepLadder prep={prep} />
      <SwappedMarks melts={melts} />
      <RepeatsTable rows={ranges} />
      <Runs melts={melts.filter((melt) => !isUnderWay(melt))} />
      {complete && (
        <p className="mt-3">
          <Link className="btn btn-primary" to={`${base}/judge`}>
            Go on to judge
          </Link>
        </p>
      )}
      {ranges.length > 0 && <hr className="rule" />}
      <MeltPlan prep={prep} again={ranges.length > 0} />
      <hr className="rule" />
      <Photographs of={prep.id} usual="tubes" />
    </>
  )
}
