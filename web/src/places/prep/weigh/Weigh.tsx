import { Link, useSearchParams } from 'react-router'
import {
  hydrateOf,
  odditiesOf,
  type PrepFacts,
  recoveryOf,
  sampleOf,
  PUT_ASIDE_WITHIN,
  putAsideOf,
} from '@ivory-crystal/core/notebook'
import { crudeInText } from '@ivory-crystal/core/procedures'
import { fixed, withUncertainty } from '../../../format/format'
import { Figure } from '../../../parts/Figure'
import { ObservationLine } from '../../../parts/ObservationLine'
import { TakeCare } from '../../../parts/TakeCare'
import { Tabs } from '../../../parts/Tabs'
import { Why } from '../../../parts/Why'
import { useNotebook } from '../../../ledger/notebook'
import { RescueButton } from '../../../parts/sheets/RescueButton'
import type { StationProps } from '../station'
import { useHere } from '../useHere'
import { Account } from './Account'
import { Drying } from './Drying'
import { Oddities } from './Oddities'
import { SampleMass } from './SampleMass'

const TABS = ['Dry and weigh', 'Account'] as const

/** Crude and product on the balance, and where every gram went. */
export function Weigh({ prep }: StationProps) {
  const [params, setParams] = useSearchParams()
  const tab = TABS.find((one) => one === params.get('show')) ?? 'Dry and weigh'
  return (
    <>
      <Tabs
        tabs={TABS}
        here={tab}
        name="Parts of weighing"
        onTab={(wanted) => {
          setParams(wanted === 'Account' ? { show: wanted } : {}, { replace: true })
        }}
      />
      {tab === 'Account' ? <Account prep={prep} /> : <OnTheBalance prep={prep} />}
    </>
  )
}

function OnTheBalance({ prep }: { prep: PrepFacts }) {
  const { base } = useHere()
  const view = useNotebook((state) => state.view)
  const crude = sampleOf(prep, 'crude')
  const product = sampleOf(prep, 'product')
  const recovery = recoveryOf(prep)
  const hydrate = hydrateOf(prep)
  const planned = prep.plan?.body.result
  const putAside = putAsideOf(prep)
  return (
    <div className="columns two">
      <div className="stack">
        <TakeCare compound={prep.opened.body.compound} />
        {product && (
          <SampleMass
            sample={product}
            what="the product"
            heading="The dry product"
            aboutG={planned?.crystalMassG ?? null}
          />
        )}
        {crude && <SampleMass sample={crude} what="the crude" heading="The crude" />}
        <ObservationLine prep={prep} station="weigh" />
      </div>
      <aside className="stack">
        <div>
          <h2>
            Percent recovery <Why of="recovery" />
          </h2>
          {recovery.ok ? (
            <>
              <dl className="figures mt-3">
                <Figure
                  name={`Percent recovery, of the crude${putAside ? ` that went in, ${crudeInText(putAside)} g` : ''}`}
                  why={`± two standard uncertainties, from the readability of the balance${putAside ? ` and the ${fixed(1000 * putAside.keptBackG, 0)} mg kept back without weighing: ± ${fixed(100 * PUT_ASIDE_WITHIN, 0)} % of it` : ''}`}
                >
                  {withUncertainty(recovery.value.percent)} %
                </Figure>
                {planned && (
                  <Figure name="Planned" why="an upper limit, before losses in transfers and liquor">
                    {fixed(planned.recoveryPercentOfCrude, 0)} %
                  </Figure>
                )}
              </dl>
              {hydrate && <p className="look">{hydrate.sentence}</p>}
              <Oddities oddities={odditiesOf(view, prep.id)} />
              <div className="row-of mt-2">
                <Link className="btn btn-primary" to={`${base}/melt`}>
                  Go on to melt
                </Link>
                <Link className="btn btn-outline-primary" to={`${base}/weigh?show=Account`}>
                  Where is the rest?
                </Link>
              </div>
            </>
          ) : (
            <p className="quiet mt-2">{recovery.problem.sentence}</p>
          )}
        </div>
        <Drying prep={prep} />
        <div>
          <h3>Before you weigh</h3>
          <p className="quiet mt-1 mb-2">
            Pick out boiling stones. Weigh the empty watch glass on the same balance. Keep the mother liquor
            until you are content with the recovery.
          </p>
          <RescueButton />
        </div>
      </aside>
    </div>
  )
}
