import { useEffect, useState } from 'react'
import { LateSheet } from './LateSheet'

const fetchList = async () => (await import('./KeysList')).KeysList

/** Whether a key press is meant for a field and not for the screen. */
export function isTyping(event: KeyboardEvent): boolean {
  const target = event.target as HTMLElement | null
  return target !== null && (/^(INPUT|TEXTAREA|SELECT)$/.test(target.tagName) || target.isContentEditable)
}

export function KeysHelp() {
  const [open, setOpen] = useState(false)
  useEffect(() => {
    // The question mark is heard anywhere on the page.
    const listener = (event: KeyboardEvent) => {
      if (event.key === '?' && !isTyping(event)) setOpen(true)
    }
    window.addEventListener('keydown', listener)
    return () => {
      window.removeEventListener('keydown', listener)
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
      <LateSheet fetch={fetchList} open={open} setOpen={setOpen} />
    </>
  )
}
