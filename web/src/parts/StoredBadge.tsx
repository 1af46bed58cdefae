import css from './StoredBadge.module.css'
import classNames from 'classnames'
import { useNotebook } from '../ledger/notebook'

/** Says what is not yet stored. */
export function StoredBadge() {
  const waiting = useNotebook((state) => state.waiting)
  const connected = useNotebook((state) => state.connected)
  const lines = waiting === 1 ? '1 line' : `${waiting} lines`
  if (!connected)
    return (
      <span className={css.badgeStored} role="status">
        <span className={classNames(css.dot, css.off)} />{' '}
        {waiting > 0 ? `offline: ${lines} kept on this device` : 'offline: nothing waits'}
      </span>
    )
  return (
    <span className={css.badgeStored} role="status">
      <span className={waiting > 0 ? classNames(css.dot, css.waiting) : css.dot} />{' '}
      {waiting > 0 ? `${lines} not yet stored` : 'all stored'}
    </span>
  )
}
