import type { StationProps } from './station'
import { type ComponentType, lazy, type LazyExoticComponent, Suspense } from 'react'
import { Link, Navigate, useParams } from 'react-router'
import type { PrepId } from '@ivory-crystal/core/ids'
import { prepOf, stationsOf } from '@ivory-crystal/core/notebook'
import { type Station, STATION_ABOUT, STATIONS } from '@ivory-crystal/core/stations'
import { day } from '../../format/format'
import { StationString } from '../../parts/StationString'
import { Title } from '../../parts/Title'
import { useNotebook } from '../../ledger/notebook'

type StationView = LazyExoticComponent<ComponentType<StationProps>>

const bench: StationView = lazy(async () => ({ default: (await import('./bench/Bench')).Bench }))
const VIEWS: Readonly<Record<Station, StationView>> = {
  plan: lazy(async () => ({ default: (await import('./plan/Plan')).Plan })),
  dissolve: bench,
  crystallize: bench,
  collect: bench,
  weigh: lazy(async () => ({ default: (await import('./weigh/Weigh')).Weigh })),
  melt: lazy(async () => ({ default: (await import('./Melt')).Melt })),
  judge: lazy(async () => ({ default: (await import('./Judge')).Judge })),
  page: lazy(async () => ({ default: (await import('./Page')).Page })),
}

/** One prep: its string of stations and the one in the address. */
export function Prep() {
  const { notebook, prep: id, station } = useParams()
  const view = useNotebook((state) => state.view)
  const prep = prepOf(view, id as PrepId)
  const base = `/n/${notebook ?? ''}/preps/${id ?? ''}`
  if (!prep)
    return (
      <>
        <Title title="No such prep" />
        <p className="mt-3">
          There is no such prep in this notebook. <Link to={`/n/${notebook ?? ''}/preps`}>All preps</Link>
        </p>
      </>
    )
  const stations = stationsOf(view, prep.id)
  const here = STATIONS.find((one) => one === station)
  if (!here) {
    const now =
      stations.find(({ state }) => state === 'needs a look' || state === 'now') ??
      stations[stations.length - 1]
    return <Navigate to={`${base}/${now?.station ?? 'plan'}`} replace />
  }
  const View = VIEWS[here]
  const solvent = prep.plan?.body.solvent.name
  return (
    <>
      <Title
        title={prep.opened.body.title}
        aside={`batch of ${day(prep.opened.at)}${solvent ? ` · from ${solvent}` : ''}`}
      />
      <StationString
        stations={stations}
        here={here}
        base={base}
        ahead={prep.plan ? undefined : (one) => STATION_ABOUT[one].ahead}
      />
      <Suspense fallback={<p aria-busy="true">Opening …</p>}>
        <View prep={prep} />
      </Suspense>
    </>
  )
}
