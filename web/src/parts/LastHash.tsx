import { useEffect, useState } from 'react'
import { api } from '../ledger/api'
import { useNotebook } from '../ledger/notebook'

/** Digits of a hash that are shown: enough to tell by eye that two are the same. */
const SHOWN = 16

/** The notebook’s last line and its hash, which stands for every line before: nobody rewrote one of them since. */
export function LastHash() {
  const notebook = useNotebook((state) => state.notebook)
  const waiting = useNotebook((state) => state.waiting)
  const [head, setHead] = useState<{ seq: number; hash: string } | null>(null)
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
  if (!head)
    return (
      <p className="quiet mt-3 mb-0 no-print" aria-busy={!isAsked}>
        The hash of the notebook’s last line is known while the server answers.
      </p>
    )
  const groups = head.hash.slice(0, SHOWN).match(/.{4}/g) ?? []
  return (
    <p className="quiet mt-3 mb-0" title={head.hash}>
      Line {head.seq} is the last stored of this notebook; its hash, {groups.join(' ')} …, stands for every
      line before it too.{waiting > 0 && ' Lines not yet stored are not in it.'}
    </p>
  )
}
