import { lazy, Suspense, useRef, useState } from 'react'
import Button from 'react-bootstrap/Button'
import Form from 'react-bootstrap/Form'
import { useNavigate } from 'react-router'
import { type PrepFacts, prepsOf } from '@ivory-crystal/core/notebook'
import type { NotebookRow } from '@ivory-crystal/core/wire'
import { clock } from '../../clock/clock'
import { download } from '../../device/download'
import { api, Refused } from '../../ledger/api'
import { fileName } from '../../format/fileName'
import { useNotebook } from '../../ledger/notebook'
import { FileButton } from '../../parts/FileButton'
import { useLongRun } from '../../parts/useLongRun'
import type { Beside } from '../../workers/crate'
import { takeInParts } from './takeInParts'
import { LookAtFile, type Looked } from './LookAtFile'

const EveryPage = lazy(async () => ({ default: (await import('./EveryPage')).EveryPage }))

/** A whole notebook out, as one file of lines or as a zip for people and archives; and in again, with a look first. */
export function Exchange() {
  const notebook = useNotebook((state) => state.notebook)
  const notebooks = useNotebook((state) => state.notebooks)
  const go = useNavigate()
  const [sentences, setSaid] = useState<readonly string[]>([])
  const [looked, setLooked] = useState<Looked | null>(null)
  const [came, setCame] = useState<NotebookRow | null>(null)
  const [busy, setBusy] = useState<string | null>(null)
  const packing = useLongRun<{ readonly bytes: number; readonly missing: number }>()
  const view = useNotebook((state) => state.view)
  const connected = useNotebook((state) => state.connected)
  const [withPages, setWithPages] = useState(true)
  /** Whose pages are being made, and how far they are. */
  const [pages, setPages] = useState<{ readonly of: readonly PrepFacts[]; readonly share: number } | null>(
    null,
  )
  const goOn = useRef(true)
  const [taking, setTaking] = useState<number | null>(null)

  async function attempt(what: string, work: () => Promise<void>): Promise<void> {
    setBusy(what)
    try {
      await work()
    } catch (error) {
      setSaid([(error as Error).message])
    } finally {
      setBusy(null)
      setTaking(null)
    }
  }
  const look = (file: File) =>
    attempt('Reading the file …', async () => {
      setCame(null)
      setLooked(null)
      setSaid([])
      const { readNotebookFile } = await import('./readNotebookFile')
      const read = await readNotebookFile(file)
      if (!read.ok) return setSaid([read.sentence])
      setSaid(read.remarks)
      setLooked({
        name: file.name,
        file: read.file,
        pictures: read.pictures,
        ...(await api.lookAtNotebook(read.file)),
      })
    })
  const take = ({ file, pictures }: Looked) =>
    attempt('Importing …', async () => {
      goOn.current = true
      setTaking(0)
      // Pictures first: a line never speaks of one that is not there.
      const left: string[] = []
      for (const { sha256, jpeg } of pictures)
        await api.sendPhotograph(sha256, jpeg.slice().buffer).catch((error: unknown) => {
          // One bad picture holds nothing else up.
          if (!(error instanceof Refused)) throw error
          left.push(`A photograph is left out: ${error.message}`)
        })
      const report = await takeInParts(file, (share) => {
        setTaking(share)
        return goOn.current
      })
      setLooked(null)
      setSaid([
        `“${report.notebook.title}”: ${report.stored} entries saved, ${report.duplicate} were here already, ${report.conflict + report.refused} refused.${report.isStopped ? ' The import was interrupted. Import the file again to add the rest.' : ''}`,
        ...left,
        ...report.report.map(({ line, sentence }) => `Entry ${line}: ${sentence}`),
      ])
      setCame(report.notebook)
    })
  const title = notebooks.find(({ id }) => id === notebook)?.title ?? 'notebook'
  const begin = () => {
    setSaid([])
    packing.clear()
    goOn.current = true
    const of = withPages ? prepsOf(view) : []
    if (of.length === 0) pack([])
    else setPages({ of, share: 0 })
  }
  const pack = (made: Beside['pages']) => {
    packing.start(async (notify) => {
      const { packNotebook } = await import('./packNotebook')
      const packed = await packNotebook(notebook ?? '', made, clock.now(), notify)
      if (!packed) return null
      download(`${fileName(title)}.zip`, packed.zip, 'application/zip')
      return { ok: true, value: { bytes: packed.zip.size, missing: packed.missing } }
    })
  }
  return (
    <section className="mt-4" aria-label="Export and import">
      <h3>This notebook as a file</h3>
      <p className="quiet mt-1">
        The zip is for people and archives (a research crate, RO-Crate 1.2). It holds entries, weighings,
        portions, marks, ranges, heatings and plates as CSV, photographs and pages, each described. The JSON
        holds the entries only. Both can be imported into the same notebook again.
      </p>
      <div className="row-of align-items-center">
        {packing.share === null && pages === null ? (
          <Button variant="outline-primary" onClick={begin}>
            Export as a zip
          </Button>
        ) : (
          <>
            <progress
              value={pages ? pages.share : (packing.share ?? 0)}
              aria-label={pages ? 'Making the pages' : 'Packing the notebook'}
            />
            <Button
              variant="outline-primary"
              onClick={() => {
                goOn.current = false
                setPages(null)
                packing.stop()
              }}
            >
              Stop
            </Button>
          </>
        )}
        {connected ? (
          <a className="btn btn-outline-primary" href={`/api/notebooks/${notebook ?? ''}/export`} download>
            Export its entries
          </a>
        ) : (
          <Button variant="outline-primary" disabled title="They are on the server, which is away.">
            Export its entries
          </Button>
        )}
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
      <Form.Check
        className="mt-2"
        id="with-pages"
        label="include pages as PDF"
        checked={withPages}
        onChange={(event) => {
          setWithPages(event.target.checked)
        }}
      />
      {pages && (
        <Suspense>
          <EveryPage
            preps={pages.of}
            notify={(share) => {
              setPages((now) => now && { ...now, share })
              return goOn.current
            }}
            onDone={(made) => {
              setPages(null)
              if (made) pack(made)
              else if (goOn.current) setSaid(['The pages could not be made. You can export without them.'])
            }}
          />
        </Suspense>
      )}
      {taking !== null && (
        <div className="row-of align-items-center mt-2">
          <progress value={taking} aria-label="Taking the notebook in" />
          <Button
            size="sm"
            variant="outline-primary"
            onClick={() => {
              goOn.current = false
            }}
          >
            Stop
          </Button>
        </div>
      )}
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
            Packed: {Math.ceil(packing.result.value.bytes / 1000)} kB are among your downloads.
            {packing.result.value.missing > 0 &&
              ` ${packing.result.value.missing} of its photographs could not be fetched.`}
          </p>
        )}
        {sentences.map((line) => (
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
