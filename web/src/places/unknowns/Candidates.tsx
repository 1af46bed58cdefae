import { Term } from '../../parts/Term'
import css from './Candidates.module.css'
import classNames from 'classnames'
import { useState } from 'react'
import Button from 'react-bootstrap/Button'
import { Link, useParams } from 'react-router'
import { type Ranked, whyHere } from '@ivory-crystal/core/identity'
import {
  authenticAtHand,
  type CandidateFacts,
  type CaseForRanking,
  comparedAs,
  type UnknownFacts,
} from '@ivory-crystal/core/notebook'
import { hazardLine } from '@ivory-crystal/core/substances'
import { fixed } from '../../format/format'
import { ReasonForm } from '../../parts/ReasonForm'
import { Why } from '../../parts/Why'
import { newSubject, strike, write } from '../../ledger/notebook'
import { ListCandidates } from './ListCandidates'
import { ProbabilityBar } from './ProbabilityBar'
import { useRanking } from './useRanking'

/** What it could be, how likely each is and why; each may be struck out by hand for how it looks. */
export function Candidates({ unknown }: { unknown: UnknownFacts }) {
  const { notebook } = useParams()
  const { evidence, ranking } = useRanking(unknown)
  const ranked = ranking?.ok ? ranking.value.ranked : null
  const chance = (id: string | null) => ranked?.find((one) => one.id === id)?.probability ?? null
  const why = evidence.ok ? sentences(evidence.value, unknown) : new Map<string, string>()
  const sorted = [...unknown.candidates].sort((p, q) => order(p, ranked) - order(q, ranked))
  return (
    <div className="columns two mt-2">
      <section aria-label="Candidates">
        <h2>
          Candidates <Why of="rankCandidates" />
        </h2>
        <p className="quiet mt-1" role="status">
          {status(evidence, ranking === null, unknown)}
        </p>
        {sorted.map((candidate) => (
          <Row
            key={candidate.compound.id}
            candidate={candidate}
            unknown={unknown}
            probability={chance(candidate.compound.id)}
            why={why.get(candidate.compound.id) ?? null}
          />
        ))}
        {ranked && (
          <div className={css.candidate}>
            <div>
              <b>Not on the list</b>
              <p className="mb-0 quiet">Some other compound that melts here.</p>
            </div>
            <ProbabilityBar probability={chance(null)} name="Not on the list" />
          </div>
        )}
        {evidence.ok && (
          <p className="mt-3">
            <Link className="btn btn-primary" to={`/n/${notebook ?? ''}/unknowns/${unknown.id}/mixtures`}>
              Choose a mixture
            </Link>
          </p>
        )}
      </section>
      <ListCandidates unknown={unknown} />
    </div>
  )
}

function order({ compound, ruledOut }: CandidateFacts, ranked: readonly Ranked[] | null): number {
  if (ruledOut) return 2
  return -(ranked?.find(({ id }) => id === compound.id)?.probability ?? -1)
}

function sentences(
  { input }: CaseForRanking,
  { candidates, mixtures }: UnknownFacts,
): ReadonlyMap<string, string> {
  const names = new Map(
    [
      ...candidates.map(({ compound }) => compound),
      ...mixtures.flatMap(({ reference }) => reference.compound ?? []),
    ].map(({ id, name }) => [id, name]),
  )
  return new Map(whyHere(input, (id) => names.get(id) ?? id).map(({ id, sentence }) => [id, sentence]))
}

function status(
  evidence: ReturnType<typeof useRanking>['evidence'],
  isBusy: boolean,
  unknown: UnknownFacts,
): string {
  if (!evidence.ok) return evidence.problem.sentence
  if (isBusy) return 'Weighing the evidence …'
  const { isRough, estimated, otherReferences } = evidence.value
  const melted = unknown.mixtures.filter(({ row }) => row).length
  if (unknown.candidates.every(({ ruledOut }) => ruledOut))
    return 'Every candidate has been ruled out: only “not on the list” is left. Take one back if that was a mistake.'
  const messages = [
    isRough ? 'Rough: from the scouting run only.' : 'From the careful range',
    melted > 0
      ? `and ${melted === 1 ? 'one mixed melt' : `${melted} mixed melts`}.`
      : isRough
        ? ''
        : 'and no mixed melt yet. A range alone hardly separates compounds that melt at similar temperatures.',
    estimated.length > 0 ? `Fusion enthalpy of ${estimated.join(', ')} estimated (Walden’s rule).` : '',
    otherReferences.length > 0
      ? `A mixture was made with ${otherReferences.join(', ')}, which is not a candidate. It counts anyway.`
      : '',
    ...[unknown.careful ?? unknown.scouting].flatMap((row) => (row ? [comparedAs(row)] : [])),
  ]
  return messages.filter((one) => one !== '').join(' ')
}

function Row({
  candidate: { compound, ruledOut, authentic },
  unknown,
  probability,
  why,
}: {
  candidate: CandidateFacts
  unknown: UnknownFacts
  probability: number | null
  why: string | null
}) {
  const [striking, setStriking] = useState(false)
  return (
    <div className={ruledOut ? classNames(css.candidate, css.out) : css.candidate}>
      <div>
        <b>{compound.name}</b>{' '}
        <span className="quiet">
          {fixed(compound.meltLowC, 1)} to {fixed(compound.meltHighC, 1)} °C ·{' '}
          {compound.colour || 'colour not known'}
        </span>
        {why && !ruledOut && <p className="mb-0">{why}</p>}
        <p className="quiet mb-0">{hazardLine(compound.hazards)}</p>
        {ruledOut ? (
          <p className="mb-0">
            Ruled out: {ruledOut.body.reason}{' '}
            <Button
              size="sm"
              variant="link"
              onClick={() => {
                strike(ruledOut, 'taken back onto the list')
              }}
            >
              Take it back
            </Button>
          </p>
        ) : (
          <p className="row-of align-items-baseline mb-0">
            {authentic ? (
              <span className="quiet">
                you have an <Term of="authenticSample" />
              </span>
            ) : (
              <Button
                size="sm"
                variant="link"
                onClick={() => {
                  write(...authenticAtHand(newSubject, compound).lines)
                }}
              >
                I have an authentic sample
              </Button>
            )}
            <Button
              size="sm"
              variant="link"
              aria-label={`Rule out ${compound.name}`}
              onClick={() => {
                setStriking(!striking)
              }}
            >
              Rule out
            </Button>
          </p>
        )}
        {striking && !ruledOut && (
          <ReasonForm
            label="reason to rule out"
            button={`Rule out ${compound.name}`}
            onReason={(reason) => {
              write({
                kind: 'candidate ruled out',
                subject: unknown.id,
                body: { candidate: compound.id, name: compound.name, reason },
              })
              setStriking(false)
            }}
          />
        )}
      </div>
      {!ruledOut && <ProbabilityBar probability={probability} name={compound.name} />}
    </div>
  )
}
