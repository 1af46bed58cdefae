import type { ReactNode } from 'react'
import { openedAfterSigning, type UnknownFacts } from '@ivory-crystal/core/notebook'
import { capital, clock, day, fixed } from '../../format/format'
import { useNotebook } from '../../ledger/notebook'
import { OpenAnswer } from './OpenAnswer'
import { percent } from './ProbabilityBar'

export type SignedVerdict = NonNullable<UnknownFacts['signed']>

/** What was signed and what it rests on: the mixtures, the sealed answer, and how the candidates stood. */
export function SignedVerdictPart({
  unknown,
  signed,
  children,
}: {
  unknown: UnknownFacts
  signed: SignedVerdict
  children?: ReactNode
}) {
  const view = useNotebook((state) => state.view)
  const { answer, signedBy, ranked, mixtures, restsOn } = signed.body
  const probability = ranked.find(({ id }) => id === (answer.is === 'compound' ? answer.compound : null))
  return (
    <>
      <div className="columns two mt-2">
        <section>
          <h2 data-testid="verdict">
            {answer.is === 'compound'
              ? capital(answer.name)
              : answer.is === 'not on the list'
                ? 'Not on the list'
                : 'Cannot be decided'}
          </h2>
          <p className="mt-2 mb-1">
            Signed by {signedBy}, {day(signed.at)}, {clock(signed.at)}
            {probability && answer.is !== 'cannot tell'
              ? `, at ${percent(probability.probability)}`
              : ''}. <span className="quiet">Based on {restsOn.length} entries of this notebook.</span>
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
          {children}
        </section>
        <OpenAnswer unknown={unknown} isAfter={openedAfterSigning(view, unknown)} />
      </div>
      <table className="lines mt-3">
        <thead>
          <tr>
            <th>candidate</th>
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
    </>
  )
}
