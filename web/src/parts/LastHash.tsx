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
        The hash of the notebook’s last entry is known while the server answers.
      </p>
    )
  const groups = head.hash.slice(0, SHOWN).match(/.{4}/g) ?? []
  return (
    <p className="quiet mt-3 mb-0" title={head.hash}>
      Entry {head.seq} is the last saved of this notebook; its hash, {groups.join(' ')} …, stands for every
      entry before it too.{waiting > 0 && ' Entries not yet sent are not in it.'}
      <KeepHash title={title ?? 'Notebook'} head={head} />
    </p>
  )
}
