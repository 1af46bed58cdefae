import css from './StoredBadge.module.css'
import classNames from 'classnames'
import { Link } from 'react-router'
import { useNotebook } from '../ledger/notebook'

/** Says what is not yet stored; it leads to what is kept where. */
export function StoredBadge() {
  const waiting = useNotebook((state) => state.waiting)
  const connected = useNotebook((state) => state.connected)
  const notebook = useNotebook((state) => state.notebook)
  // Where no notebook is open there is nothing to say of it.
  if (notebook === null) return null
  const lines = waiting === 1 ? '1 line' : `${waiting} lines`
  return (
    <span className={css.badgeStored} role="status">
      <Link to={`/n/${notebook}/this-notebook`} title="What is kept where">
        <span
          className={classNames(css.dot, !connected && css.off, connected && waiting > 0 && css.waiting)}
        />{' '}
        {connected
          ? waiting > 0
            ? `${lines} not yet stored`
            : 'all stored'
          : waiting > 0
            ? `offline: ${lines} kept on this device`
            : 'offline: nothing waits'}
      </Link>
    </span>
  )
}
