import css from './SignCase.module.css'
import {
  type CaseForRanking,
  doubtsBeforeSigning,
  isStale,
  openedAfterSigning,
  type Ranked,
  type Result,
  signCase,
  type UnknownFacts,
} from '@ivory-crystal/core'
import { useHouseRules } from '../../parts/useHouseRules'
import { useState } from 'react'
import Button from 'react-bootstrap/Button'
import Form from 'react-bootstrap/Form'
import { Link, useParams } from 'react-router'
import { capital, dayAndClock, fixed } from '../../format/format'
import { SignedBy } from '../../parts/SignedBy'
import { author, setAuthor } from '../../ledger/writer'
import { strike, useNotebook, write } from '../../ledger/notebook'
import { useNow } from '../../app/now'
import { OpenAnswer } from './OpenAnswer'
import { percent } from './ProbabilityBar'
import { useRanking } from './useRanking'

/** What it is, with everything that rests on; or that it is not on the list, or cannot be told. */
export function SignCase({ unknown }: { unknown: UnknownFacts }) {
  const { evidence, ranking } = useRanking(unknown)
  if (unknown.signed) return <Signed unknown={unknown} signed={unknown.signed} />
  if (!evidence.ok && !unknown.careful)
    return (
      <section className="mt-2">
        <h2>Nothing to sign yet</h2>
        <p className="mt-2">{evidence.problem.sentence}</p>
      </section>
    )
  if (evidence.ok && ranking === null) return <p aria-busy="true">Weighing the evidence …</p>
  return <SignForm unknown={unknown} evidence={evidence} ranked={ranking?.ok ? ranking.value.ranked : []} />
}

/** A ranking this sure proposes its answer. */
const PROPOSED_FROM = 0.9

function SignForm({
  unknown,
  evidence,
  ranked,
}: {
  unknown: UnknownFacts
  evidence: Result<CaseForRanking>
  ranked: readonly Ranked[]
}) {
  const view = useNotebook((state) => state.view)
  const top = [...ranked].sort((p, q) => q.probability - p.probability)[0]
  const [chosen, setChosen] = useState<string | null>(
    top && top.probability >= PROPOSED_FROM ? (top.id ?? 'not on the list') : null,
  )
  const rules = useHouseRules()
  const [name, setName] = useState(author)
  const standing = unknown.candidates.filter(({ ruledOut }) => !ruledOut).map(({ compound }) => compound)
  const doubts = chosen ? doubtsBeforeSigning(view, unknown, chosen, ranked) : []
  const chance = (id: string | null) => ranked.find((one) => one.id === id)?.probability
  return (
    <form
      className="columns two mt-2"
      aria-label="Sign the case"
      onSubmit={(event) => {
        event.preventDefault()
        if (!chosen || !evidence.ok) return
        setAuthor(name)
        write(
          signCase(view, unknown, evidence.value, {
            chosen,
            ranked,
            signedBy: name.trim() || author(),
            rules,
          }),
        )
      }}
    >
      <fieldset>
        <legend className="h2">What is it?</legend>
        {standing.map((compound) => (
          <Form.Check
            key={compound.id}
            className={css.answer}
            type="radio"
            name="answer"
            id={`answer ${compound.id}`}
            label={`${capital(compound.name)}${said(chance(compound.id))}`}
            checked={chosen === compound.id}
            onChange={() => {
              setChosen(compound.id)
            }}
          />
        ))}
        {(['not on the list', 'cannot tell'] as const).map((one) => (
          <Form.Check
            key={one}
            className={css.answer}
            type="radio"
            name="answer"
            id={`answer ${one}`}
            label={
              one === 'not on the list'
                ? `Not on the list${said(chance(null))}`
                : 'It cannot be told from what was measured'
            }
            checked={chosen === one}
            onChange={() => {
              setChosen(one)
            }}
          />
        ))}
      </fieldset>
      <aside>
        {doubts.map((doubt) => (
          <p key={doubt} className="look">
            {doubt}
          </p>
        ))}
        {!evidence.ok && <p className="look">{evidence.problem.sentence}</p>}
        <SignedBy name={name} isReady={chosen !== null && evidence.ok} onName={setName}>
          Keeps the ranges, mixtures, probabilities and house rules it rests on.
          {unknown.sealed ? ' After signing, the sealed answer can be opened.' : ''}
        </SignedBy>
      </aside>
    </form>
  )
}

function said(probability: number | undefined): string {
  return probability === undefined ? '' : `, ${percent(probability)}`
}

function Signed({ unknown, signed }: { unknown: UnknownFacts; signed: NonNullable<UnknownFacts['signed']> }) {
  const { notebook } = useParams()
  const view = useNotebook((state) => state.view)
  const now = useNow(60_000)
  const { answer, signedBy, ranked, mixtures, restsOn } = signed.body
  const probability = ranked.find(({ id }) => id === (answer.is === 'compound' ? answer.compound : null))
  return (
    <div className="columns two mt-2">
      <section>
        <h2 data-testid="verdict">
          {answer.is === 'compound'
            ? capital(answer.name)
            : answer.is === 'not on the list'
              ? 'Not on the list'
              : 'Cannot be told'}
        </h2>
        <p className="mt-2 mb-1">
          Signed by {signedBy}, {dayAndClock(signed.at, now)}
          {probability && answer.is !== 'cannot tell' ? `, at ${percent(probability.probability)}` : ''}.{' '}
          <span className="quiet">Rests on {restsOn.length} lines of this notebook.</span>
        </p>
        {isStale(view, signed) && (
          <p className="look" role="alert">
            A line it rests on has been struck since. The signed verdict stands as it was written; strike it
            and sign again.
          </p>
        )}
        <table className="lines mt-2">
          <tbody>
            {mixtures.map(({ reference, name, range, verdict }) => (
              <tr key={`${reference} ${range.onsetC}`}>
                <td>mixed with {name}</td>
                <td className="num">
                  {fixed(range.onsetC, 1)} to {fixed(range.clearC, 1)} °C
                </td>
                <td>{verdict ?? 'no verdict'}</td>
              </tr>
            ))}
          </tbody>
        </table>
        <p className="row-of mt-2">
          <Button
            variant="link"
            onClick={() => {
              strike(signed, 'to be signed again')
            }}
          >
            Strike this verdict
          </Button>
          <Link to={`/n/${notebook ?? ''}/unknowns`}>All cases</Link>
        </p>
      </section>
      <OpenAnswer unknown={unknown} isAfter={openedAfterSigning(view, unknown)} />
    </div>
  )
}
