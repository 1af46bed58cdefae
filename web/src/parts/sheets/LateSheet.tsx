import { type ComponentType, useEffect, useState } from 'react'
import { whenQuiet } from '../../device/quiet'

/**
 * A sheet that comes after the first screen and before it is asked for: a server that is gone later takes nothing
 * away. What could not be fetched is asked for again when the sheet is next opened.
 */
export function LateSheet({
  fetch,
  open,
  setOpen,
}: {
  /** The same function at every render. */
  fetch: () => Promise<ComponentType<{ onHide: () => void }>>
  open: boolean
  setOpen: (open: boolean) => void
}) {
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
      } catch {
        setOpen(false)
      }
    })
    return () => {
      wanted = false
    }
  }, [Sheet, fetch, open, setOpen])
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
