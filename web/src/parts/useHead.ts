import { useEffect, useState } from 'react'
import { api } from '../ledger/api'
import { useNotebook } from '../ledger/notebook'
import type { Head } from './KeepHash'

/** The last stored line of the notebook that is open; null while it is not known. */
export function useHead(): { readonly head: Head | null; readonly isAsked: boolean } {
  const notebook = useNotebook((state) => state.notebook)
  const waiting = useNotebook((state) => state.waiting)
  const [head, setHead] = useState<Head | null>(null)
  const [isAsked, setAsked] = useState(false)
  useEffect(() => {
    // Only the server knows it, and it changes with each line it stores.
    if (!notebook) return
    let wanted = true
    api.head(notebook).then(
      (known) => {
        if (wanted) setHead(known)
        setAsked(true)
      },
      () => {
        if (wanted) setHead(null)
        setAsked(true)
      },
    )
    return () => {
      wanted = false
    }
  }, [notebook, waiting])
  return { head, isAsked }
}
