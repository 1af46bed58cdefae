import { useState } from 'react'
import Button from 'react-bootstrap/Button'
import { useNavigate } from 'react-router'
import { api } from '../../ledger/api'
import type { NotebookRow } from '@ivory-crystal/core'
import { useNotebook } from '../../ledger/notebook'
import { FileButton } from '../../parts/FileButton'

/** A whole notebook out as one JSON file, and in again. */
export function Exchange() {
  const notebook = useNotebook((state) => state.notebook)
  const notebooks = useNotebook((state) => state.notebooks)
  const go = useNavigate()
  const [said, setSaid] = useState<readonly string[]>([])
  const [came, setCame] = useState<NotebookRow | null>(null)
  const [busy, setBusy] = useState(false)

  async function take(file: File): Promise<void> {
    setBusy(true)
    setCame(null)
    try {
      const report = await api.importNotebook(JSON.parse(await file.text()))
      setSaid([
        `“${report.notebook.title}”: ${report.stored} lines stored, ${report.duplicate} were here already, ${report.conflict + report.refused} refused.`,
        ...report.report.map(({ line, sentence }) => `Line ${line}: ${sentence}`),
      ])
      setCame(report.notebook)
    } catch (error) {
      setSaid([
        error instanceof SyntaxError
          ? `${file.name} is not a JSON file. Choose one that was exported here.`
          : (error as Error).message,
      ])
    } finally {
      setBusy(false)
    }
  }

  return (
    <section className="mt-4" aria-label="Export and import">
      <h3>This notebook as a file</h3>
      <p className="quiet mt-1">
        Every line as it was written, in one JSON file; it comes in again to the same notebook.
      </p>
      <div className="row-of">
        <a className="btn btn-outline-primary" href={`/api/notebooks/${notebook ?? ''}/export`} download>
          Export this notebook
        </a>
        <FileButton
          accept="application/json,.json"
          name="Notebook file"
          disabled={busy}
          saysName={false}
          onFile={(file) => void take(file)}
        >
          {busy ? 'Importing …' : 'Import a notebook'}
        </FileButton>
      </div>
      <div role="status">
        {said.map((line) => (
          <p key={line} className="mt-2 mb-0">
            {line}
          </p>
        ))}
        {came && came.id !== notebook && (
          <Button variant="link" onClick={() => void go(`/n/${came.id}`)}>
            Open it
          </Button>
        )}
      </div>
      {notebooks.length > 1 && (
        <p className="mt-3">
          Notebooks here:{' '}
          {notebooks.map((row) => (
            <Button
              key={row.id}
              variant="link"
              className="me-3"
              disabled={row.id === notebook}
              onClick={() => void go(`/n/${row.id}`)}
            >
              {row.title}
            </Button>
          ))}
        </p>
      )}
    </section>
  )
}
