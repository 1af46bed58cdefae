import { useEffect, useState } from 'react'
import Button from 'react-bootstrap/Button'
import { Link } from 'react-router'
import type { Keeping } from '@ivory-crystal/core/wire'
import { askToStay, useUpdate } from '../../device/update'
import { LinesElsewhere } from '../../parts/LinesElsewhere'
import { useNow } from '../../clock/now'
import { dayAndClock } from '../../format/format'
import { bytesText } from '../../format/bytes'
import { api } from '../../ledger/api'
import { useNotebook } from '../../ledger/notebook'
import { Title } from '../../parts/Title'
import { Backup } from './Backup'
import { useDevice } from './useDevice'

/** What is stored where, how much of it, what waits, and when it was last flushed; and a backup of it all. */
export function ThisNotebook() {
  const keeping = useKeeping()
  const notebook = useNotebook((state) => state.notebook)
  const title = useNotebook(({ notebooks }) => notebooks.find((row) => row.id === notebook)?.title)
  return (
    <>
      <Title title="This notebook" aside={title} />
      <div className="columns two mt-3">
        <section>
          <OnServer keeping={keeping} />
          <Backup isHere={keeping !== null && !('why' in keeping) && !keeping.isElsewhere} />
        </section>
        <section>
          <OnDevice />
        </section>
      </div>
      <p className="mt-4">
        Export this notebook alone under <Link to={`/n/${notebook ?? ''}/preps`}>Preps</Link>. Make a PDF of a
        page on that page.
      </p>
    </>
  )
}

interface Unknown {
  readonly why: string
}

/** What the server keeps; null until it has answered. Only the server knows, and it changes with each line it stores. */
function useKeeping(): Keeping | Unknown | null {
  const waiting = useNotebook((state) => state.waiting)
  const connected = useNotebook((state) => state.connected)
  const [keeping, setKeeping] = useState<Keeping | Unknown | null>(null)
  useEffect(() => {
    // The server is outside React.
    let wanted = true
    api.keeping().then(
      (known) => {
        if (wanted) setKeeping(known)
      },
      (error: unknown) => {
        if (wanted) setKeeping({ why: (error as Error).message })
      },
    )
    return () => {
      wanted = false
    }
  }, [waiting, connected])
  return keeping
}

function OnServer({ keeping }: { keeping: Keeping | Unknown | null }) {
  const now = useNow(60_000)
  const notebook = useNotebook((state) => state.notebook)
  const isDemo = useNotebook((state) => state.about?.demo ?? false)
  return (
    <>
      <h2>On the server</h2>
      {keeping === null && <p aria-busy="true">Asking the server …</p>}
      {keeping && 'why' in keeping && (
        <p className="look mt-2">{keeping.why} Its figures appear when it is back.</p>
      )}
      {keeping && !('why' in keeping) && (
        <table className="lines mt-2" aria-label="On the server">
          <tbody>
            <tr>
              <td>Data folder{isDemo ? ' (sample data)' : ''}</td>
              <td className="text-break">
                <code>{keeping.folder}</code>
              </td>
            </tr>
            <tr>
              <td>Entries of this notebook</td>
              <td>{keeping.notebooks.find(({ id }) => id === notebook)?.seq ?? 0}</td>
            </tr>
            {keeping.notebooks.length > 1 && (
              <tr>
                <td>Entries of all {keeping.notebooks.length} notebooks</td>
                <td>{keeping.notebooks.reduce((sum, { seq }) => sum + seq, 0)}</td>
              </tr>
            )}
            <tr>
              <td>Journal</td>
              <td>{keeping.isElsewhere ? 'in a PostgreSQL server' : bytesText(keeping.journalBytes)}</td>
            </tr>
            <tr>
              <td>Photographs</td>
              <td>{picturesText(keeping.photographs)}</td>
            </tr>
            <tr>
              <td>Last flushed to the disk</td>
              <td>
                {keeping.flushedAt === null ? 'its database does this' : dayAndClock(keeping.flushedAt, now)}
              </td>
            </tr>
          </tbody>
        </table>
      )}
      <p className="quiet mt-2">Every entry is written to disk before the app says that it is saved.</p>
    </>
  )
}

function OnDevice() {
  const now = useNow(60_000)
  const device = useDevice()
  const waiting = useNotebook((state) => state.waiting)
  const copyOfMs = useNotebook((state) => state.copyOfMs)
  const unkept = useNotebook((state) => state.unkept)
  const isKept = useUpdate((state) => state.isKept)
  const [asked, setAsked] = useState(false)
  if (!device) return <p aria-busy="true">Reading what this device stores …</p>
  const { copy, pictures, picturesWaiting, space, stays } = device
  return (
    <>
      <h2>On this device</h2>
      <table className="lines mt-2" aria-label="On this device">
        <tbody>
          <tr>
            <td>Not yet sent to the server</td>
            <td>
              {waiting === 0 ? 'nothing' : waiting === 1 ? '1 entry' : `${waiting} entries`}
              {picturesWaiting > 0 &&
                `, ${picturesWaiting === 1 ? '1 photograph' : `${picturesWaiting} photographs`}`}
              {unkept.length > 0 && <span className="trouble"> ({unkept.length} in this page only)</span>}
            </td>
          </tr>
          <tr>
            <td>The app itself</td>
            <td>
              {isKept ? 'saved: it opens without the server' : 'not saved yet: it needs the server to open'}
            </td>
          </tr>
          <tr>
            <td>Copy of a notebook</td>
            <td>
              {copy
                ? `${copy.lines} entries of ${copy.notebooks === 1 ? 'one notebook' : `${copy.notebooks} notebooks`}`
                : 'none: this browser stores nothing'}
              {copyOfMs !== null && `; open is that of ${dayAndClock(copyOfMs, now)}`}
            </td>
          </tr>
          <tr>
            <td>Photographs taken here</td>
            <td>{pictures ? picturesText(pictures) : 'none can be saved'}</td>
          </tr>
          <tr>
            <td>Space used, of the space available</td>
            <td>{space ? `${bytesText(space.used)} of ${bytesText(space.most)}` : 'not known'}</td>
          </tr>
          <tr>
            <td>The browser could clear it</td>
            <td>
              {stays === true && 'no'}
              {stays === null && 'not known'}
              {stays === false && (
                <>
                  yes, if it needs space{' '}
                  <Button
                    size="sm"
                    variant="link"
                    disabled={asked}
                    onClick={() => {
                      setAsked(true)
                      void askToStay()
                    }}
                  >
                    {asked ? 'asked' : 'Ask it not to'}
                  </Button>
                </>
              )}
            </td>
          </tr>
        </tbody>
      </table>
      <LinesElsewhere />
      <p className="quiet mt-2">
        Without the server you can write, watch a melt, photograph, make a PDF and practise. Simulated
        instruments, changes to the shelf, sealed answers, import and backup need the server.
      </p>
    </>
  )
}

function picturesText({ count, bytes }: { readonly count: number; readonly bytes: number }): string {
  return count === 0 ? 'none' : `${count}, ${bytesText(bytes)}`
}
