import classNames from 'classnames'
import css from './Mixtures.module.css'
import { useState } from 'react'
import Form from 'react-bootstrap/Form'
import { Link, useParams } from 'react-router'
import type { NextMixture, Ranked } from '@ivory-crystal/core/identity'
import {
  areMixturesDone,
  disagreementOf,
  plateProposal,
  meltsOf,
  type MixtureFacts,
  type UnknownFacts,
} from '@ivory-crystal/core/notebook'
import { fixed } from '../../format/format'
import { MixedMeltForm } from '../../parts/MixedMeltForm'
import { Why } from '../../parts/Why'
import { useNotebook } from '../../ledger/notebook'
import { Outcomes } from './Outcomes'
import { percent } from './ProbabilityBar'
import { useRanking } from './useRanking'

/** Which authentic sample to grind it with, what each outcome would look like, and what the mixtures said. */
export function Mixtures({ unknown }: { unknown: UnknownFacts }) {
  const { evidence, ranking } = useRanking(unknown)
  const { notebook } = useParams()
  const home = `/n/${notebook ?? ''}`
  const view = useNotebook((state) => state.view)
  const plate = ranking?.ok ? plateProposal(view, unknown, ranking.value.ranked) : null
  const [wanted, setWanted] = useState<readonly string[] | null>(null)
  const next = ranking?.ok ? ranking.value.next : []
  const best = next[0]?.reference
  const chosen = wanted ?? (best ? [best] : [])
  const references = unknown.candidates.filter(
    ({ compound, ruledOut }) => !ruledOut && chosen.includes(compound.id),
  )
  return (
    <div className="columns two mt-2">
      <section aria-label="Next mixture">
        <h2>
          Which mixture next <Why of="nextMixture" />
        </h2>
        {!evidence.ok && <p className="mt-2">{evidence.problem.sentence}</p>}
        {evidence.ok && ranking === null && (
          <p className="mt-2" aria-busy="true">
            Comparing the mixtures …
          </p>
        )}
        {ranking?.ok && ranking.value.whyNone && <p className="mt-2">{ranking.value.whyNone}</p>}
        {plate && (
          <p className="look">
            {plate} <Link to={`${home}/plates/new?of=${unknown.id}`}>Run a plate</Link>
          </p>
        )}
        {next.length > 0 && (
          <p className="quiet mt-1">
            The most informative mixture comes first. Tick two to melt both mixtures in one run.
          </p>
        )}
        {next.map((mixture, i) => (
          <Choice
            key={mixture.reference}
            mixture={mixture}
            unknown={unknown}
            isBest={i === 0}
            mostBits={next[0]?.bits ?? mixture.bits}
            isChosen={chosen.includes(mixture.reference)}
            onChosen={(is) => {
              setWanted(
                is ? [...chosen, mixture.reference] : chosen.filter((one) => one !== mixture.reference),
              )
            }}
          />
        ))}
        {references.length > 0 && (
          <div className="mt-3">
            <h3>Grind, pack, melt</h3>
            <div className="mt-2">
              <MixedMeltForm sample={unknown.sample} references={references} />
            </div>
          </div>
        )}
      </section>
      <Results unknown={unknown} ranked={ranking?.ok ? ranking.value.ranked : []} />
    </div>
  )
}

function Choice({
  mixture,
  unknown,
  isBest,
  mostBits,
  isChosen,
  onChosen,
}: {
  mixture: NextMixture
  unknown: UnknownFacts
  /** What the best of them tells, bits. */
  mostBits: number
  isBest: boolean
  isChosen: boolean
  onChosen: (is: boolean) => void
}) {
  const name = unknown.candidates.find(({ compound }) => compound.id === mixture.reference)?.compound.name
  const isAgain = unknown.mixtures.some(
    ({ row, reference }) => row && reference.compound?.id === mixture.reference,
  )
  return (
    <div className={css.mixtureChoice}>
      <Form.Check
        id={`mix ${mixture.reference}`}
        label={
          <>
            <b>
              with {name ?? mixture.reference}
              {isAgain && ', again'}
            </b>{' '}
            <span className="quiet" title={`${fixed(mixture.bits, 2)} bits`}>
              {isBest ? 'most informative' : tellsOf(mixture.bits / mostBits)}
            </span>
          </>
        }
        checked={isChosen}
        onChange={(event) => {
          onChosen(event.target.checked)
        }}
      />
      {isChosen && <Outcomes mixture={mixture} unknown={unknown} />}
    </div>
  )
}

/** How much a mixture tells beside the best of them, in words; the number is under “why”. */
function tellsOf(share: number): string {
  if (share > 0.8) return 'almost as informative'
  return share > 0.4 ? 'less informative' : 'little use'
}

function Results({ unknown, ranked }: { unknown: UnknownFacts; ranked: readonly Ranked[] }) {
  const { notebook } = useParams()
  const view = useNotebook((state) => state.view)
  const home = `/n/${notebook ?? ''}`
  const waiting = meltsOf(view).filter(
    ({ planned, run }) =>
      (run === null || run.ended === null) &&
      planned.body.tubes.some(({ sample }) => unknown.mixtures.some((one) => one.sample.id === sample)),
  )
  return (
    <aside>
      <h2>Results of the mixtures</h2>
      {unknown.mixtures.length === 0 && (
        <p className="mt-2 quiet">
          No mixture yet. Melt unknown, authentic sample and mixture side by side, so that thermometer errors
          cancel and you can compare them.
        </p>
      )}
      {waiting.map(({ id, run }) => (
        <p key={id} className="look">
          <Link to={`${home}/melts/${id}`}>{run ? 'A mixed run is going on' : 'A mixed run is planned'}</Link>
        </p>
      ))}
      {unknown.mixtures.map((mixture) => (
        <Result key={mixture.sample.id} mixture={mixture} ranked={ranked} home={home} />
      ))}
      {unknown.mixtures.some(({ verdict }) => verdict.ok) && (
        <p className="mt-3">
          <Link
            className={classNames('btn', areMixturesDone(unknown) ? 'btn-primary' : 'btn-outline-primary')}
            to={`${home}/unknowns/${unknown.id}/sign`}
          >
            Go on to sign
          </Link>
        </p>
      )}
    </aside>
  )
}

const HEAD = { same: 'The same compound', different: 'A different compound', repeat: 'Repeat it' } as const

function Result({
  mixture,
  ranked,
  home,
}: {
  mixture: MixtureFacts
  ranked: readonly Ranked[]
  home: string
}) {
  const { sample, verdict, reference, by, massFractionOfSample, row } = mixture
  const chance = ranked.find(({ id }) => id === reference.compound?.id)?.probability
  const disagreement = disagreementOf(mixture, ranked)
  return (
    <div className={css.mixtureResult}>
      <h3>{sample.label}</h3>
      <p className="quiet mb-1">
        {fixed(100 * massFractionOfSample, 0)} % unknown by {by}
        {row ? (
          <>
            {' '}
            · <Link to={`${home}/melts/${row.melt}`}>its run</Link>
          </>
        ) : (
          ''
        )}
      </p>
      {verdict.ok ? (
        <p className="mb-0">
          <b data-testid={`mixed with ${reference.compound?.name ?? ''}`}>{HEAD[verdict.value.verdict]}.</b>{' '}
          {verdict.value.because}
          {chance !== undefined &&
            ` With all the evidence, the probability of ${reference.compound?.name ?? ''} is ${percent(chance)}.`}
        </p>
      ) : (
        <p className="mb-0">{verdict.problem.sentence}</p>
      )}
      {disagreement && <p className="look">{disagreement}</p>}
    </div>
  )
}
