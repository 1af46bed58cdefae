import { lazy, Suspense } from 'react'
import { Link } from 'react-router'
import { meltsOf, rangesOf } from '@ivory-crystal/core'
import { PrepLadder } from '../../parts/PrepLadder'
import { useNotebook } from '../../ledger/notebook'
import { MeltPlan } from '../melt/MeltPlan'
import { RepeatsTable } from '../melt/RepeatsTable'
import type { StationProps } from './station'
import { useHere } from './useHere'

const Watch = lazy(async () => ({ default: (await import('../melt/Watch')).Watch }))

/** Tubes packed, a heating planned, the melt watched, both ends caught. */
export function Melt({ prep }: StationProps) {
  const { base } = useHere()
  const view = useNotebook((state) => state.view)
  const melts = meltsOf(view, prep.id)
  const open =
    melts.find((melt) => melt.run?.ended === null) ??
    melts.find((melt) => melt.run === null && melt.detected.size === 0)
  if (open)
    return (
      <Suspense fallback={<p aria-busy="true">Opening the watch …</p>}>
        <Watch melt={open} />
      </Suspense>
    )
  const ranges = rangesOf(view, prep.id)
  const complete = ranges.some((row) => row.role === 'product' && row.trouble === null)
  return (
    <>
      <PrepLadder prep={prep} />
      <RepeatsTable rows={ranges} />
      {complete && (
        <p className="mt-3">
          <Link className="btn btn-primary" to={`${base}/judge`}>
            Go on to judge
          </Link>
        </p>
      )}
      {ranges.length > 0 && <hr className="rule" />}
      <MeltPlan prep={prep} again={ranges.length > 0} />
    </>
  )
}
