import css from './Connection.module.css'
import classNames from 'classnames'
import { useEffect, useRef, useState } from 'react'
import Button from 'react-bootstrap/Button'
import Form from 'react-bootstrap/Form'
import type { Instrument } from '@ivory-crystal/core/instruments'
import { api } from '../../ledger/api'
import { clock } from '../../clock/clock'
import { type LinePort, readPort, type SerialReader } from './serial'

const BAUD_RATES = [1200, 2400, 4800, 9600, 19_200, 115_200] as const
const LINES_SHOWN = 8

/** How this instrument is spoken to, what it says, and a serial port of this browser as a bridge. */
export function Connection({ instrument }: { instrument: Instrument }) {
  const [lines, setLines] = useState<readonly string[]>([])
  useEffect(() => {
    // The instrument's own stream of lines, as a bridge hears it.
    if (typeof EventSource === 'undefined') return
    const source = new EventSource(`/api/instruments/${instrument.id}/line/stream`)
    source.addEventListener('line', (event: MessageEvent<string>) => {
      setLines((before) => [...before, event.data].slice(-LINES_SHOWN))
    })
    return () => {
      source.close()
    }
  }, [instrument.id])
  return (
    <div className="columns two mt-2">
      <div>
        <h2>Its messages</h2>
        <pre className={classNames(css.linesSaid, 'mt-1')} aria-label="Lines heard" tabIndex={0}>
          {lines.length > 0 ? lines.join('\n') : 'Nothing yet. It sends readings while a run is going on.'}
        </pre>
        {!instrument.simulated && <Serial instrument={instrument} />}
        {instrument.simulated && (
          <p className="quiet">
            Simulated: it sends its own readings and takes commands as lines of text. A bridge to a real
            instrument uses the same lines; add your own instrument for it.
          </p>
        )}
      </div>
      <div>
        <h2>Messages</h2>
        <p className="mt-1">
          Out: <code>reading &lt;seconds&gt; &lt;°C&gt; [light=a,b] [dial=d]</code>, one a second. In:{' '}
          <code>preheat &lt;°C&gt;</code>, <code>ramp &lt;°C&gt; &lt;°C/min&gt;</code>,{' '}
          <code>dial &lt;setting&gt;</code>, <code>tubes-in</code>, <code>stop</code>.
        </p>
        <p>
          Read them at <code>/api/instruments/{instrument.id}/line/stream</code> (server-sent events), and
          send commands by POST to <code>/api/instruments/{instrument.id}/line</code> as plain text. The
          protocol is described in <code>docs/line-protocol.md</code> of the project.
        </p>
      </div>
    </div>
  )
}

/** Anything that prints a number and a unit per line, over the browser's serial port. */
function Serial({ instrument }: { instrument: Instrument }) {
  const [baudRate, setBaudRate] = useState<number>(9600)
  const [sentence, setSaid] = useState<string | null>(null)
  const [receivedCount, setReceivedCount] = useState(0)
  const reader = useRef<SerialReader | null>(null)
  const [isOn, setIsOn] = useState(false)
  const serial = (navigator as { serial?: { requestPort(): Promise<LinePort> } }).serial
  if (!serial)
    return (
      <p className="quiet">
        This browser does not let a page use a serial port. Type the readings, or run a bridge that posts
        lines.
      </p>
    )
  const connect = async () => {
    try {
      const port = await serial.requestPort()
      reader.current = await readPort(
        port,
        baudRate,
        () => clock.elapsed(),
        (line) => {
          setReceivedCount((count) => count + 1)
          api.line(instrument.id, [line]).catch((error: unknown) => {
            setSaid((error as Error).message)
          })
        },
        (line) => {
          setSaid(`“${line.slice(0, 60)}” holds no temperature and is ignored.`)
        },
      )
      setIsOn(true)
      setSaid(null)
    } catch (error) {
      setSaid(`The port could not be opened: ${(error as Error).message}`)
    }
  }
  return (
    <section className="mt-3" aria-label="Serial port">
      <h3>A thermometer on a serial port</h3>
      <div className="row-of align-items-center mt-1">
        <Form.Select
          size="sm"
          style={{ width: 130 }}
          aria-label="baud rate"
          value={baudRate}
          disabled={isOn}
          onChange={(event) => {
            setBaudRate(Number(event.target.value))
          }}
        >
          {BAUD_RATES.map((rate) => (
            <option key={rate} value={rate}>
              {rate} baud
            </option>
          ))}
        </Form.Select>
        {!isOn ? (
          <Button size="sm" onClick={() => void connect()}>
            Connect
          </Button>
        ) : (
          <Button
            size="sm"
            variant="outline-primary"
            onClick={() => {
              void reader.current?.stop()
              setIsOn(false)
            }}
          >
            Disconnect
          </Button>
        )}
        <span className="quiet">{receivedCount > 0 ? `${receivedCount} readings heard` : ''}</span>
      </div>
      {sentence && (
        <p className="look" role="alert">
          {sentence}
        </p>
      )}
    </section>
  )
}
