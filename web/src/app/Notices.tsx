import css from './Notices.module.css'
import classNames from 'classnames'
import Button from 'react-bootstrap/Button'
import { useNotebook } from '../ledger/notebook'
import { clock, day } from '../format/format'
import { download } from '../device/download'

/** A device's clock may differ from the server's by this much before it is said, ms. */
const CLOCK_OFF_MOST_MS = 60_000

/** What is not as it should be with keeping: said until it is right again. */
export function Notices() {
  const unkept = useNotebook((state) => state.unkept)
  const about = useNotebook((state) => state.about)
  const heardAt = useNotebook((state) => state.heardAt)
  const offMs = about?.now === undefined ? 0 : heardAt - about.now
  const setAside = about?.setAside ?? []
  const losses = setAside.filter(({ isLoss }) => isLoss).length
  const copyOfMs = useNotebook((state) => state.copyOfMs)
  const isOtherLedger = useNotebook((state) => state.isOtherLedger)
  const broughtBack = useNotebook((state) => state.broughtBack)
  return (
    <>
      {unkept.length > 0 && (
        <section className={classNames(css.unkept, 'look no-print')} role="alert" aria-label="Not saved">
          <h3>
            {unkept.length === 1 ? '1 entry is' : `${unkept.length} entries are`} not saved on this device
          </h3>
          <p className="mb-1">
            This browser cannot save anything now: its space is full, or saving is blocked. What you wrote is
            only in this page until the server has it. Do not close the page. Save a copy, or free some space.
          </p>
          <Button
            size="sm"
            variant="outline-primary"
            onClick={() => {
              download('lines-not-kept.json', JSON.stringify(unkept, null, 2), 'application/json')
            }}
          >
            Save a copy of {unkept.length === 1 ? 'it' : 'them'}
          </Button>
        </section>
      )}
      {isOtherLedger && (
        <section className="look no-print" role="alert" aria-label="Another ledger">
          <h3>The server at this address has another ledger now</h3>
          <p className="mb-0">
            Nothing of this notebook is sent to it. What you write stays on this device until its own server
            is back. <a href="/">Open what is there now</a>
          </p>
        </section>
      )}
      {copyOfMs !== null && !isOtherLedger && (
        <p className="look no-print" role="status">
          The server is away. You are working on the copy on this device, as of {day(copyOfMs)}{' '}
          {clock(copyOfMs)}. What you write is saved here and sent when the server is back.
        </p>
      )}
      {broughtBack > 0 && (
        <p className="look no-print" role="status">
          The server had lost {broughtBack === 1 ? 'an entry' : `${broughtBack} entries`} it had already
          saved: its data folder is from an earlier day. This device sends them again.
        </p>
      )}
      {Math.abs(offMs) > CLOCK_OFF_MOST_MS && copyOfMs === null && (
        <p className="look no-print" role="status">
          The clock of this device is {span(Math.abs(offMs))} {offMs > 0 ? 'ahead of' : 'behind'} the
          server’s. Times written here are wrong by as much. Correct the clock in the settings of the device.
        </p>
      )}
      {setAside.length > 0 && (
        <section className="look no-print" role="alert" aria-label="Set aside">
          <h3>The server found something in its files that has changed</h3>
          <p className="mb-1">
            {losses === 0
              ? 'No entry is left out because of it.'
              : `${losses === 1 ? 'One thing is' : `${losses} things are`} left out because of it; everything else is valid.`}{' '}
            It is saved in the data folder, in <code>journal.jsonl.set-aside</code>. Tell the person in
            charge.
          </p>
          <ul className="mb-0">
            {setAside.slice(0, SHOWN).map(({ line, reason }) => (
              <li key={`${line} ${reason}`}>
                {line !== null && `Line ${line} of the journal: `}
                {reason}
              </li>
            ))}
          </ul>
          {setAside.length > SHOWN && <p className="quiet mb-0">And {setAside.length - SHOWN} more.</p>}
        </section>
      )}
    </>
  )
}

const SHOWN = 5

function span(ms: number): string {
  const minutes = Math.round(ms / 60_000)
  if (minutes < 120) return minutes === 1 ? 'a minute' : `${minutes} minutes`
  const hours = Math.round(minutes / 60)
  return hours < 48 ? `${hours} hours` : `${Math.round(hours / 24)} days`
}
