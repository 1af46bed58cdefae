import { Term } from '../../../parts/Term'
import { useLines } from '../../../parts/useTyped'
import { ok } from '@ivory-crystal/core/problems'
import { Refusal } from '../../../parts/InlineField'
import {
  type Account as AccountFacts,
  accountOf,
  lossesOf,
  nameSample,
  odditiesOf,
  ownWordsOf,
  type PrepFacts,
  sampleOf,
  type SampleRole,
  putAsideOf,
  stepThat,
  type PlanFixed,
  splitInText,
} from '@ivory-crystal/core/notebook'
import { crudeInText, residueAdvice, solventsOf } from '@ivory-crystal/core/procedures'
import Button from 'react-bootstrap/Button'
import Form from 'react-bootstrap/Form'
import { Link } from 'react-router'
import { capital, fixed, withUncertainty } from '../../../format/format'
import { Figure } from '../../../parts/Figure'
import { Why } from '../../../parts/Why'
import { MassBalance } from '../../../drawings/MassBalance'
import { newSubject, useNotebook, write } from '../../../ledger/notebook'
import { LiquorPanel } from '../bench/LiquorPanel'
import { useHere } from '../useHere'
import { Oddities } from './Oddities'
import { ReactionForm } from './ReactionForm'
import { SampleMass } from './SampleMass'

/** Every gram from crude to crystals: drawn, summed, and explained from this prep's own entries. */
export function Account({ prep }: { prep: PrepFacts }) {
  const { base } = useHere()
  const view = useNotebook((state) => state.view)
  const account = accountOf(view, prep.id)
  if (!account.ok)
    return (
      <div className="columns two">
        <div>
          <h2>Nothing to account for yet</h2>
          <p className="mt-2">
            {account.problem.sentence} The account follows from the weighings.{' '}
            <Link to={`${base}/weigh`}>Weigh it</Link>
          </p>
        </div>
        <aside>
          <ReactionForm prep={prep} />
        </aside>
      </div>
    )
  const { value } = account
  return (
    <div className="columns two">
      <div className="stack">
        <section>
          <h2>
            Mass balance <Why of="account" />
          </h2>
          <MassBalance crudeG={value.crude.value} rows={value.rows} />
        </section>
        <Oddities oddities={odditiesOf(view, prep.id)} />
        <WhyLess prep={prep} />
      </div>
      <aside className="stack">
        <Sums account={value} prep={prep} />
        <LaterSample prep={prep} role="residue" offer="The liquor, evaporated" what="the residue" />
        <LaterSample prep={prep} role="second crop" offer="A second crop" what="the second crop" />
        <LaterSample prep={prep} role="grit" offer="The grit" what="the grit" />
        {stepThat(prep, 'liquor kept')?.isTicked && <LiquorPanel prep={prep} />}
        <ReactionForm prep={prep} />
      </aside>
    </div>
  )
}

function Sums({ account, prep }: { account: AccountFacts; prep: PrepFacts }) {
  const product = prep.opened.body.compound.name
  const plan = prep.plan?.body
  const putAside = putAsideOf(prep)
  return (
    <section>
      <h2>Recovery and yield</h2>
      <dl className="figures mt-2">
        <Figure
          name={
            <>
              <Term of="recovery">Percent recovery</Term>, of the crude
            </>
          }
          why={`all crops, divided by the crude ${asideWords(putAside)}`}
        >
          {withUncertainty(account.ofCrude)} %
        </Figure>
        {account.ofProduct && plan && (
          <Figure
            name={`Percent recovery, of the ${product}`}
            why={`divided by the estimated ${fixed(100 * plan.input.assay, 0)} % ${product} in the crude; ± is that of the weighing only`}
          >
            {withUncertainty(account.ofProduct)} %
          </Figure>
        )}
        {account.yield && (
          <Figure
            name={
              <>
                <Term of="yield">Percent yield</Term>, of the reaction <Why of="yield" />
              </>
            }
            why={`divided by ${fixed(account.yield.theoreticalG, 3)} g, the most from ${account.yield.from}${
              putAside ? '; the crude kept back is not included' : ''
            }`}
          >
            {fixed(account.yield.percent, 1)} %
          </Figure>
        )}
        <Figure
          name={<Term of="closure">Accounted for by weighing</Term>}
          why={
            account.closurePercent === null
              ? 'the mother liquor has not been evaporated and weighed, so the mass balance stays open'
              : `crystals, later crops, residue and grit, divided by the crude ${asideWords(putAside)}`
          }
        >
          {account.closurePercent === null ? 'open' : `${fixed(account.closurePercent, 1)} %`}
        </Figure>
        {account.residue && (
          <Figure
            name="The residue is impurity and product"
            why={`${account.residue.basis}; it is never only impurity.${account.residue.remark ? ` ${account.residue.remark}` : ''}`}
          >
            about {splitInText(account.residue).impurity} and {splitInText(account.residue).product} g
          </Figure>
        )}
      </dl>
    </section>
  )
}

/** What of the crude a share is of. */
function asideWords(plan: PlanFixed | null): string {
  return plan && plan.keptBackG > 0 ? `that went in, ${crudeInText(plan)} g` : 'as weighed'
}

const HOW: Partial<Record<SampleRole, string>> = {
  'second crop':
    'Evaporate some of the mother liquor in the hood, an ether never toward dryness. Chill, collect, dry and weigh it separately.',
  grit: 'What you filtered off hot, dried and weighed.',
}

function LaterSample({
  prep,
  role,
  offer,
  what,
}: {
  prep: PrepFacts
  role: 'residue' | 'second crop' | 'grit'
  offer: string
  what: string
}) {
  const sample = sampleOf(prep, role)
  const plan = prep.plan?.body
  const advice = role === 'residue' && plan ? residueAdvice(solventsOf(plan)) : null
  if (!sample && advice?.never) return <p className="caution mb-0">{capital(advice.never)}</p>
  if (sample)
    return (
      <>
        <SampleMass sample={sample} what={what} heading={offer} />
        {!sample.weighing && <p className="quiet mb-0">{advice?.how ?? HOW[role]}</p>}
      </>
    )
  return (
    <div className="row-of align-items-center">
      <Button
        variant="outline-primary"
        size="sm"
        onClick={() => {
          const label = `${capital(what.replace('the ', ''))} of ${prep.opened.body.compound.name}`
          write(nameSample(newSubject, prep.id, role, label))
        }}
      >
        Weigh {what}
      </Button>
      <span className="quiet">{offer}</span>
    </div>
  )
}

/** Why less than 100 %: from the numbers, and in the student's own words. */
function WhyLess({ prep }: { prep: PrepFacts }) {
  const view = useNotebook((state) => state.view)
  const words = ownWordsOf(view, prep.id)
  const form = useLines<{ text: string | null }>({
    start: { text: null },
    make: ({ text }) => ok([{ kind: 'explained', subject: prep.id, body: { text: (text ?? words).trim() } }]),
  })
  const shown = form.typed.text ?? words
  return (
    <section aria-label="Why less than 100 %">
      <h2>Why less than 100 %</h2>
      {lossesOf(view, prep).map((line) => (
        <p key={line} className="mt-1 mb-1">
          {line}
        </p>
      ))}
      <form className="mt-2" aria-label="In your own words" onSubmit={form.onSubmit}>
        <Form.Label htmlFor="own-words">in your own words, for the page</Form.Label>
        <Form.Control
          as="textarea"
          id="own-words"
          rows={3}
          maxLength={2000}
          value={shown}
          onChange={(event) => {
            form.set({ text: event.target.value })
          }}
        />
        <Button
          type="submit"
          size="sm"
          variant="outline-primary"
          className="mt-2"
          disabled={shown.trim() === '' || shown.trim() === words}
        >
          Write it down
        </Button>
        <Refusal sentence={form.message} />
      </form>
    </section>
  )
}
