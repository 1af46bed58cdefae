import { useState } from 'react'
import Button from 'react-bootstrap/Button'
import Form from 'react-bootstrap/Form'
import type { Restored } from '@ivory-crystal/core/wire'
import { useNavigate } from 'react-router'
import { clock } from '../../clock/clock'
import { download } from '../../device/download'
import { fileName } from '../../format/fileName'
import { day } from '../../format/format'
import { api } from '../../ledger/api'
import { useNotebook } from '../../ledger/notebook'
import { FileButton } from '../../parts/FileButton'
import { LinesRemarks } from '../../parts/LinesRemarks'

/** Everything the server keeps as one zip, and back again with a look first. */
export function Backup({
  isHere,
}: {
  /** The server answers, and keeps its lines in its folder. */ isHere: boolean
}) {
  const notebook = useNotebook((state) => state.notebook)
  const waiting = useNotebook((state) => state.waiting)
  const [busy, setBusy] = useState<string | null>(null)
  const [sentence, setSaid] = useState<string | null>(null)
  const [looked, setLooked] = useState<{ readonly file: File; readonly report: Restored } | null>(null)
  const [word, setWord] = useState('')
  const [came, setCame] = useState<Restored['notebooks']>([])
  const go = useNavigate()
  const attempt = async (what: string, work: () => Promise<void>) => {
    setBusy(what)
    setSaid(null)
    try {
      await work()
    } catch (error) {
      setSaid((error as Error).message)
    } finally {
      setBusy(null)
    }
  }
  const look = (file: File) =>
    attempt('Reading the backup …', async () => {
      setLooked({ file, report: await api.lookAtBackup(file, word) })
    })
  const take = (file: File) =>
    attempt('Restoring …', async () => {
      const report = await api.restore(file, word)
      setLooked(null)
      setSaid(`Restored: ${toldOf(report)}`)
      setCame(report.notebooks.filter(({ id, fresh }) => id !== notebook && fresh > 0))
    })
  const save = () =>
    attempt('Making the backup …', async () => {
      const zip = await api.backup(word)
      download(`${fileName(`ivory crystal backup ${day(clock.now())}`)}.zip`, zip, 'application/zip')
      setSaid(
        `The backup is among your downloads${word === '' ? ', without sealed answers' : ', with sealed answers under the instructor’s word'}.`,
      )
    })
  return (
    <section className="mt-4" aria-label="Backup">
      <h2>Backup</h2>
      <p className="quiet mt-1">
        One zip file with everything the server stores: every entry of every notebook, the shelf of the lab,
        and the photographs. It holds a checksum of each file, which is checked when you restore it. Sealed
        answers of unknowns are included only under the instructor’s word, encrypted.
        {waiting > 0 && ' What is not yet sent from this device is not in it.'}
      </p>
      <div className="row-of">
        <Button variant="outline-primary" disabled={!isHere || busy !== null} onClick={() => void save()}>
          Save a backup
        </Button>
        <FileButton
          name="Backup file"
          accept="application/zip,.zip"
          saysName={false}
          disabled={busy !== null || !isHere}
          onFile={(file) => void look(file)}
        >
          {busy ?? 'Restore from a backup'}
        </FileButton>
      </div>
      <Form.Group className="mt-2" controlId="instructor-word">
        <Form.Label>Instructor’s word, for sealed answers (may be left empty)</Form.Label>
        <Form.Control
          type="password"
          autoComplete="off"
          value={word}
          maxLength={200}
          style={{ maxWidth: '24rem' }}
          onChange={(event) => {
            setWord(event.target.value)
          }}
        />
        <Form.Text>
          At least 12 letters. Without exactly this word nobody can open the sealed answers in the backup.
        </Form.Text>
      </Form.Group>
      {busy && <progress className="mt-2" aria-label={busy} />}
      {looked && (
        <section className="look mt-3" aria-label="What the backup holds">
          <p className="mb-2">
            Of {day(looked.report.madeAt)}
            {looked.report.isSameLedger ? '' : ', of another data folder'}: {toldOf(looked.report)} What is
            here stays unchanged.
          </p>
          {looked.report.notebooks.map((notebook) => (
            <LinesRemarks key={notebook.id} report={notebook} />
          ))}
          {looked.report.remarks.length > 0 && (
            <ul className="mb-2">
              {looked.report.remarks.map((remark) => (
                <li key={remark}>{remark}</li>
              ))}
            </ul>
          )}
          <Button
            disabled={busy !== null || nothingNew(looked.report)}
            onClick={() => void take(looked.file)}
          >
            {nothingNew(looked.report) ? 'Nothing in it is new' : 'Bring it back'}
          </Button>{' '}
          <Button
            variant="link"
            onClick={() => {
              setLooked(null)
            }}
          >
            Leave it
          </Button>
        </section>
      )}
      {sentence !== null && (
        <p className="mt-2" role="status">
          {sentence}{' '}
          {came.map(({ id, title }) => (
            <Button key={id} size="sm" variant="link" onClick={() => void go(`/n/${id}`)}>
              Open “{title}”
            </Button>
          ))}
        </p>
      )}
    </section>
  )
}

function nothingNew({ notebooks, photographs, shelf }: Restored): boolean {
  return notebooks.every(({ fresh }) => fresh === 0) && photographs.fresh === 0 && shelf.fresh === 0
}

function toldOf({ notebooks, photographs, shelf }: Restored): string {
  const rows = notebooks.map(
    ({ title, lines, fresh, refused }) =>
      `“${title}”: ${fresh} of ${lines} entries new${refused > 0 ? `, ${refused} of them refused` : ''}`,
  )
  return `${[...rows, `${photographs.fresh} of ${photographs.all} photographs new`, `${shelf.fresh} of ${shelf.all} versions of the shelf new`].join('; ')}.`
}
