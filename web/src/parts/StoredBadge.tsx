import css from './StoredBadge.module.css'
import classNames from 'classnames'
import { Link } from 'react-router'
import { useNotebook } from '../ledger/notebook'

/** Says what is not yet sent; it leads to what is kept where. */
export function StoredBadge() {
  const waiting = useNotebook((state) => state.waiting)
  const connected = useNotebook((state) => state.connected)
  const notebook = useNotebook((state) => state.notebook)
  // Where no notebook is open there is nothing to say of it.
  if (notebook === null) return null
  const lines = waiting === 1 ? '1 entry' : `${waiting} entries`
  return (
    <span className={css.badgeStored} role="status">
      <Link to={`/n/${notebook}/this-notebook`} title="What is saved where">
        <span
          className={classNames(css.dot, !connected && css.off, connected && waiting > 0 && css.waiting)}
        />{' '}
        {connected
          ? waiting > 0
            ? `${lines} not yet sent`
            : 'all saved'
          : waiting > 0
            ? `offline: ${lines} saved on this device`
            : 'offline: nothing to send'}
      </Link>
    </span>
  )
}
