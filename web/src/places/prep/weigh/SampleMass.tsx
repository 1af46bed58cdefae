import { useState } from 'react'
import Button from 'react-bootstrap/Button'
import { massOf, type SampleFacts } from '@ivory-crystal/core/notebook'
import { clock, netMassText } from '../../../format/format'
import { WeighingForm } from '../../../parts/WeighingForm'
import { strike } from '../../../ledger/notebook'

/** The latest mass of one sample, and a form for the first or the next. */
export function SampleMass({
  sample,
  what,
  heading,
  aboutG = null,
}: {
  sample: SampleFacts
  what: string
  heading: string
  aboutG?: number | null
}) {
  const [open, setOpen] = useState<'again' | 'put right' | null>(null)
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
            , read to {weighing.body.readabilityG} g
            {weighing.body.from === 'simulated balance' ? ' on the simulated balance' : ''}, at{' '}
            {clock(weighing.at)}
          </span>{' '}
          <Button
            variant="link"
            size="sm"
            onClick={() => {
              setOpen('put right')
            }}
          >
            correct this reading
          </Button>{' '}
          <Button
            variant="link"
            size="sm"
            onClick={() => {
              strike(weighing, 'weighed again')
            }}
          >
            strike out this reading
          </Button>
        </p>
      )}
      {weighing && !mass.ok && <p className="look">{mass.problem.sentence}</p>}
      {!weighing || open ? (
        <>
          <WeighingForm
            key={open ?? 'first'}
            sample={sample.id}
            role={sample.role}
            what={what}
            aboutG={aboutG}
            before={weighing?.body ?? null}
            isCorrection={open === 'put right'}
            onDone={() => {
              if (open === 'put right' && weighing) strike(weighing, 'corrected')
              setOpen(null)
            }}
          />
          {open && (
            <Button
              variant="link"
              size="sm"
              onClick={() => {
                setOpen(null)
              }}
            >
              Never mind
            </Button>
          )}
        </>
      ) : (
        <Button
          variant="outline-primary"
          size="sm"
          onClick={() => {
            setOpen('again')
          }}
        >
          Weigh {what} again
        </Button>
      )}
    </section>
  )
}
