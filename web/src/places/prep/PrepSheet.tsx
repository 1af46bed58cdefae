import {
  accountOf,
  judgementOf,
  logOf,
  meltsOf,
  phaseMapOf,
  type PrepFacts,
  solventSoFarML,
} from '@ivory-crystal/core/notebook'
import { isHotDoubtful } from '@ivory-crystal/core/procedures'
import { MassBalance } from '../../drawings/MassBalance'
import { PhaseMap } from '../../drawings/PhaseMap'
import { SolventColumn } from '../../drawings/SolventColumn'
import { useNotebook } from '../../ledger/notebook'
import { PaperLog } from '../../paper/PaperLog'
import type { Layout } from '../../paper/layout'
import { MeltCurves } from '../../paper/MeltCurves'
import { PageBody, Pictures, LogSection } from './PageBody'
import { mapPoints } from './Where'

/** A prep on paper: one page to hand in, or everything. */
export function PrepSheet({ prep, layout }: { prep: PrepFacts; layout: Layout }) {
  const view = useNotebook((state) => state.view)
  return (
    <>
      <LogSection prep={prep} />
      <hr className="rule" />
      <PageBody prep={prep} isBrief={layout === 'hand-in'} />
      {layout === 'full' && (
        <>
          <Pictures of={prep.id} />
          <Drawn prep={prep} />
        </>
      )}
      <hr className="rule" />
      <PaperLog lines={logOf(view, prep.id)} layout={layout} />
    </>
  )
}

function Drawn({ prep }: { prep: PrepFacts }) {
  const view = useNotebook((state) => state.view)
  const account = accountOf(view, prep.id)
  const judged = judgementOf(view, prep.id)
  const plan = prep.plan?.body
  const map = judged.ok ? phaseMapOf(view, prep, null) : null
  return (
    <>
      {account.ok && (
        <section>
          <hr className="rule" />
          <h2>Mass balance</h2>
          <MassBalance crudeG={account.value.crude.value} rows={account.value.rows} />
        </section>
      )}
      {plan && (
        <section>
          <hr className="rule" />
          <div className="columns halves">
            <div>
              <h2>Solvent, as it was added</h2>
              <div style={{ width: 250 }}>
                <SolventColumn
                  addedML={solventSoFarML(prep).hotML}
                  dissolveML={plan.pair?.goodML ?? plan.result.minimumHotML}
                  toML={plan.result.hotML}
                  staysDissolvedML={plan.result.impurityStaysDissolvedML}
                  impurity={plan.impurity?.name ?? null}
                  second={plan.pair?.solvent.name ?? null}
                  isDoubtful={isHotDoubtful(plan)}
                />
              </div>
            </div>
            {map && judged.ok && (
              <div>
                <h2>In the phase map</h2>
                <PhaseMap
                  a={map.product}
                  b={map.impurity}
                  path
                  points={mapPoints(map, judged.value.judgement)}
                />
                {map.isAssumed && (
                  <p className="quiet">
                    No impurity is named in the plan, so the map is drawn with an assumed one. The composition
                    read from the line of the product does not depend on it; the eutectic does.
                  </p>
                )}
              </div>
            )}
          </div>
        </section>
      )}
      <MeltCurves melts={meltsOf(view, prep.id)} />
    </>
  )
}
