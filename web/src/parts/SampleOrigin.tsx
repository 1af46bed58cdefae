import type { SampleId } from '@ivory-crystal/core/ids'
import { prepOf, firstLine, type View } from '@ivory-crystal/core/notebook'
import { shortDay } from '../format/format'
import { useNotebook } from '../ledger/notebook'

/** Where a sample comes from, to tell two of one name apart: its prep and the day it was named. */
export function originOf(view: View, sample: SampleId): string {
  const named = firstLine(view, sample, 'sample named')
  if (!named) return ''
  const prep = named.body.prep ? prepOf(view, named.body.prep) : null
  return [prep ? `“${prep.opened.body.title}”` : null, shortDay(named.at)]
    .filter((part) => part !== null)
    .join(', ')
}

/** The same under the name of a tube. */
export function SampleOrigin({ sample }: { sample: SampleId }) {
  const origin = useNotebook(({ view }) => originOf(view, sample))
  return origin === '' ? null : <span className="quiet d-block">{origin}</span>
}
