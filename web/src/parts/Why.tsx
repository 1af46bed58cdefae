import css from './Why.module.css'
import { Link, useParams } from 'react-router'

/** One click to the page that explains a number. */
export function Why({ of }: { of: string }) {
  const { notebook } = useParams()
  return (
    <Link
      className={css.whyLink}
      to={`/n/${notebook ?? ''}/explained#${of}`}
      aria-label={`How this is worked out: ${of}`}
    >
      why
    </Link>
  )
}
