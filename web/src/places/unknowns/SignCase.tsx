import { checkLines, useTyped } from '../../parts/useTyped'
import { FieldError } from '../../parts/InlineField'
import type { Ranked } from '@ivory-crystal/core/identity'
import {
  type CaseForRanking,
  caseLogOf,
  doubtsBeforeSigning,
  isStale,
  type Line,
  signCase,
  type UnknownFacts,
} from '@ivory-crystal/core/notebook'
import { type Result, ok, refuse } from '@ivory-crystal/core/problems'
import css from './SignCase.module.css'
import { useHouseRules } from '../../parts/useHouseRules'
import Button from 'react-bootstrap/Button'
import Form from 'react-bootstrap/Form'
import { Link, useParams } from 'react-router'
import { capital } from '../../format/format'
import { LogList } from '../../parts/LogList'
import { PdfMenu } from '../../paper/PdfMenu'
import { PrintButton } from '../../parts/PrintButton'
import { OutdatedVerdict } from '../../parts/OutdatedVerdict'
import { SignedBy } from '../../parts/SignedBy'
import { author, setAuthor } from '../../ledger/writer'
import { strike, useNotebook, write } from '../../ledger/notebook'
import { CaseSheet } from './CaseSheet'
import { type SignedVerdict, SignedVerdictPart } from './SignedVerdictPart'
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
      if (!evidence.ok) return refuse(evidence.problem.sentence)
      if (chosen === null) return refuse('Choose a compound, or that it cannot be decided.', 'chosen')
      const signedBy = name.trim() || author()
      return ok({
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
  // The likeliest first, as the list of candidates has it.
  const chanceOf = (id: string) => ranked.find((one) => one.id === id)?.probability ?? -1
  const standing = unknown.candidates
    .filter(({ ruledOut }) => !ruledOut)
    .map(({ compound }) => compound)
    .sort((p, q) => chanceOf(q.id) - chanceOf(p.id))
  const doubts = chosen ? doubtsBeforeSigning(view, unknown, chosen, ranked) : []
  const chance = (id: string | null) => ranked.find((one) => one.id === id)?.probability
  return (
    <form className="columns two mt-2" aria-label="Sign the case" onSubmit={form.onSubmit}>
      <fieldset>
        <legend>
          <h2>What is it?</h2>
        </legend>
        {standing.map((compound) => (
          <Form.Check
            key={compound.id}
            className={css.answer}
            type="radio"
            name="answer"
            id={`answer ${compound.id}`}
            label={`${capital(compound.name)}${verdictText(chance(compound.id))}`}
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
                ? `Not on the list${verdictText(chance(null))}`
                : 'Cannot be decided from the measurements'
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
          The verdict keeps the ranges, mixtures, probabilities and house rules it is based on.
          {unknown.sealed ? ' After signing, the sealed answer can be opened.' : ''}
        </SignedBy>
        <FieldError sentence={form.message} />
      </aside>
    </form>
  )
}

function verdictText(probability: number | undefined): string {
  return probability === undefined ? '' : `, ${percent(probability)}`
}

function Signed({ unknown, signed }: { unknown: UnknownFacts; signed: SignedVerdict }) {
  const { notebook } = useParams()
  const view = useNotebook((state) => state.view)
  return (
    <>
      {isStale(view, signed) && (
        <OutdatedVerdict
          onAgain={() => {
            strike(signed, 'to be signed again')
          }}
        />
      )}
      <SignedVerdictPart unknown={unknown} signed={signed}>
        <div className="row-of mt-2 no-print align-items-center">
          <Button
            variant="link"
            onClick={() => {
              strike(signed, 'to be signed again')
            }}
          >
            Strike out this verdict
          </Button>
          <PdfMenu
            title={`Unknown ${unknown.opened.body.code}`}
            author={signed.body.signedBy}
            id={unknown.id}
            sheet={(layout) => <CaseSheet unknown={unknown} signed={signed} layout={layout} />}
          />
          <PrintButton>Print this case</PrintButton>
          <Link to={`/n/${notebook ?? ''}/unknowns`}>All cases</Link>
        </div>
      </SignedVerdictPart>
      <hr className="rule" />
      <LogList lines={caseLogOf(view, unknown.id)} />
    </>
  )
}
