import css from './JustStruck.module.css'
import Button from 'react-bootstrap/Button'
import { TAKEN_BACK, takeBack, useNotebook } from '../ledger/notebook'
import { useNow } from '../clock/now'

/** So long after it a strike is offered to be taken back where it was made, ms. */
const OFFERED_FOR_MS = 15_000

/** What was struck a moment ago can be taken back with one press, on every screen. */
export function JustStruck() {
  const struck = useNotebook(({ lastStruck, view }) => (lastStruck ? view.struck.get(lastStruck) : undefined))
  const now = useNow()
  // A strike that takes one back is not offered to be taken back again: it would never end.
  const isTakingBack = struck?.body.reason === TAKEN_BACK
  if (!struck || isTakingBack || now - struck.at > OFFERED_FOR_MS) return null
  return (
    <p className={css.struck} role="status">
      Struck out: {struck.body.reason}.{' '}
      <Button
        size="sm"
        variant="link"
        onClick={() => {
          takeBack(struck)
        }}
      >
        take it back
      </Button>
    </p>
  )
}
