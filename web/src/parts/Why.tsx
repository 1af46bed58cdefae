import css from './Why.module.css'
import classNames from 'classnames'
import { Link, useParams } from 'react-router'

/** One click to the page that explains a number. */
export function Why({ of }: { of: string }) {
  const { notebook } = useParams()
  return (
    <Link
      className={classNames(css.whyLink, 'no-print')}
      to={`/n/${notebook ?? ''}/explained#${of}`}
      aria-label={`How this is worked out: ${of}`}
    >
      why
    </Link>
  )
}
