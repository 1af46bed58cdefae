import { download } from '../../device/download'
import { useState } from 'react'
import Button from 'react-bootstrap/Button'
import Modal from 'react-bootstrap/Modal'
import ProgressBar from 'react-bootstrap/ProgressBar'
import type { Shelf, ShelfReport } from '@ivory-crystal/core/wire'
import { shelfChanged } from '../../ledger/notebook'
import type { ExchangeSort } from './columns'
import type { ReadFile } from './exchange'
import { FileButton } from '../../parts/FileButton'

type Stage =
  | { readonly is: 'checking' | 'sending'; readonly share: number }
  | { readonly is: 'checked' | 'done'; readonly report: ShelfReport }

const REFUSED_SHOWN = 200

/** Files in and out, with a look before anything is put on the shelf and a report line by line. */
export function ImportExport({ shelf, sort }: { shelf: Shelf; sort: ExchangeSort }) {
  const [file, setFile] = useState<(ReadFile & { readonly name: string }) | null>(null)
  const [stage, setStage] = useState<Stage | null>(null)
  const [words, setSaid] = useState<string | null>(null)

  const run = async (rows: readonly unknown[], dryRun: boolean) => {
    const { sendRows } = await import('./exchange')
    const at = (share: number): Stage => ({ is: dryRun ? 'checking' : 'sending', share })
    setStage(at(0))
    try {
      const report = await sendRows(sort, rows, dryRun, (share) => {
        setStage(at(share))
      })
      setStage({ is: dryRun ? 'checked' : 'done', report })
    } catch (error) {
      setStage(null)
      setSaid(
        `${(error as Error).message} What was added before that is saved. You can send the file again; nothing is added twice.`,
      )
    }
    if (!dryRun) await shelfChanged().catch(() => undefined)
  }
  const open = async (chosen: File) => {
    setSaid(null)
    setStage(null)
    try {
      const { readFile } = await import('./exchange')
      const read = readFile(sort, chosen.name, await chosen.text())
      setFile({ ...read, name: chosen.name })
      if (read.rows.length === 0) setSaid('There are no rows in this file.')
      else await run(read.rows, true)
    } catch (error) {
      setFile({ name: chosen.name, rows: [], remarks: [] })
      setSaid((error as Error).message)
    }
  }
  const save = async (format: 'csv' | 'json') => {
    const { fileOf } = await import('./exchange')
    download(`ivory-crystal-${sort}s.${format}`, fileOf(shelf, sort, format), '')
  }
  const close = () => {
    setFile(null)
    setStage(null)
    setSaid(null)
  }
  return (
    <div className="row-of align-items-center ms-auto">
      <FileButton
        variant="link"
        size="sm"
        saysName={false}
        accept=".csv,.json,text/csv,application/json"
        name={`File of ${sort} rows`}
        onFile={(chosen) => void open(chosen)}
      >
        Import CSV or JSON
      </FileButton>
      <Button variant="link" size="sm" onClick={() => void save('csv')}>
        Export CSV
      </Button>
      <Button variant="link" size="sm" onClick={() => void save('json')}>
        Export JSON
      </Button>
      <Modal show={file !== null} onHide={close} aria-labelledby="import-title" scrollable>
        <Modal.Header closeButton>
          <Modal.Title as="h2" id="import-title">
            {stage?.is === 'done' ? 'On the shelf' : 'Before you add it to the shelf'}
          </Modal.Title>
        </Modal.Header>
        <Modal.Body>
          <p>
            {file?.name}: {file?.rows.length ?? 0} rows.
          </p>
          {file?.remarks.map((remark) => (
            <p key={remark} className="quiet">
              {remark}
            </p>
          ))}
          {words && (
            <p className="trouble" role="alert">
              {words}
            </p>
          )}
          {stage && 'share' in stage && (
            <>
              <p className="quiet mb-1">
                {stage.is === 'checking' ? 'Checking the rows' : 'Adding the rows'}:{' '}
                {Math.round(100 * stage.share)} %
              </p>
              <ProgressBar now={100 * stage.share} aria-label="progress" />
            </>
          )}
          {stage && 'report' in stage && <Report report={stage.report} done={stage.is === 'done'} />}
        </Modal.Body>
        <Modal.Footer>
          {stage?.is === 'checked' && stage.report.added + stage.report.changed > 0 && file && (
            <Button onClick={() => void run(file.rows, false)}>
              Put {stage.report.added + stage.report.changed} on the shelf
            </Button>
          )}
          <Button variant="outline-primary" onClick={close}>
            {stage?.is === 'done' ? 'Close' : 'Leave it'}
          </Button>
        </Modal.Footer>
      </Modal>
    </div>
  )
}

function Report({ report, done }: { report: ShelfReport; done: boolean }) {
  const { added, changed, same, refused } = report
  return (
    <>
      <p role="status">
        {added} new, {changed} {done ? 'changed, as new versions' : 'would change, as new versions'}, {same}{' '}
        as they are, {refused.length} refused.
      </p>
      {refused.length > 0 && (
        <table className="lines">
          <thead>
            <tr>
              <th className="num">row</th>
              <th>why it is refused</th>
            </tr>
          </thead>
          <tbody>
            {refused.slice(0, REFUSED_SHOWN).map(({ row, sentence }) => (
              <tr key={row}>
                <td className="num">{row}</td>
                <td>{sentence}</td>
              </tr>
            ))}
          </tbody>
        </table>
      )}
      {refused.length > REFUSED_SHOWN && <p className="quiet">and {refused.length - REFUSED_SHOWN} more</p>}
    </>
  )
}
