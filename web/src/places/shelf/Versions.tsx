import { useState } from 'react'
import Button from 'react-bootstrap/Button'
import type { ShelfVersion } from '@ivory-crystal/core/wire'
import { day } from '../../format/format'
import { api, type ShelfSort } from '../../ledger/api'

/** The versions a thing has had, on asking. */
export function Versions({
  sort,
  id,
  describe = (body) => (body as { source?: string }).source ?? 'taken off',
}: {
  sort: ShelfSort
  id: string
  /** What a version is told by, beside the one before it. */
  describe?: (body: unknown, before: unknown) => string
}) {
  const [versions, setVersions] = useState<readonly ShelfVersion[] | null>(null)
  const [sentence, setSaid] = useState<string | null>(null)
  if (versions)
    return (
      <ul className="quiet mb-0 ps-3">
        {versions.map(({ version, origin, createdAt, author, body }) => (
          <li key={version}>
            version {version}, {author ?? origin}, {day(createdAt)}:{' '}
            {describe(body, versions.find((one) => one.version === version - 1)?.body ?? null)}
          </li>
        ))}
      </ul>
    )
  return (
    <>
      <Button
        variant="link"
        size="sm"
        onClick={() => {
          setSaid(null)
          api.shelfVersions(sort, id).then(
            (answer) => {
              setVersions(answer.versions)
            },
            (error: unknown) => {
              setSaid((error as Error).message)
            },
          )
        }}
      >
        Earlier versions
      </Button>
      {sentence && <span className="trouble">{sentence}</span>}
    </>
  )
}
