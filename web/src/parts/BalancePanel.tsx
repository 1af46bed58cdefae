import css from './BalancePanel.module.css'
import { useCallback, useEffect, useRef, useState } from 'react'
import Button from 'react-bootstrap/Button'
import type { SampleId } from '@ivory-crystal/core/ids'
import type { SampleRole } from '@ivory-crystal/core/notebook'
import type { PanLoad } from '@ivory-crystal/core/simulator'
import type { Reading } from '@ivory-crystal/core/units'
import { useKey } from './useKey'
import { api } from '../ledger/api'
import { receiveBalance, useNotebook } from '../ledger/notebook'

/** How much crude a simulated boat is given when the plan does not say, g. */
const ABOUT_G = 1.8

/** The simulated balance: something is put on it, it drifts and settles, and a key press sends its reading. */
export function BalancePanel({
  sample,
  role,
  aboutG,
  onSend,
}: {
  sample: SampleId
  role: SampleRole
  aboutG: number | null
  /** Where the reading goes; the answer says into which field. */
  onSend: (reading: Reading) => string
}) {
  const balance = useNotebook((state) => state.balance)
  const notebook = useNotebook((state) => state.notebook)
  const [sentence, setSaid] = useState<string | null>(null)
  const [pending, setPending] = useState(0)
  const last = useRef<Promise<void>>(Promise.resolve())
  // One after the other, in the order they were asked for: what is put on must not overtake what clears the pan.
  const queue = useCallback((what: () => Promise<Parameters<typeof receiveBalance>[0]>) => {
    last.current = last.current.then(what).then(receiveBalance, (error: unknown) => {
      setSaid((error as Error).message)
    })
    return last.current
  }, [])
  const ask = (what: Parameters<typeof queue>[0]) => {
    setSaid(null)
    setPending((count) => count + 1)
    void queue(what).then(() => {
      setPending((count) => count - 1)
    })
  }
  const put = (load: PanLoad) => {
    if (notebook) ask(() => api.loadBalance(notebook, sample, load, aboutG ?? ABOUT_G))
  }
  useEffect(() => {
    // A pan left by another sample is cleared when this one comes to the balance.
    if (notebook) void queue(() => api.loadBalance(notebook, sample, 'nothing', ABOUT_G))
  }, [sample, notebook, queue])
  const reading = balance?.reading
  const send = () => {
    if (!reading || pending > 0) return setSaid('The balance has not answered yet.')
    if (reading.overloaded) return setSaid('The balance is overloaded. Take something off.')
    if (!reading.stable)
      return setSaid('It is still moving. Wait until it is at rest, then send the reading.')
    setSaid(onSend(reading.display))
  }
  useKey('b', send)
  const vessel: PanLoad = role === 'crude' ? 'boat with sample' : 'vessel with sample'
  return (
    <section className={css.balance} aria-label="Simulated balance" aria-busy={pending > 0}>
      <div className={css.display}>
        <span data-testid="balance-display">{reading ? reading.display.text : '– – –'}</span> g
        <small>
          {!reading ? 'silent' : reading.overloaded ? 'overloaded' : reading.stable ? 'at rest' : 'moving'}
        </small>
      </div>
      <div className="row-of align-items-center">
        <span className="simulated">simulated balance</span>
        <Button
          size="sm"
          variant="link"
          onClick={() => {
            put('nothing')
          }}
        >
          clear the pan
        </Button>
        <Button
          size="sm"
          variant="link"
          onClick={() => {
            put('empty vessel')
          }}
        >
          add the empty vessel
        </Button>
        <Button
          size="sm"
          variant="link"
          onClick={() => {
            put(vessel)
          }}
        >
          add the vessel with the {role}
        </Button>
        <Button
          size="sm"
          variant="link"
          onClick={() => {
            ask(() => api.tareBalance())
          }}
        >
          tare
        </Button>
        <Button size="sm" variant="outline-primary" onClick={send}>
          Send the reading <kbd className="key ms-1">B</kbd>
        </Button>
      </div>
      {sentence && (
        <p className="quiet mb-0" role="status">
          {sentence}
        </p>
      )}
    </section>
  )
}
