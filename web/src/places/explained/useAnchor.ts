import { useEffect } from 'react'
import { useLocation } from 'react-router'

/** Brings what the address names into sight, and answers with its name. */
export function useAnchor(): string {
  const id = useLocation().hash.slice(1)
  useEffect(() => {
    // The place is a chunk of its own: the browser looked for the anchor before it was there.
    document.getElementById(id)?.scrollIntoView()
  }, [id])
  return id
}
