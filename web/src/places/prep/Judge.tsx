import css from './Judge.module.css'
import type { Action, Judgement, Cause } from '@ivory-crystal/core/judging'
import {
  beginPrep,
  isStale,
  judgementOf,
  meltsOf,
  phaseMapOf,
  platesOf,
  type PrepFacts,
  samplesNamed,
  signVerdict,
} from '@ivory-crystal/core/notebook'
import { useState } from 'react'
import Button from 'react-bootstrap/Button'
import { Link, useNavigate } from 'react-router'
import { fixed } from '../../format/format'
import { MixedMeltForm } from '../../parts/MixedMeltForm'
import { PrepLadder } from '../../parts/PrepLadder'
import { OutdatedVerdict } from '../../parts/OutdatedVerdict'
import { SwappedMarks } from '../../parts/SwappedMarks'
import { Why } from '../../parts/Why'
import { newSubject, strike, useNotebook, write } from '../../ledger/notebook'
import { RepeatsTable } from '../melt/RepeatsTable'
import type { StationProps } from './station'
import { useHere } from './useHere'
import { Budget } from '../../drawings/Budget'
import { Findings, headline, isMeasured, notChecked } from './Findings'
import { Sign, Signed } from './Sign'
import { Where } from './Where'

/** What the range says about purity, why, where it sits on the phase map, and what to do next. */
export function Judge({ prep }: StationProps) {
  const { base } = useHere()
  const view = useNotebook((state) => state.view)
  const judged = judgementOf(view, prep.id)
  const melts = meltsOf(view, prep.id)
  const [lit, setLit] = useState<readonly Cause[]>([])
  const { verdict } = prep
  const restsNoMore = verdict && isStale(view, verdict) && (
    <OutdatedVerdict
      onAgain={() => {
        strike(verdict, 'to be signed again')
      }}
    />
  )
  if (!judged.ok)
    return (
      <>
        {restsNoMore}
        <PrepLadder prep={prep} />
        <SwappedMarks melts={melts} />
        <h2 className="mt-3">Nothing to judge yet</h2>
        <p className="mt-2">
          {judged.problem.sentence} <Link to={`${base}/melt`}>Go to Melt</Link>
        </p>
        <SecondOpinions prep={prep} />
      </>
    )
  const { judgement, conventions } = judged.value
  const { name } = prep.opened.body.compound
  return (
    <>
      {restsNoMore}
      <PrepLadder prep={prep} />
      <SwappedMarks melts={melts} />
      <RepeatsTable rows={judged.value.rows} />
      <hr className="rule" />
      <h2>
        {headline(judgement, name)} <Why of="judgeRange" />
      </h2>
      <p className="quiet mt-1 mb-0">{subline(judgement)}</p>
      {isMeasured(judgement) && <Budget judgement={judgement} rules={conventions} lit={lit} />}
      <div className="columns judge">
        <section>
          <Findings judgement={judgement} />
          <Next prep={prep} judgement={judgement} onLight={setLit} />
          {prep.verdict ? (
            <>
              <Signed verdict={prep.verdict} />
              {!restsNoMore && prep.verdict.body.judgement.verdict !== judgement.verdict && (
                <p className="look" role="alert">
                  What was measured since gives “{judgement.verdict}”. Strike out the signature and sign
                  again, or explain on the page why it is still right.
                </p>
              )}
            </>
          ) : (
            <>
              <p className="quiet mt-2 mb-1">{notChecked(judgement)}</p>
              <Sign
                onSign={(signedBy) => {
                  write(signVerdict(prep, judged.value, signedBy))
                }}
              />
            </>
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

function subline({ verdict, actions: [first] }: Judgement): string {
  const next = (first?.sentence ?? '').replace(/^./, (letter) => letter.toLowerCase())
  if (verdict === 'cannot tell') return `“Cannot tell” is a result. One measurement would decide it: ${next}`
  if (first && first.code !== 'sign') return `Next: ${next}`
  return 'A melting range is evidence and never proof. Two equal ranges side by side do not prove identity: only a mixed melt does.'
}

/** What to do next, most informative first; each with its minutes, and the way there. */
function Next({
  prep,
  judgement,
  onLight,
}: {
  prep: PrepFacts
  judgement: Judgement
  /** The rows of the budget the step under the hand would take away. */
  onLight: (causes: readonly Cause[]) => void
}) {
  const { base, home } = useHere()
  const [mixing, setMixing] = useState(false)
  const view = useNotebook((state) => state.view)
  const product = prep.samples.find(({ role }) => role === 'product')
  const { compound } = prep.opened.body
  const authentic =
    samplesNamed(view).find((one) => one.role === 'authentic' && one.compound?.id === compound.id) ?? null
  const way = (action: Action) => {
    switch (action.code) {
      case 'mixed melt':
      case 'grind again and repeat the mixture':
      case 'melt beside authentic':
        return (
          product && (
            <Button
              size="sm"
              variant="outline-primary"
              onClick={() => {
                setMixing(true)
              }}
            >
              {action.code === 'melt beside authentic' ? 'Pack them side by side' : 'Make a mixed melt'}
            </Button>
          )
        )
      case 'recrystallize':
      case 'recrystallize from another solvent':
      case 'hot filter':
        return <AgainFrom prep={prep} />
      case 'repeat slower':
      case 'repeat with less, finer':
      case 'repeat as it was':
      case 'dry and repeat':
      case 'new tube, put in late':
        return <Link to={`${base}/melt`}>Plan it</Link>
      case 'check the thermometer':
        return <Link to={`${home}/instruments`}>To the instruments</Link>
      case 'thin-layer plate':
        return <Link to={`${home}/plates/new?of=${prep.id}`}>Run a plate</Link>
      case 'find out what it is':
        return <Link to={`${home}/unknowns`}>To the unknowns</Link>
      default:
        return null
    }
  }
  const dark = () => {
    onLight([])
  }
  return (
    <>
      {judgement.actions.some(({ code }) => code !== 'sign') && <h3>What to do next</h3>}
      <ol className={css.nextSteps}>
        {judgement.actions
          .filter(({ code }) => code !== 'sign')
          .map((action) => (
            <li
              key={action.code}
              onMouseEnter={() => {
                onLight(action.removes)
              }}
              onMouseLeave={dark}
              onFocus={() => {
                onLight(action.removes)
              }}
              onBlur={dark}
            >
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
