import css from './Practice.module.css'
import { Link } from 'react-router'
import { Title } from '../../parts/Title'

/** The heading of a page of practice: what it is, that nothing of it counts, and the way out. */
export function Head({
  title,
  note,
  leave,
}: {
  title: string
  note?: string | null
  leave?: { readonly to: string; readonly words: string }
}) {
  return (
    <>
      <Title title={title} />
      <div className={css.head}>
        <span className="quiet">
          practice, simulated
          <span className={css.more}>: nothing here enters a prep, an unknown or a page</span>
          {note ? ` · ${note}` : ''}
        </span>
        {leave && (
          <Link className={css.leave} to={leave.to} relative="path">
            {leave.words}
          </Link>
        )}
      </div>
    </>
  )
}
