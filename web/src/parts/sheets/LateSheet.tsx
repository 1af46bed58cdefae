import { type ComponentType, useEffect, useState } from 'react'

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
    fetch().then(
      (fetched) => {
        setSheet(() => fetched)
      },
      () => {
        setOpen(false)
      },
    )
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
