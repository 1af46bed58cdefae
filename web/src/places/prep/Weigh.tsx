import { useState } from 'react'
import Button from 'react-bootstrap/Button'
import { Link } from 'react-router'
import { massOf, recoveryOf, sampleOf, type SampleFacts } from '@ivory-crystal/core'
import { clock, fixed, netMassText, withUncertainty } from '../../format/format'
import { Figure } from '../../parts/Figure'
import { ObservationLine } from '../../parts/ObservationLine'
import { WeighingForm } from '../../parts/WeighingForm'
import { strike } from '../../state/notebook'
import type { StationProps } from './Prep'
import { useHere } from './useHere'

/** Crude and product on the balance, and what that comes to. */
export function Weigh({ prep }: StationProps) {
  const { base } = useHere()
  const crude = sampleOf(prep, 'crude')
  const product = sampleOf(prep, 'product')
  const recovery = recoveryOf(prep)
  const planned = prep.plan?.body.result
  return (
    <div className="columns two">
      <div className="stack">
        {product && <SampleMass sample={product} what="the product" heading="The dry product" />}
        {crude && <SampleMass sample={crude} what="the crude" heading="The crude" />}
        <ObservationLine prep={prep} station="weigh" />
      </div>
      <aside>
        <h2>Percent recovery</h2>
        {recovery.ok ? (
          <>
            <dl className="figures mt-3">
              <Figure
                name="Percent recovery, of the crude"
                why="± two standard uncertainties, from the readability of the balance"
              >
                {withUncertainty(recovery.value.percent)} %
              </Figure>
              {planned && (
                <Figure name="Planned" why="an upper bound: transfers and clinging liquor come off it">
                  {fixed(planned.recoveryPercentOfCrude, 0)} %
                </Figure>
              )}
            </dl>
            {recovery.value.remarks.map((remark) => (
              <p key={remark} className="look" role="alert">
                {remark}
              </p>
            ))}
            <Link className="btn btn-primary mt-2" to={`${base}/melt`}>
              Go on to melt
            </Link>
          </>
        ) : (
          <p className="quiet mt-2">{recovery.problem.sentence}</p>
        )}
        <hr className="rule" />
        <h3>Before it goes on the balance</h3>
        <p className="quiet mt-1">
          Dried {prep.plan?.body.conventions.drying.atLeastMin ?? 10} min in air by house rules; boiling
          stones picked out; the empty watch glass weighed on the same balance. Keep the liquor until you like
          this number.
        </p>
      </aside>
    </div>
  )
}

function SampleMass({ sample, what, heading }: { sample: SampleFacts; what: string; heading: string }) {
  const [again, setAgain] = useState(false)
  const { weighing } = sample
  const mass = massOf(sample)
  return (
    <section aria-label={heading}>
      <h2>{heading}</h2>
      {weighing && (
        <p className="mt-2 mb-1">
          <b>{netMassText(weighing.body)} g</b>{' '}
          <span className="quiet">
            {weighing.body.method === 'difference'
              ? `${weighing.body.loaded.text} loaded − ${weighing.body.empty.text} empty`
              : 'tared'}
            , read to {weighing.body.readabilityG} g, at {clock(weighing.at)}
          </span>{' '}
          <Button
            variant="link"
            size="sm"
            onClick={() => {
              strike(weighing, 'weighed again')
            }}
          >
            strike this reading
          </Button>
        </p>
      )}
      {weighing && !mass.ok && <p className="look">{mass.problem.sentence}</p>}
      {!weighing || again ? (
        <WeighingForm
          sample={sample.id}
          what={what}
          onDone={() => {
            setAgain(false)
          }}
        />
      ) : (
        <Button
          variant="outline-primary"
          size="sm"
          onClick={() => {
            setAgain(true)
          }}
        >
          Weigh {what} again
        </Button>
      )}
    </section>
  )
}
