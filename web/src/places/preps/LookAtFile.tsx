import Button from 'react-bootstrap/Button'
import type { ImportLook } from '@ivory-crystal/core/wire'
import { LinesRemarks } from '../../parts/LinesRemarks'
import type { Picture } from '../../workers/crate'

/** What a file holds, before anything of it is taken in. */
export interface Looked extends ImportLook {
  readonly name: string
  readonly file: unknown
  /** Photographs that came with it. */
  readonly pictures: readonly Picture[]
}

/** A look at a file before it is taken in: how much of it is new, and line by line what would be refused and why. */
export function LookAtFile({
  looked,
  isBusy,
  onTake,
  onLeave,
}: {
  looked: Looked
  isBusy: boolean
  onTake: () => void
  onLeave: () => void
}) {
  const { name, notebook, isHere, lines, here, fresh, refused, conflicts, report } = looked
  return (
    <section className="look mt-3" aria-label="What the file holds">
      <p className="mb-1">
        <strong>{name}</strong> holds “{notebook.title}”
        {isHere ? ', which is here' : ', which is not here yet'}: {lines} {lines === 1 ? 'entry' : 'entries'},
        of which {here} {here === 1 ? 'is' : 'are'} here already, {fresh} {fresh === 1 ? 'is' : 'are'} new and{' '}
        {refused} would be refused.
      </p>
      <LinesRemarks report={looked} />
      {report.length > 0 && (
        <details>
          <summary>What would be refused, and why</summary>
          <ol className="plain-list">
            {report.map(({ line, sentence }) => (
              <li key={line}>
                Entry {line}: {sentence}
              </li>
            ))}
          </ol>
          {refused + conflicts > report.length && (
            <p className="quiet">and {refused + conflicts - report.length} more</p>
          )}
        </details>
      )}
      <div className="row-of mt-2">
        <Button disabled={isBusy || fresh === 0} onClick={onTake}>
          {fresh === 0 ? 'Nothing in it is new' : `Take ${fresh} ${fresh === 1 ? 'entry' : 'entries'} in`}
        </Button>
        <Button variant="link" disabled={isBusy} onClick={onLeave}>
          Leave it
        </Button>
      </div>
    </section>
  )
}
