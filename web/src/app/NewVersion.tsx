import Button from 'react-bootstrap/Button'
import { useLocation } from 'react-router'
import { isUnderWay, meltOf, type MeltId, meltsOf, type PrepId, type View } from '@ivory-crystal/core'
import { useNotebook } from '../ledger/notebook'
import { useUpdate } from './update'

/** A newer version is offered, never forced, and not while a melt is watched. */
export function NewVersion() {
  const isReady = useUpdate((state) => state.isReady)
  const take = useUpdate((state) => state.take)
  const { pathname } = useLocation()
  const isWatching = useNotebook(({ view }) => isWatchedAt(pathname, view))
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

/** A melt is watched on its own page, and at its prep's Melt station. */
function isWatchedAt(pathname: string, view: View): boolean {
  const melt = /\/melts\/([^/]+)$/.exec(pathname)?.[1]
  const prep = /\/preps\/([^/]+)\/melt$/.exec(pathname)?.[1]
  const shown = [melt ? meltOf(view, melt as MeltId) : null, ...(prep ? meltsOf(view, prep as PrepId) : [])]
  return shown.some((one) => one !== null && one.run !== null && isUnderWay(one))
}
