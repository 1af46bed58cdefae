import { useEffect, useRef } from 'react'
import { isTyping } from './sheets/KeysHelp'

/** One letter heard anywhere on the page while nothing is being typed. */
export function useKey(letter: string, act: () => void): void {
  const latest = useRef(act)
  useEffect(() => {
    latest.current = act
  })
  useEffect(() => {
    // Keys are outside React.
    const listener = (event: KeyboardEvent) => {
      if (isTyping(event) || event.ctrlKey || event.metaKey || event.altKey || event.repeat) return
      if (event.key.toLowerCase() !== letter) return
      event.preventDefault()
      latest.current()
    }
    window.addEventListener('keydown', listener)
    return () => {
      window.removeEventListener('keydown', listener)
    }
  }, [letter])
}
