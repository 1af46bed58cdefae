import css from './Glossary.module.css'
import { type Term, TERMS } from '@ivory-crystal/core/terms'
import { Title } from '../../parts/Title'
import { useAnchor } from './useAnchor'

const SORTED = (Object.entries(TERMS) as [string, Term][]).sort(([, p], [, q]) =>
  p.term.localeCompare(q.term, 'en'),
)

/** Every term the app uses, with its meaning. */
export function Glossary() {
  useAnchor()
  return (
    <>
      <Title title="Glossary" aside="the terms of this app, as the field uses them" />
      <dl className={css.glossary}>
        {SORTED.map(([id, { term, meaning, also }]) => (
          <div key={id} id={id}>
            <dt>{term}</dt>
            <dd>
              {meaning}
              {also && <span className="quiet"> Also called: {also.join('; ')}.</span>}
            </dd>
          </div>
        ))}
      </dl>
    </>
  )
}
