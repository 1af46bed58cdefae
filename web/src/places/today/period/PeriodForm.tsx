import css from './Period.module.css'
import { useId, useState } from 'react'
import Button from 'react-bootstrap/Button'
import Form from 'react-bootstrap/Form'
import type { PeriodId, SubjectId } from '@ivory-crystal/core/ids'
import type { PeriodOpened } from '@ivory-crystal/core/notebook'
import type { PeriodFacts } from '@ivory-crystal/core/planning'
import { clock as pageClock } from '../../../clock/clock'
import { newSubject, useNotebook, write } from '../../../ledger/notebook'
import { FieldError } from '../../../parts/InlineField'
import { nightDoubt, periodOf, plannedNow, type Typed, type TypedBusy, typedOf } from './typedPeriod'
import { TimeField } from './TimeField'

/** Sets the lab period in one line, or changes it: from, to, how many hands; and what others have. */
export function PeriodForm({
  period,
  rows,
  onDone,
}: {
  period: PeriodFacts | null
  /** What there is to do, for what matters most. */
  rows: readonly { readonly id: SubjectId; readonly title: string }[]
  onDone?: () => void
}) {
  const id = useId()
  const instruments = useNotebook((state) => state.shelf?.instruments ?? NONE)
  const [typed, setTyped] = useState<Typed>(() => typedOf(period))
  const [wrong, setWrong] = useState<string | null>(null)
  const [isBusy, setIsBusy] = useState(false)
  const doubt = nightDoubt(typed, pageClock.now())
  const set = (part: Partial<Typed>) => {
    setTyped((before) => ({ ...before, ...part }))
    setWrong(null)
  }
  const setBusy = (at: number, part: Partial<TypedBusy>) => {
    set({ busy: typed.busy.map((one, i) => (i === at ? { ...one, ...part } : one)) })
  }
  const save = () => {
    const read = periodOf(typed, pageClock.now())
    if (typeof read === 'string') {
      setWrong(read)
      return
    }
    const keep = (planned: PeriodOpened['planned']) => {
      write({
        kind: 'period opened',
        subject: period?.id ?? newSubject<PeriodId>(),
        body: { ...read, planned },
      })
      setIsBusy(false)
      onDone?.()
    }
    if (period) {
      keep(period.opened.body.planned)
      return
    }
    // How it is planned now is kept with it, to be read beside how it went.
    setIsBusy(true)
    void plannedNow({ ...read, planned: [] }).then(keep, () => {
      keep([])
    })
  }
  return (
    <form
      aria-label="The lab period"
      noValidate
      onSubmit={(event) => {
        event.preventDefault()
        save()
      }}
    >
      <div className={css.form}>
        <TimeField
          label="from"
          value={typed.from}
          onChange={(from) => {
            set({ from })
          }}
        />
        <TimeField
          label="to"
          value={typed.to}
          onChange={(to) => {
            set({ to })
          }}
        />
        <div>
          <Form.Label htmlFor={`${id}-hands`}>who</Form.Label>
          <Form.Select
            id={`${id}-hands`}
            size="sm"
            value={typed.hands}
            onChange={(event) => {
              set({ hands: event.target.value as Typed['hands'] })
            }}
          >
            <option value="1">alone</option>
            <option value="2">two of us</option>
          </Form.Select>
        </div>
        <Button type="submit" size="sm" disabled={isBusy}>
          {isBusy ? 'Planning …' : period ? 'Change the period' : 'Set the period'}
        </Button>
        {onDone && (
          <Button size="sm" variant="link" onClick={onDone}>
            Leave it
          </Button>
        )}
      </div>
      {doubt && (
        <p className="look mt-2 mb-0" role="note">
          {doubt}
        </p>
      )}
      <FieldError sentence={wrong} className="look mt-2" />
      <details className="mt-2">
        <summary>What matters most, my own pace, and what others have</summary>
        <div className={`${css.form} mt-2`}>
          {rows.length > 1 && (
            <div>
              <Form.Label htmlFor={`${id}-first`}>first, if not everything fits</Form.Label>
              <Form.Select
                id={`${id}-first`}
                size="sm"
                value={typed.first}
                onChange={(event) => {
                  set({ first: event.target.value })
                }}
              >
                <option value="">what was begun first</option>
                {rows.map((row) => (
                  <option key={row.id} value={row.id}>
                    {row.title}
                  </option>
                ))}
              </Form.Select>
            </div>
          )}
          <Form.Check
            id={`${id}-pace`}
            label="use my own pace"
            checked={typed.isOwnPace}
            onChange={(event) => {
              set({ isOwnPace: event.target.checked })
            }}
          />
        </div>
        {typed.busy.map((one, i) => (
          // Rows have no name but their place.
          <div key={i} className={`${css.form} mt-2`}>
            <div>
              <Form.Label htmlFor={`${id}-what-${i}`}>what</Form.Label>
              <Form.Select
                id={`${id}-what-${i}`}
                size="sm"
                value={one.what}
                onChange={(event) => {
                  setBusy(i, { what: event.target.value })
                }}
              >
                {instruments.map((instrument) => (
                  <option key={instrument.id} value={instrument.id}>
                    {instrument.name}
                  </option>
                ))}
                <option value="balance">Balance</option>
                <option value="hot plate">Bath or hot plate</option>
                <option value="flame">A flame next door</option>
              </Form.Select>
            </div>
            <div style={{ width: 120 }}>
              <Form.Label htmlFor={`${id}-who-${i}`}>who</Form.Label>
              <Form.Control
                id={`${id}-who-${i}`}
                size="sm"
                maxLength={80}
                placeholder="bench 3"
                value={one.who}
                onChange={(event) => {
                  setBusy(i, { who: event.target.value })
                }}
              />
            </div>
            <TimeField
              label="from"
              value={one.from}
              onChange={(from) => {
                setBusy(i, { from })
              }}
            />
            <TimeField
              label="until"
              value={one.to}
              onChange={(to) => {
                setBusy(i, { to })
              }}
            />
            <Button
              size="sm"
              variant="link"
              onClick={() => {
                set({ busy: typed.busy.filter((_, at) => at !== i) })
              }}
            >
              Take it out
            </Button>
          </div>
        ))}
        <p className="mt-2 mb-0">
          <Button
            size="sm"
            variant="outline-primary"
            onClick={() => {
              const what = instruments[0]?.id ?? 'balance'
              set({ busy: [...typed.busy, { what, who: '', from: typed.from, to: '' }] })
            }}
          >
            Somebody else has something
          </Button>
        </p>
      </details>
    </form>
  )
}
const NONE: readonly never[] = []
