import { useState } from 'react'
import Button from 'react-bootstrap/Button'
import { attempt, linesOf, partnerTrouble, type PrepFacts, readReading } from '@ivory-crystal/core'
import { clock } from '../../../format/format'
import { InlineField, Refusal } from '../../../parts/InlineField'
import { strike, useNotebook, write } from '../../../ledger/notebook'

/** A centrifuge tube and its partner, by mass: not balanced until they agree. */
export function PartnerForm({ prep, step, isOpen }: { prep: PrepFacts; step: string; isOpen: boolean }) {
  const view = useNotebook((state) => state.view)
  const [tube, setTube] = useState('')
  const [partner, setPartner] = useState('')
  const [said, setSaid] = useState<string | null>(null)
  const made = linesOf(view, prep.id, 'balanced').filter(({ body }) => body.step === step)
  const last = made[made.length - 1]
  const lastTrouble = last && attempt(() => partnerTrouble(last.body.tube.value, last.body.partner.value))
  return (
    <>
      {last && (
        <p className={lastTrouble?.ok && lastTrouble.value === null ? 'quiet mb-1' : 'look mb-1'}>
          {clock(last.at)}: tube {last.body.tube.text} g, partner {last.body.partner.text} g.{' '}
          {lastTrouble?.ok ? (lastTrouble.value ?? 'Balanced.') : ''}{' '}
          <Button
            variant="link"
            size="sm"
            onClick={() => {
              strike(last, 'weighed again')
            }}
          >
            strike
          </Button>
        </p>
      )}
      {isOpen && (
        <form
          className="row-of align-items-center"
          aria-label="Centrifuge partner"
          onSubmit={(event) => {
            event.preventDefault()
            const one = readReading(tube, 'The tube')
            const other = readReading(partner, 'The partner')
            if (!one.ok) return setSaid(one.problem.sentence)
            if (!other.ok) return setSaid(other.problem.sentence)
            const trouble = attempt(() => partnerTrouble(one.value.value, other.value.value))
            if (!trouble.ok) return setSaid(trouble.problem.sentence)
            if (trouble.value !== null) return setSaid(trouble.value)
            write({
              kind: 'balanced',
              subject: prep.id,
              body: { step, tube: one.value, partner: other.value },
            })
            setTube('')
            setPartner('')
            setSaid(null)
          }}
        >
          <InlineField
            label="mass of the tube, g"
            hint="tube, g"
            width={104}
            value={tube}
            onChange={(typed) => {
              setTube(typed)
              setSaid(null)
            }}
          />
          <InlineField
            label="mass of the partner, g"
            hint="partner, g"
            width={104}
            value={partner}
            onChange={(typed) => {
              setPartner(typed)
              setSaid(null)
            }}
          />
          <Button type="submit" size="sm" variant="outline-primary" disabled={tube === '' || partner === ''}>
            They balance
          </Button>
          <Refusal sentence={said} />
        </form>
      )}
    </>
  )
}
