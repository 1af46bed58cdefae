import { Link, useParams } from 'react-router'
import { platesOf, type UnknownFacts } from '@ivory-crystal/core/notebook'
import { useNotebook } from '../../ledger/notebook'

/** Thin-layer plates run as a second opinion on this unknown. */
export function CasePlates({ unknown }: { unknown: UnknownFacts }) {
  const { notebook } = useParams()
  const home = `/n/${notebook ?? ''}`
  const view = useNotebook((state) => state.view)
  const plates = platesOf(view, unknown.id)
  return (
    <section className="mt-2" style={{ maxWidth: 720 }}>
      <h2>A second opinion</h2>
      <p className="mt-2">
        Run a thin-layer plate (TLC) of the unknown beside an authentic sample, with both in one spot between
        them. It shows, without heating, how many compounds there are and whether two have the same Rf. It is
        quick and needs very little. “Different” is more certain than “the same”.
      </p>
      {plates.map(({ id, developed, opinion }) => (
        <p key={id} className="mb-2">
          <Link to={`${home}/plates/${id}`}>In {developed.body.eluent}</Link>:{' '}
          {opinion.ok
            ? (opinion.value?.sentence ?? 'nothing seen in the sample’s lane')
            : opinion.problem.sentence}
        </p>
      ))}
      <Link
        className={plates.length > 0 ? 'btn btn-outline-primary' : 'btn btn-primary'}
        to={`${home}/plates/new?of=${unknown.id}`}
      >
        Run {plates.length > 0 ? 'another' : 'a'} plate
      </Link>
    </section>
  )
}
