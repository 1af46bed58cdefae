import { useNotebook } from '../ledger/notebook'
import { KeepHash } from './KeepHash'
import { useHead } from './useHead'

/** Digits of a hash that are shown: enough to tell by eye that two are the same. */
const SHOWN = 16

/** The notebook’s last line and its hash, which stands for every line before it. */
export function LastHash() {
  const waiting = useNotebook((state) => state.waiting)
  const title = useNotebook(({ notebooks, notebook }) => notebooks.find(({ id }) => id === notebook)?.title)
  const { head, isAsked } = useHead()
  if (!head)
    return (
      <p className="quiet mt-3 mb-0 no-print" aria-busy={!isAsked}>
        The hash of the last entry is shown when the server answers.
      </p>
    )
  const groups = head.hash.slice(0, SHOWN).match(/.{4}/g) ?? []
  return (
    <p className="quiet mt-3 mb-0" title={head.hash}>
      Entry {head.seq} is the last one saved in this notebook. Its hash, {groups.join(' ')} …, also covers
      every entry before it.{waiting > 0 && ' It does not cover entries not yet sent.'}
      <KeepHash title={title ?? 'Notebook'} head={head} />
    </p>
  )
}
