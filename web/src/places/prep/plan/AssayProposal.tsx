import { crudeAssayOf, type PrepFacts } from '@ivory-crystal/core/notebook'
import type { Compound } from '@ivory-crystal/core/substances'
import Button from 'react-bootstrap/Button'
import { fixed } from '../../../format/format'
import { useNotebook } from '../../../ledger/notebook'

/** What the crude's melting range says of its assay, to be taken over. */
export function AssayProposal({
  prep,
  impurity,
  onTake,
}: {
  prep: PrepFacts
  impurity: Compound | null
  onTake: (percent: string) => void
}) {
  const view = useNotebook((state) => state.view)
  const proposed = crudeAssayOf(view, prep, impurity)
  if (!proposed.ok) return null
  const { assay, low, high, sentence, doubt } = proposed.value
  const percent = (fraction: number) => fixed(100 * fraction, 0)
  return (
    <div className="form-text" title={sentence}>
      its melting range says {percent(assay)} ({percent(low)} to {percent(high)}){' '}
      <Button
        variant="link"
        size="sm"
        className="py-0"
        onClick={() => {
          onTake(percent(assay))
        }}
      >
        take it
      </Button>
      {doubt && <span className="trouble d-block">{doubt}</span>}
    </div>
  )
}
