import { type ComponentType, useEffect, useState } from 'react'

/** Whether a key press is meant for a field and not for the screen. */
export function isTyping(event: KeyboardEvent): boolean {
  const target = event.target as HTMLElement | null
  return target !== null && (/^(INPUT|TEXTAREA|SELECT)$/.test(target.tagName) || target.isContentEditable)
}

export function KeysHelp() {
  const [open, setOpen] = useState(false)
  const [List, setList] = useState<ComponentType<{ onHide: () => void }> | null>(null)
  useEffect(() => {
    // The list comes after the first screen and before it is asked for: a server that is gone later takes nothing away.
    if (List) return
    import('./KeysList').then(
      ({ KeysList }) => {
        setList(() => KeysList)
      },
      // Asked for again with the next press of the key.
      () => {
        setOpen(false)
      },
    )
  }, [List, open])
  useEffect(() => {
    // The question mark is heard anywhere on the page.
    const hear = (event: KeyboardEvent) => {
      if (event.key === '?' && !isTyping(event)) setOpen(true)
    }
    window.addEventListener('keydown', hear)
    return () => {
      window.removeEventListener('keydown', hear)
    }
  }, [])
  return (
    <>
      <button
        type="button"
        onClick={() => {
          setOpen(true)
        }}
      >
        keys <b>?</b>
      </button>
      {open && List && (
        <List
          onHide={() => {
            setOpen(false)
          }}
        />
      )}
    </>
  )
}
