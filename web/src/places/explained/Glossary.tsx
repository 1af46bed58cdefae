import css from './Glossary.module.css'
import { useEffect } from 'react'
import { useLocation } from 'react-router'
import { type Term, TERMS } from '@ivory-crystal/core/terms'
import { Title } from '../../parts/Title'

const SORTED = (Object.entries(TERMS) as [string, Term][]).sort(([, p], [, q]) =>
  p.term.localeCompare(q.term, 'en'),
)

/** Every term the app uses, with its meaning. */
export function Glossary() {
  const { hash } = useLocation()
  useEffect(() => {
    // The place is a chunk of its own: the browser looked for the anchor before it was there.
    document.getElementById(hash.slice(1))?.scrollIntoView()
  }, [hash])
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
