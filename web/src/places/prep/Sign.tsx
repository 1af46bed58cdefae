import { useTyped } from '../../parts/useTyped'
import { ok } from '@ivory-crystal/core/problems'
import type { Entry } from '@ivory-crystal/core/notebook'
import Button from 'react-bootstrap/Button'
import { capital, dayAndClock } from '../../format/format'
import { SignedBy } from '../../parts/SignedBy'
import { author, setAuthor } from '../../ledger/writer'
import { strike } from '../../ledger/notebook'
import { useNow } from '../../clock/now'

export function Sign({ onSign }: { onSign: (signedBy: string) => void }) {
  const form = useTyped({
    start: { name: author() },
    make: ({ name }) => ok(name.trim() || author()),
    keep(name) {
      setAuthor(name)
      onSign(name)
    },
  })
  return (
    <form aria-label="Sign the verdict" onSubmit={form.onSubmit}>
      <SignedBy name={form.typed.name} onName={form.of('name').onChange}>
        The verdict keeps the readings, literature values and house rules it is based on.
      </SignedBy>
    </form>
  )
}

export function Signed({ verdict }: { verdict: Entry<'verdict signed'> }) {
  const now = useNow(60_000)
  return (
    <div>
      <h3>Signed</h3>
      <p className="mt-1 mb-1">
        “{capital(verdict.body.judgement.verdict)}”, by {verdict.body.signedBy},{' '}
        {dayAndClock(verdict.at, now)}.{' '}
        <span className="quiet">Based on {verdict.body.restsOn.length} entries of this notebook.</span>
      </p>
      <Button
        variant="link"
        onClick={() => {
          strike(verdict, 'to be signed again')
        }}
      >
        Strike out this verdict
      </Button>
    </div>
  )
}
