import { useState } from 'react'
import Button from 'react-bootstrap/Button'
import { Link } from 'react-router'
import { discardQuestion, type PrepFacts, sampleOf } from '@ivory-crystal/core/notebook'
import { wasteOf } from '@ivory-crystal/core/procedures'
import { clock } from '../../../format/format'
import { strike, useNotebook, write } from '../../../ledger/notebook'
import { useHere } from '../useHere'

/** The mother liquor: kept until the yield is known, and asked about before it goes. */
export function LiquorPanel({ prep }: { prep: PrepFacts }) {
  const { base } = useHere()
  const view = useNotebook((state) => state.view)
  const [asked, setAsked] = useState(false)
  const { discarded } = prep
  const { yieldKnown, question } = discardQuestion(view, prep)
  const weighed = (role: 'residue' | 'second crop') => sampleOf(prep, role)?.weighing != null
  const next = weighed('residue')
    ? null
    : weighed('second crop')
      ? 'Evaporate and weigh what is left'
      : 'Evaporate and weigh it, or take a second crop'
  const plan = prep.plan?.body
  const waste = plan
    ? wasteOf(plan.solvent, plan.pair?.solvent ?? null, plan.compound)
    : 'the waste your lab names for it'
  const discard = () => {
    setAsked(false)
    write({ kind: 'liquor discarded', subject: prep.id, body: { waste, yieldKnown } })
  }
  if (discarded)
    return (
      <p className="quiet mb-0">
        Liquor discarded at {clock(discarded.at)}: {discarded.body.waste}.
        {discarded.body.yieldKnown ? '' : ' The recovery was not known by then.'}{' '}
        <Button
          variant="link"
          size="sm"
          onClick={() => {
            strike(discarded, 'it was not discarded')
          }}
        >
          strike out
        </Button>
      </p>
    )
  if (asked && question)
    return (
      <div className="look" role="alert">
        {question}
        <div className="row-of mt-1">
          <Button
            size="sm"
            onClick={() => {
              setAsked(false)
            }}
          >
            Keep it
          </Button>
          <Button size="sm" variant="outline-primary" onClick={discard}>
            Discard it
          </Button>
        </div>
      </div>
    )
  return (
    <p className="quiet mb-0">
      {weighed('residue') ? 'The liquor was evaporated; its residue is kept.' : 'The liquor is kept.'}{' '}
      {yieldKnown && next && <Link to={`${base}/weigh?show=Account`}>{next}</Link>}{' '}
      <Button
        variant="link"
        size="sm"
        onClick={() => {
          if (question) setAsked(true)
          else discard()
        }}
      >
        Discard it
      </Button>
    </p>
  )
}
