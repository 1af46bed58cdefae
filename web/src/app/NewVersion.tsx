import { useEffect, useState } from 'react'
import Button from 'react-bootstrap/Button'
import { useLocation } from 'react-router'
import type { MeltId, PrepId } from '@ivory-crystal/core/ids'
import { isUnderWay, meltOf, meltsOf, type View } from '@ivory-crystal/core/notebook'
import { useNotebook } from '../ledger/notebook'
import { isHalfTyped, watchTyping } from '../parts/typing'
import { useUpdate } from '../device/update'

/** How often a page that wants to be loaded anew looks whether it could be, ms. */
const LOOK_EVERY_MS = 2000

/**
 * A newer version is offered, never forced: not while a melt is watched, and no page is loaded anew while something in
 * it is half typed.
 */
export function NewVersion({ reload = () => window.location.reload() }: { reload?: () => void }) {
  const isReady = useUpdate((state) => state.isReady)
  const isTaken = useUpdate((state) => state.isTaken)
  const take = useUpdate((state) => state.take)
  const { pathname } = useLocation()
  const isWatching = useNotebook(({ view }) => isWatchedAt(pathname, view))
  const [isHeld, setHeld] = useState(false)
  useEffect(watchTyping, [])
  useEffect(() => {
    // Another tab uses the newer version: this one follows as soon as nothing in it would be lost.
    if (!isTaken || isWatching) return
    const look = () => {
      if (!isHalfTyped()) reload()
    }
    look()
    const timer = setInterval(look, LOOK_EVERY_MS)
    return () => {
      clearInterval(timer)
    }
  }, [isTaken, isWatching, reload])
  if (isWatching || !(isReady || isTaken)) return null
  const changeOver = isTaken ? reload : take
  return (
    <p className="look no-print" role="status">
      {isTaken
        ? 'Another tab uses a newer version of Ivory Crystal. This page reloads when no field in it is half typed.'
        : 'A newer version of Ivory Crystal is here.'}{' '}
      <Button
        size="sm"
        variant="outline-primary"
        onClick={() => {
          if (isHalfTyped() && !isHeld) setHeld(true)
          else changeOver()
        }}
      >
        {isHeld ? 'Use it anyway' : 'Use it now'}
      </Button>{' '}
      {isHeld ? (
        <strong>A field on this page is half typed and would be lost. Finish it first, or clear it.</strong>
      ) : (
        !isTaken && (
          <span className="quiet">
            What is not yet sent stays on this device. Otherwise the new version is used when all tabs of the
            app are closed.
          </span>
        )
      )}
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
