import { checkLines, comesTo, useTyped, wrong } from '../../parts/useTyped'
import { SaidWrong } from '../../parts/InlineField'
import {
  type CaseForRanking,
  caseLogOf,
  doubtsBeforeSigning,
  isStale,
  type Line,
  openedAfterSigning,
  type Ranked,
  type Result,
  signCase,
  type UnknownFacts,
} from '@ivory-crystal/core'
import css from './SignCase.module.css'
import { useHouseRules } from '../../parts/useHouseRules'
import Button from 'react-bootstrap/Button'
import Form from 'react-bootstrap/Form'
import { Link, useParams } from 'react-router'
import { capital, dayAndClock, fixed } from '../../format/format'
import { LogList } from '../../parts/LogList'
import { PrintButton } from '../../parts/PrintButton'
import { RestsNoMore } from '../../parts/RestsNoMore'
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
  const rules = useHouseRules()
  const form = useTyped<
    { chosen: string | null; name: string },
    { readonly line: Line; readonly name: string }
  >({
    start: {
      // Nothing is chosen beforehand: a verdict is somebody’s own.
      chosen: null,
      name: author(),
    },
    make({ chosen, name }) {
      if (!evidence.ok) return wrong(evidence.problem.sentence)
      if (chosen === null) return wrong('Choose what it is, or that it cannot be told.', 'chosen')
      const signedBy = name.trim() || author()
      return comesTo({
        line: signCase(view, unknown, evidence.value, { chosen, ranked, signedBy, rules }),
        name: signedBy,
      })
    },
    check: ({ line }) => checkLines([line]),
    keep({ line, name }) {
      setAuthor(name)
      write(line)
    },
  })
  const { chosen, name } = form.typed
  const standing = unknown.candidates.filter(({ ruledOut }) => !ruledOut).map(({ compound }) => compound)
  const doubts = chosen ? doubtsBeforeSigning(view, unknown, chosen, ranked) : []
  const chance = (id: string | null) => ranked.find((one) => one.id === id)?.probability
  return (
    <form className="columns two mt-2" aria-label="Sign the case" onSubmit={form.onSubmit}>
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
              form.set({ chosen: compound.id })
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
              form.set({ chosen: one })
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
        <SignedBy name={name} isReady={chosen !== null && evidence.ok} onName={form.of('name').onChange}>
          Keeps the ranges, mixtures, probabilities and house rules it rests on.
          {unknown.sealed ? ' After signing, the sealed answer can be opened.' : ''}
        </SignedBy>
        <SaidWrong sentence={form.said} />
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
    <>
      <div className="columns two mt-2">
        <section>
          {isStale(view, signed) && (
            <RestsNoMore
              onAgain={() => {
                strike(signed, 'to be signed again')
              }}
            />
          )}
          <h2 data-testid="verdict">
            {answer.is === 'compound'
              ? capital(answer.name)
              : answer.is === 'not on the list'
                ? 'Not on the list'
                : 'Cannot be told'}
          </h2>
          <p className="mt-2 mb-1">
            Signed by {signedBy}, {dayAndClock(signed.at, now)}
            {probability && answer.is !== 'cannot tell'
              ? `, at ${percent(probability.probability)}`
              : ''}. <span className="quiet">Rests on {restsOn.length} lines of this notebook.</span>
          </p>
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
          <p className="row-of mt-2 no-print">
            <Button
              variant="link"
              onClick={() => {
                strike(signed, 'to be signed again')
              }}
            >
              Strike this verdict
            </Button>
            <PrintButton>Print this case</PrintButton>
            <Link to={`/n/${notebook ?? ''}/unknowns`}>All cases</Link>
          </p>
        </section>
        <OpenAnswer unknown={unknown} isAfter={openedAfterSigning(view, unknown)} />
      </div>
      <table className="lines mt-3">
        <thead>
          <tr>
            <th>candidate, when it was signed</th>
            <th className="num">literature, °C</th>
            <th className="num">chance</th>
            <th />
          </tr>
        </thead>
        <tbody>
          {unknown.candidates.map(({ compound, ruledOut }) => (
            <tr key={compound.id}>
              <td>{compound.name}</td>
              <td className="num">
                {fixed(compound.meltLowC, 1)} to {fixed(compound.meltHighC, 1)}
              </td>
              <td className="num">
                {percent(ranked.find(({ id }) => id === compound.id)?.probability ?? 0)}
              </td>
              <td className="quiet">{ruledOut ? 'ruled out' : ''}</td>
            </tr>
          ))}
        </tbody>
      </table>
      <hr className="rule" />
      <LogList lines={caseLogOf(view, unknown.id)} />
    </>
  )
}
