import Button from 'react-bootstrap/Button'
import { useLocation } from 'react-router'
import { isUnderWay, meltOf, type MeltId } from '@ivory-crystal/core'
import { useNotebook } from '../ledger/notebook'
import { useUpdate } from './update'

/** A newer version is offered, never forced, and not while a melt is watched. */
export function NewVersion() {
  const isReady = useUpdate((state) => state.isReady)
  const take = useUpdate((state) => state.take)
  const { pathname } = useLocation()
  const watched = /\/melts\/([^/]+)$/.exec(pathname)?.[1]
  const isWatching = useNotebook(({ view }) => {
    const melt = watched ? meltOf(view, watched as MeltId) : null
    return melt !== null && melt.run !== null && isUnderWay(melt)
  })
  if (!isReady || isWatching) return null
  return (
    <p className="look no-print" role="status">
      A newer version of Ivory Crystal is here.{' '}
      <Button size="sm" variant="outline-primary" onClick={take}>
        Use it now
      </Button>{' '}
      <span className="quiet">
        What waits to be stored stays. Else it is used when all its tabs are closed.
      </span>
    </p>
  )
}
