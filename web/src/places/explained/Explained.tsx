import css from './Explained.module.css'
import { Link } from 'react-router'
import { Title } from '../../parts/Title'
import { useAnchor } from './useAnchor'
import { EXPLANATIONS } from './explanations'

/** How each number is worked out, for a student to read. */
export function Explained() {
  const here = useAnchor()
  return (
    <>
      <Title
        title="How it is calculated"
        aside={
          <>
            what goes in, what comes out, and where it stops being true;{' '}
            <Link to="../glossary">terms in the glossary</Link>
          </>
        }
      />
      <div className={css.explained}>
        <nav aria-label="On this page">
          {EXPLANATIONS.map(({ id, title }) => (
            <a key={id} href={`#${id}`}>
              {title}
            </a>
          ))}
        </nav>
        <div>
          {EXPLANATIONS.map(({ id, title, equation, text, limits, example }) => (
            <section key={id} id={id} className={here === id ? css.here : undefined}>
              <h2>{title}</h2>
              {equation.map((line) => (
                <p key={line} className={css.equation}>
                  {line}
                </p>
              ))}
              {text.map((line) => (
                <p key={line}>{line}</p>
              ))}
              <p>
                <b>Worked.</b> {example}
              </p>
              <p className="quiet">
                <b>Where it stops.</b> {limits}
              </p>
            </section>
          ))}
        </div>
      </div>
    </>
  )
}
