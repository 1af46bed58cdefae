import Button from 'react-bootstrap/Button'
import { linesOf, type PrepFacts } from '@ivory-crystal/core/notebook'
import { attempt, ok, refuse } from '@ivory-crystal/core/problems'
import { partnerTrouble, readReading } from '@ivory-crystal/core/weighing'
import { clock } from '../../../format/format'
import { InlineField, Refusal } from '../../../parts/InlineField'
import { useLines } from '../../../parts/useTyped'
import { strike, useNotebook } from '../../../ledger/notebook'

/** A centrifuge tube and its partner, by mass: not balanced until they agree. */
export function PartnerForm({ prep, step, isOpen }: { prep: PrepFacts; step: string; isOpen: boolean }) {
  const view = useNotebook((state) => state.view)
  const form = useLines({
    start: { tube: '', partner: '' },
    make({ tube, partner }) {
      const one = readReading(tube, 'The tube')
      if (!one.ok) return refuse(one.problem.sentence, 'tube')
      const other = readReading(partner, 'The partner')
      if (!other.ok) return refuse(other.problem.sentence, 'partner')
      const trouble = attempt(() => partnerTrouble(one.value.value, other.value.value))
      if (!trouble.ok) return refuse(trouble.problem.sentence)
      if (trouble.value !== null) return refuse(trouble.value)
      return ok([
        { kind: 'balanced', subject: prep.id, body: { step, tube: one.value, partner: other.value } },
      ])
    },
  })
  const { tube, partner } = form.typed
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
            strike out
          </Button>
        </p>
      )}
      {isOpen && (
        <form className="row-of align-items-center" aria-label="Centrifuge partner" onSubmit={form.onSubmit}>
          <InlineField label="mass of the tube, g" hint="tube, g" width={104} {...form.of('tube')} />
          <InlineField label="mass of the partner, g" hint="partner, g" width={104} {...form.of('partner')} />
          <Button type="submit" size="sm" variant="outline-primary" disabled={tube === '' || partner === ''}>
            They balance
          </Button>
          <Refusal sentence={form.message} />
        </form>
      )}
    </>
  )
}
