import Button from 'react-bootstrap/Button'
import { areOlder, sentenceOf, upcast } from '@ivory-crystal/core/notebook'
import { dismissRefused, useNotebook } from '../ledger/notebook'

/** Lines the server would not take: shown until someone has read why. */
export function Refusals() {
  const quarantine = useNotebook((state) => state.quarantine)
  if (quarantine.length === 0) return null
  return (
    <section className="look no-print" role="alert" aria-label="Entries that were not saved">
      <h3>Not saved</h3>
      {quarantine.map((line) => {
        const known = areOlder([line.entry]) ? null : upcast(line.entry)
        return (
          <p key={line.id} className="mb-1">
            {known ? sentenceOf(known) : line.entry.kind} <span className="trouble">{line.sentence}</span>{' '}
            <Button variant="link" onClick={() => void dismissRefused(line.id)}>
              I have read it
            </Button>
          </p>
        )
      })}
    </section>
  )
}
