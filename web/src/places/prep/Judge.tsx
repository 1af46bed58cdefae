import css from './Judge.module.css'
import {
  type Action,
  beginPrep,
  type Compound,
  type Entry,
  isStale,
  type Judgement,
  judgementOf,
  phaseMapOf,
  platesOf,
  type PrepFacts,
  samplesNamed,
  signVerdict,
} from '@ivory-crystal/core'
import { useState } from 'react'
import Button from 'react-bootstrap/Button'
import { Link, useNavigate } from 'react-router'
import { capital, dayAndClock, fixed } from '../../format/format'
import { CompoundField, compoundNamed } from '../../parts/CompoundField'
import { ladderRows } from '../../parts/ladderRows'
import { MixedMeltForm } from '../../parts/MixedMeltForm'
import { PrepLadder } from '../../parts/PrepLadder'
import { SignedBy } from '../../parts/SignedBy'
import { WhereItSits } from '../../parts/WhereItSits'
import { Why } from '../../parts/Why'
import { author, setAuthor } from '../../ledger/writer'
import { newSubject, strike, useNotebook, write } from '../../ledger/notebook'
import { useNow } from '../../app/now'
import { RepeatsTable } from '../melt/RepeatsTable'
import type { StationProps } from './station'
import { useHere } from './useHere'

/** What the range says about purity, why, where it sits on the phase map, and what to do next. */
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
        <SecondOpinions prep={prep} />
      </>
    )
  const { judgement } = judged.value
  const { name } = prep.opened.body.compound
  return (
    <>
      <PrepLadder prep={prep} />
      <RepeatsTable rows={judged.value.rows} />
      <hr className="rule" />
      <div className="columns judge">
        <section>
          <h2>
            {headline(judgement.verdict, name)} <Why of="judgeRange" />
          </h2>
          <p className="quiet mt-1 mb-0">{subline(judgement)}</p>
          <Findings judgement={judgement} />
          <Next prep={prep} judgement={judgement} />
          {prep.verdict ? (
            <Signed verdict={prep.verdict} />
          ) : (
            <Sign
              onSign={(signedBy) => {
                write(signVerdict(prep, judged.value, signedBy))
              }}
            />
          )}
          {prep.verdict && (
            <Link className="btn btn-primary mt-2" to={`${base}/page`}>
              Go on to the page
            </Link>
          )}
          <SecondOpinions prep={prep} />
        </section>
        <Where prep={prep} judgement={judgement} />
      </div>
    </>
  )
}

function subline({ verdict, actions }: Judgement): string {
  if (verdict === 'cannot tell')
    return `That is an answer. One measurement would settle it: ${(actions[0]?.sentence ?? '').replace(/^./, (first) => first.toLowerCase())}`
  return 'A range is evidence and never proof, and two like ranges side by side are not identity: only a mixed melt speaks for that.'
}

/** What to do next, what tells most first; each with its minutes, and the way there. */
function Next({ prep, judgement }: { prep: PrepFacts; judgement: Judgement }) {
  const { base, home } = useHere()
  const [mixing, setMixing] = useState(false)
  const view = useNotebook((state) => state.view)
  const product = prep.samples.find(({ role }) => role === 'product')
  const { compound } = prep.opened.body
  const authentic =
    samplesNamed(view).find((one) => one.role === 'authentic' && one.compound?.id === compound.id) ?? null
  const way = (action: Action) => {
    switch (action.code) {
      case 'mixed-melt':
      case 'repeat-mixed-melt':
      case 'melt-beside-authentic':
        return (
          product && (
            <Button
              size="sm"
              variant="outline-primary"
              onClick={() => {
                setMixing(true)
              }}
            >
              Make a mixed melt
            </Button>
          )
        )
      case 'recrystallize':
      case 'hot-filter':
        return <AgainFrom prep={prep} />
      case 'repeat-slower':
      case 'repeat-with-less':
      case 'repeat':
      case 'dry-and-repeat':
      case 'new-tube-fast-start':
        return <Link to={`${base}/melt`}>Plan it</Link>
      case 'calibrate':
        return <Link to={`${home}/instruments`}>To the instruments</Link>
      case 'plate':
        return <Link to={`${home}/plates/new?of=${prep.id}`}>Run a plate</Link>
      case 'find-what-it-is':
        return <Link to={`${home}/unknowns`}>To the unknowns</Link>
      default:
        return null
    }
  }
  return (
    <>
      <h3>What to do next</h3>
      <ol className={css.nextSteps}>
        {judgement.actions
          .filter(({ code }) => code !== 'sign')
          .map((action) => (
            <li key={action.code}>
              <span>
                {action.sentence}
                {action.minutes !== undefined && <span className="quiet"> About {action.minutes} min.</span>}
              </span>
              {way(action)}
            </li>
          ))}
      </ol>
      {mixing && product && (
        <div className="mb-3">
          <MixedMeltForm sample={product} references={[{ compound, authentic }]} />
        </div>
      )}
    </>
  )
}

/** A new prep of the same compound from this product, its plan begun with what the range says of it. */
function AgainFrom({ prep }: { prep: PrepFacts }) {
  const go = useNavigate()
  const { home } = useHere()
  const view = useNotebook((state) => state.view)
  const map = phaseMapOf(view, prep, null)
  const placed = map.placed.find(({ role }) => role === 'product')
  return (
    <Button
      size="sm"
      variant="outline-primary"
      onClick={() => {
        const { compound, title } = prep.opened.body
        const { id, lines } = beginPrep(newSubject, { title: `${title}, again`, compound })
        write(...lines)
        const known = new URLSearchParams({
          ...(placed ? { assay: fixed(100 * placed.massFractionA, 1) } : {}),
          ...(map.isAssumed ? {} : { impurity: map.impurity.name }),
        })
        void go(`${home}/preps/${id}/plan?${known.toString()}`)
      }}
    >
      Plan it{placed ? `, from ${fixed(100 * placed.massFractionA, 0)} %` : ''}
    </Button>
  )
}

/** The ranges on the phase map of product and impurity. */
function Where({ prep, judgement }: { prep: PrepFacts; judgement: Judgement }) {
  const view = useNotebook((state) => state.view)
  const shelf = useNotebook((state) => state.shelf)
  const [typed, setTyped] = useState('')
  const tried: Compound | null = compoundNamed(shelf, typed)
  const isSame = tried?.id === prep.opened.body.compound.id
  const map = phaseMapOf(view, prep, isSame ? null : tried)
  const { compound } = prep.opened.body
  return (
    <aside aria-label="Where it sits">
      <h2>
        Where it sits <Why of="phase-map" />
      </h2>
      <div className="mt-2">
        <WhereItSits
          key={map.impurity.name}
          a={map.product}
          b={map.impurity}
          path
          points={map.placed.map(({ role, moleFractionA, between, slow }) => ({
            key: role,
            label: `${role}, ${aboutPercent(moleFractionA, role === 'product' ? judgement : null)}`,
            moleFractionA,
            between,
            range: slow,
            tone: role,
          }))}
          rows={ladderRows(view, prep.id)
            .filter(({ tone, onset, clear }) => tone !== 'other' && onset !== null && clear !== null)
            .map((row) => ({ ...row, signs: [] }))}
          literature={{ lowC: compound.meltLowC, highC: compound.meltHighC }}
        />
      </div>
      {map.unplaced.map((row) => (
        <p key={row.label} className="look">
          {row.label} clears below the eutectic of the two: it cannot be this pair alone.
        </p>
      ))}
      {map.placed.map(({ role, doubt }) =>
        doubt ? (
          <p key={role} className="look">
            {capital(role)}: {doubt}
          </p>
        ) : null,
      )}
      <div className="mt-2">
        <CompoundField
          label={map.isAssumed ? 'which impurity? (none is named in the plan)' : 'try another impurity'}
          value={typed}
          help={
            map.isAssumed
              ? `Drawn with an assumed one: as heavy as ${compound.name}, melting 20 °C higher (${fixed(map.impurity.fusion.meltingPointC, 0)} °C), Walden’s enthalpy. The composition read off ${compound.name}’s own line does not depend on it; the eutectic does.`
              : isSame
                ? 'That is the product itself.'
                : 'any compound of the shelf'
          }
          onChange={setTyped}
        />
      </div>
    </aside>
  )
}

/** Where the judging gives only a bound, the bound is said. */
function aboutPercent(moleFractionA: number, judgement: Judgement | null): string {
  const most = judgement?.findings.find(({ code }) => code === 'impurity-at-most')?.numbers['molPercent']
  return most === undefined
    ? `about ${fixed(100 * (1 - moleFractionA), 0)} %`
    : `at most ${Math.max(1, Math.ceil(most))} %`
}

/** Thin-layer plates run for this prep. */
function SecondOpinions({ prep }: { prep: PrepFacts }) {
  const { home } = useHere()
  const view = useNotebook((state) => state.view)
  const plates = platesOf(view, prep.id)
  if (plates.length === 0) return null
  return (
    <section className="mt-3">
      <h3>Second opinion</h3>
      {plates.map(({ id, developed, opinion }) => (
        <p key={id} className="mt-1 mb-0">
          <Link to={`${home}/plates/${id}`}>Plate in {developed.body.eluent}</Link>:{' '}
          {opinion.ok ? (opinion.value?.sentence ?? 'no sample lane to read') : opinion.problem.sentence}
        </p>
      ))}
    </section>
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
    <dl className={css.findings}>
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
      <SignedBy name={name} onName={setName}>
        Keeps the readings, literature values and house rules it rests on.
      </SignedBy>
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
