import { useState } from 'react'
import Button from 'react-bootstrap/Button'
import Form from 'react-bootstrap/Form'
import { Link } from 'react-router'
import { CORE_VERSION, isStale, judgementOf, type Entry, type Judgement } from '@ivory-crystal/core'
import { capital, dayAndClock } from '../../format/format'
import { PrepLadder } from '../../parts/PrepLadder'
import { author, setAuthor, strike, useNotebook, write } from '../../state/notebook'
import { useNow } from '../../state/now'
import type { StationProps } from './Prep'
import { useHere } from './useHere'

/** What the range says about purity, why, and what to do next. */
export function Judge({ prep }: StationProps) {
  const { base } = useHere()
  const view = useNotebook((state) => state.view)
  const judged = judgementOf(view, prep.id)
  if (!judged.ok)
    return (
      <>
        <PrepLadder prep={prep} />
        <h2 className="mt-3">Nothing to judge yet</h2>
        <p className="mt-2">
          {judged.problem.sentence} <Link to={`${base}/melt`}>Go to Melt</Link>
        </p>
      </>
    )
  const { judgement } = judged.value
  const { name } = prep.opened.body.compound
  return (
    <>
      <PrepLadder prep={prep} />
      <hr className="rule" />
      <div className="columns two">
        <section>
          <h2>{headline(judgement.verdict, name)}</h2>
          <p className="quiet mt-1 mb-0">
            A range is evidence and never proof:{' '}
            {judgement.actions[0]?.sentence.toLowerCase().includes('sign')
              ? 'a mixed melt would settle the identity.'
              : 'see what would tell more.'}
          </p>
          <Findings judgement={judgement} />
        </section>
        <aside className="stack">
          <div>
            <h3>What to do next</h3>
            <ol className="mt-2 ps-3">
              {judgement.actions.map((action) => (
                <li key={action.code} className="mb-2">
                  {action.sentence}
                  {action.minutes !== undefined && (
                    <span className="quiet"> About {action.minutes} min.</span>
                  )}
                </li>
              ))}
            </ol>
          </div>
          {prep.verdict ? (
            <Signed verdict={prep.verdict} />
          ) : (
            <Sign
              onSign={(signedBy) => {
                const { input, conventions, restsOn, sample } = judged.value
                write({
                  kind: 'verdict signed',
                  subject: prep.id,
                  body: {
                    sample,
                    signedBy,
                    judgement,
                    input,
                    conventions,
                    restsOn,
                    coreVersion: CORE_VERSION,
                  },
                })
              }}
            />
          )}
          {prep.verdict && (
            <Link className="btn btn-primary align-self-start" to={`${base}/page`}>
              Go on to the page
            </Link>
          )}
        </aside>
      </div>
    </>
  )
}

export function headline(verdict: Judgement['verdict'], name: string): string {
  switch (verdict) {
    case 'consistent with pure':
      return `Consistent with pure ${name}`
    case 'nearly pure':
      return `Nearly pure ${name}`
    case 'impure':
      return `Impure ${name}`
    case 'not this compound':
      return `Not ${name}, by this range`
    case 'cannot tell':
      return 'Cannot tell from this range'
  }
}

export function Findings({ judgement }: { judgement: Judgement }) {
  return (
    <dl className="findings">
      {judgement.findings.map((finding) => [
        <dt key={`${finding.code} head`}>{capital(finding.headline)}</dt>,
        <dd key={finding.code}>{finding.sentence}</dd>,
      ])}
    </dl>
  )
}

function Sign({ onSign }: { onSign: (signedBy: string) => void }) {
  const [name, setName] = useState(author)
  return (
    <form
      aria-label="Sign the verdict"
      onSubmit={(event) => {
        event.preventDefault()
        setAuthor(name)
        onSign(name.trim() || author())
      }}
    >
      <Form.Label htmlFor="signed-by">signed by (bench code)</Form.Label>
      <div className="row-of flex-nowrap">
        <Form.Control
          id="signed-by"
          value={name}
          maxLength={80}
          onChange={(event) => {
            setName(event.target.value)
          }}
        />
        <Button type="submit" className="text-nowrap" disabled={name.trim() === ''}>
          Sign this verdict
        </Button>
      </div>
      <p className="form-text mb-0">Keeps the readings, literature values and house rules it rests on.</p>
    </form>
  )
}

function Signed({ verdict }: { verdict: Entry<'verdict signed'> }) {
  const view = useNotebook((state) => state.view)
  const now = useNow(60_000)
  return (
    <div>
      <h3>Signed</h3>
      <p className="mt-1 mb-1">
        “{capital(verdict.body.judgement.verdict)}”, by {verdict.body.signedBy},{' '}
        {dayAndClock(verdict.at, now)}.{' '}
        <span className="quiet">Rests on {verdict.body.restsOn.length} lines of this notebook.</span>
      </p>
      {isStale(view, verdict) && (
        <p className="look" role="alert">
          A line it rests on has been struck since. The signed verdict stands as it was written; strike it and
          sign again.
        </p>
      )}
      <Button
        variant="link"
        onClick={() => {
          strike(verdict, 'to be signed again')
        }}
      >
        Strike this verdict
      </Button>
    </div>
  )
}
