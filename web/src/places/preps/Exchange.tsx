import { useState } from 'react'
import Button from 'react-bootstrap/Button'
import { useNavigate } from 'react-router'
import type { NotebookRow } from '@ivory-crystal/core'
import { clock } from '../../app/clock'
import { download } from '../../app/download'
import { api } from '../../ledger/api'
import { fileName } from '../../format/fileName'
import { useNotebook } from '../../ledger/notebook'
import { FileButton } from '../../parts/FileButton'
import { useLongRun } from '../../parts/useLongRun'
import { LookAtFile, type Looked } from './LookAtFile'

/** A whole notebook out, as one file of lines or as a zip for people and archives; and in again, with a look first. */
export function Exchange() {
  const notebook = useNotebook((state) => state.notebook)
  const notebooks = useNotebook((state) => state.notebooks)
  const go = useNavigate()
  const [said, setSaid] = useState<readonly string[]>([])
  const [looked, setLooked] = useState<Looked | null>(null)
  const [came, setCame] = useState<NotebookRow | null>(null)
  const [busy, setBusy] = useState<string | null>(null)
  const packing = useLongRun<number>()

  async function attempt(what: string, work: () => Promise<void>): Promise<void> {
    setBusy(what)
    try {
      await work()
    } catch (error) {
      setSaid([(error as Error).message])
    } finally {
      setBusy(null)
    }
  }
  const look = (file: File) =>
    attempt('Looking at it …', async () => {
      setCame(null)
      setLooked(null)
      setSaid([])
      const { readNotebookFile } = await import('./readNotebookFile')
      const read = await readNotebookFile(file)
      if (!read.ok) return setSaid([read.sentence])
      setLooked({ name: file.name, file: read.file, ...(await api.lookAtNotebook(read.file)) })
    })
  const take = ({ file }: Looked) =>
    attempt('Taking it in …', async () => {
      const report = await api.importNotebook(file)
      setLooked(null)
      setSaid([
        `“${report.notebook.title}”: ${report.stored} lines stored, ${report.duplicate} were here already, ${report.conflict + report.refused} refused.`,
        ...report.report.map(({ line, sentence }) => `Line ${line}: ${sentence}`),
      ])
      setCame(report.notebook)
    })
  const pack = () => {
    setSaid([])
    packing.start(async (tell) => {
      const { packNotebook } = await import('./packNotebook')
      const zip = await packNotebook(notebook ?? '', clock.now(), tell)
      if (!zip) return null
      const title = notebooks.find(({ id }) => id === notebook)?.title ?? 'notebook'
      download(`${fileName(title)}.zip`, zip, 'application/zip')
      return { ok: true, value: zip.size }
    })
  }

  return (
    <section className="mt-4" aria-label="Export and import">
      <h3>This notebook as a file</h3>
      <p className="quiet mt-1">
        As a zip for people and archives: its lines, weighings, portions, marks, ranges, heatings and plates
        as CSV, and what each is (a research crate, RO-Crate 1.2). Or its lines alone, as JSON. Either comes
        in again to the same notebook.
      </p>
      <div className="row-of align-items-center">
        {packing.share === null ? (
          <Button variant="outline-primary" onClick={pack}>
            Export as a zip
          </Button>
        ) : (
          <>
            <progress value={packing.share} aria-label="Packing the notebook" />
            <Button variant="outline-primary" onClick={packing.stop}>
              Stop
            </Button>
          </>
        )}
        <a className="btn btn-outline-primary" href={`/api/notebooks/${notebook ?? ''}/export`} download>
          Export its lines
        </a>
        <FileButton
          accept="application/json,.json,application/zip,.zip"
          name="Notebook file"
          disabled={busy !== null}
          saysName={false}
          onFile={(file) => void look(file)}
        >
          {busy ?? 'Import a notebook'}
        </FileButton>
      </div>
      {looked && (
        <LookAtFile
          looked={looked}
          isBusy={busy !== null}
          onTake={() => void take(looked)}
          onLeave={() => {
            setLooked(null)
          }}
        />
      )}
      <div role="status">
        {packing.result && !packing.result.ok && (
          <p className="mt-2 mb-0">{packing.result.problem.sentence}</p>
        )}
        {packing.result?.ok && (
          <p className="mt-2 mb-0">
            Packed: {Math.ceil(packing.result.value / 1000)} kB are among your downloads.
          </p>
        )}
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
