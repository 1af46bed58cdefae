import { Link } from 'react-router'
import { nextInCase, unknownsOf } from '@ivory-crystal/core/notebook'
import { useNotebook } from '../../ledger/notebook'

/** Unknowns that are not signed yet, and what is next with each. */
export function OpenCases({ base }: { base: string }) {
  const view = useNotebook((state) => state.view)
  const cases = unknownsOf(view).flatMap((unknown) => {
    const next = nextInCase(view, unknown)
    return next ? [{ unknown, next }] : []
  })
  if (cases.length === 0) return null
  return (
    <section className="mt-4" aria-label="Open cases">
      <h2>Unknowns</h2>
      {cases.map(({ unknown, next }) => (
        <p key={unknown.id} className="mt-2 mb-0">
          <Link to={`${base}/unknowns/${unknown.id}/${next.station}`}>{unknown.opened.body.code}</Link>{' '}
          <span className="quiet">{next.text}</span>
        </p>
      ))}
    </section>
  )
}
