import { useState } from 'react'
import { Link } from 'react-router'
import { triedTubes } from '@ivory-crystal/core/practice'
import { useNotebook } from '../../ledger/notebook'
import { FileButton } from '../../parts/FileButton'
import { keepPractical, usePracticals } from './practicals'

/** A practical handed out as a file is opened, and gone on with. */
export function GivenPractical() {
  const view = useNotebook((state) => state.view)
  const notebook = useNotebook((state) => state.notebook)
  const given = usePracticals()
  const [message, setSaid] = useState<string | null>(null)
  const open = async (file: File) => {
    const { readPracticeFile } = await import('@ivory-crystal/core/practice/files')
    const held = readPracticeFile(file.name, await file.text())
    if (!held.ok) return setSaid(held.problem.sentence)
    if (held.value.kind !== 'practical')
      return setSaid(`“${file.name}” holds results that were handed in, not a practical.`)
    setSaid(null)
    keepPractical(held.value.practical)
  }
  return (
    <section aria-label="Practicals" className="mt-3">
      <div className="form-label">A practical you were given, as a file</div>
      <ul className="plain-list">
        {given.map((one) => (
          <li key={one.id}>
            <Link to={`/n/${notebook ?? ''}/practice/practicals/${one.id}`}>{one.title}</Link>{' '}
            <span className="quiet">
              {triedTubes(view, one).size} of {one.tubes.length} tubes done
            </span>
          </li>
        ))}
      </ul>
      <FileButton name="Practical file" accept=".json,application/json" onFile={(file) => void open(file)}>
        Open a practical
      </FileButton>
      {message && (
        <p className="look" role="alert">
          {message}
        </p>
      )}
    </section>
  )
}
