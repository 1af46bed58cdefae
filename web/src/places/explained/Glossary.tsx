import css from './Glossary.module.css'
import { type Term, type TermPlace, TERMS } from '@ivory-crystal/core/terms'
import { Title } from '../../parts/Title'
import { useAnchor } from './useAnchor'

const SORTED = (Object.entries(TERMS) as [string, Term][]).sort(([, p], [, q]) =>
  p.term.localeCompare(q.term, 'en'),
)

const PLACES: Readonly<Record<TermPlace, string>> = {
  prep: 'Preps',
  melt: 'Melt',
  judge: 'Judge',
  unknown: 'Unknowns',
  plate: 'plates (TLC)',
  shelf: 'Shelf',
  period: 'Today',
  notebook: 'every page',
}

/** Every term the app uses, with its meaning and the places that use it. */
export function Glossary() {
  useAnchor()
  return (
    <>
      <Title title="Glossary" aside="the terms of this app, as the field uses them" />
      <dl className={css.glossary}>
        {SORTED.map(([id, { term, meaning, also, where }]) => (
          <div key={id} id={id}>
            <dt>{term}</dt>
            <dd>
              {meaning}
              {also && <span className="quiet"> Also called: {also.join('; ')}.</span>}
              <span className="quiet"> Used in: {where.map((place) => PLACES[place]).join(', ')}.</span>
            </dd>
          </div>
        ))}
      </dl>
    </>
  )
}
