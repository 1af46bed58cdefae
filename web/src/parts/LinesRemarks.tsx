import type { ImportReport } from '@ivory-crystal/core/wire'

/** What somebody should know of lines from elsewhere before taking them in; nothing where there is nothing. */
export function LinesRemarks({ report }: { report: ImportReport }) {
  const remarks = remarksOn(report)
  if (remarks.length === 0) return null
  return (
    <ul className="mb-1" aria-label="Worth knowing before">
      {remarks.map((remark) => (
        <li key={remark}>{remark}</li>
      ))}
    </ul>
  )
}

const lines = (count: number) => (count === 1 ? 'One entry' : `${count} entries`)

function remarksOn({ strikes, conflicts, authors, farDates }: ImportReport): readonly string[] {
  return [
    ...(strikes > 0
      ? [`${lines(strikes)} of the new ones strike${strikes === 1 ? 's' : ''} out other entries.`]
      : []),
    ...(conflicts > 0
      ? [
          `${lines(conflicts)} ${conflicts === 1 ? 'says' : 'say'} something different from the entry here with the same id. The one here stays.`,
        ]
      : []),
    ...(authors.length > 0 ? [`New here as writers: ${authors.join(', ')}.`] : []),
    ...(farDates > 0
      ? [
          `${lines(farDates)} of the new ones ${farDates === 1 ? 'is' : 'are'} dated before 2010 or more than a day ahead.`,
        ]
      : []),
  ]
}
