import type { MeltFacts } from '@ivory-crystal/core/notebook'
import { plannedCurve, readCurve } from '@ivory-crystal/core/planning'
import { HeatingCurve } from '../drawings/HeatingCurve'
import { day } from '../format/format'
import { useNotebook } from '../ledger/notebook'

/** Every heating that was read, as it was planned and as it went. */
export function MeltCurves({ melts }: { melts: readonly MeltFacts[] }) {
  const view = useNotebook((state) => state.view)
  const instruments = useNotebook((state) => state.shelf?.instruments) ?? []
  const read = melts
    .map((melt) => ({ melt, points: readCurve(view, melt.id) }))
    .filter(({ points }) => points.length > 1)
  if (read.length === 0) return null
  return (
    <>
      {read.map(({ melt, points }) => {
        const { window, instrument, tubes } = melt.planned.body
        const made = instruments.find(({ id }) => id === instrument)
        return (
          <section key={melt.id}>
            <hr className="rule" />
            <h3>
              Heating of {tubes.length === 1 ? 'one tube' : `${tubes.length} tubes`} in the{' '}
              {(made?.name ?? 'instrument').toLowerCase()}, {day(melt.planned.at)}
              {melt.run?.started.body.feed === 'simulated' ? ', simulated' : ''}
            </h3>
            <HeatingCurve
              planned={plannedCurve(view, melt.id)}
              read={points}
              watchFromC={window.watchFromC}
              stopC={window.stopC}
            />
          </section>
        )
      })}
    </>
  )
}
