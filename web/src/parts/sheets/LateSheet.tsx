import css from './LateSheet.module.css'
import classNames from 'classnames'
import { type ComponentType, useEffect, useState } from 'react'
import { createPortal } from 'react-dom'
import { whenQuiet } from '../../device/quiet'

/**
 * A sheet that comes after the first screen and before it is asked for: a server that is gone later takes nothing
 * away. What could not be fetched is asked for again when the sheet is next opened.
 */
export function LateSheet({
  fetch,
  open,
  setOpen,
  without = 'This cannot be shown now, because the server cannot be reached.',
}: {
  /** The same function at every render. */
  fetch: () => Promise<ComponentType<{ onHide: () => void }>>
  open: boolean
  setOpen: (open: boolean) => void
  /** Said in its place where it cannot be had. */
  without?: string
}) {
  const [isMissing, setMissing] = useState(false)
  const [Sheet, setSheet] = useState<ComponentType<{ onHide: () => void }> | null>(null)
  useEffect(() => {
    if (Sheet) return
    let wanted = true
    // What is opened is wanted now; else it comes once the first screen stands.
    void (open ? Promise.resolve() : whenQuiet()).then(async () => {
      if (!wanted) return
      try {
        const fetched = await fetch()
        setSheet(() => fetched)
        setMissing(false)
      } catch {
        setMissing(true)
      }
    })
    return () => {
      wanted = false
    }
  }, [Sheet, fetch, open])
  if (open && !Sheet && isMissing)
    return createPortal(
      <div className={classNames(css.missing, 'look')} role="alert">
        <p className="mb-2">{without}</p>
        <button
          type="button"
          className="btn btn-outline-primary btn-sm"
          onClick={() => {
            setOpen(false)
          }}
        >
          Close
        </button>
      </div>,
      document.body,
    )
  return (
    open &&
    Sheet && (
      <Sheet
        onHide={() => {
          setOpen(false)
        }}
      />
    )
  )
}
