import css from './Period.module.css'
import { useId, useState } from 'react'
import Button from 'react-bootstrap/Button'
import Form from 'react-bootstrap/Form'
import {
  houseRulesOf,
  type InstrumentId,
  type PeriodBusy,
  type PeriodFacts,
  type PeriodId,
  type PeriodOpened,
  type SubjectId,
  tasksOf,
} from '@ivory-crystal/core'
import { clock as pageClock } from '../../../app/clock'
import { clock } from '../../../format/format'
import { minutesOf, momentAfter, momentAt } from '../../../format/timeOfDay'
import { newSubject, useNotebook, write } from '../../../ledger/notebook'
import { SaidWrong } from '../../../parts/InlineField'
import { compute } from '../../../workers/compute'
import { TimeField } from './TimeField'

const HOUR_MS = 3_600_000
/** Longer is a slip of the clock. */
const LONGEST_H = 12

interface TypedBusy {
  readonly what: string
  readonly who: string
  readonly from: string
  readonly to: string
}
interface Typed {
  readonly from: string
  readonly to: string
  readonly hands: '1' | '2'
  readonly isOwnPace: boolean
  readonly first: string
  readonly busy: readonly TypedBusy[]
}

/** What was typed as a period, or why it is none, as a sentence. */
function periodOf(typed: Typed, nowMs: number): string | Omit<PeriodOpened, 'planned'> {
  const beginsAtMs = momentAt(typed.from, nowMs)
  if (beginsAtMs === null) return sayNoTime('from', typed.from)
  const endsAtMs = momentAfter(typed.to, beginsAtMs)
  if (endsAtMs === null) return sayNoTime('to', typed.to)
  const hours = (endsAtMs - beginsAtMs) / HOUR_MS
  if (hours > LONGEST_H)
    return `From ${typed.from} to ${typed.to} is ${hours.toFixed(0)} h: a period is ${LONGEST_H} h at most. Are the two the right way round?`
  if (endsAtMs <= nowMs) return `That period was over at ${typed.to}: when is this one over?`
  const busy: PeriodBusy[] = []
  for (const { what, who, from, to } of typed.busy) {
    if (who.trim() === '' && from === '' && to === '') continue
    const fromAtMs = momentAt(from, beginsAtMs + (endsAtMs - beginsAtMs) / 2)
    const toAtMs = fromAtMs === null ? null : momentAfter(to, fromAtMs)
    if (fromAtMs === null || toAtMs === null)
      return `What others have needs two times of day: “${who.trim() || what}” has ${from || 'none'} to ${to || 'none'}.`
    if (toAtMs - fromAtMs > LONGEST_H * HOUR_MS)
      return `From ${from} to ${to}: are the two the right way round?`
    busy.push({ what: what as InstrumentId, who: who.trim() || 'another bench', fromAtMs, toAtMs })
  }
  return {
    beginsAtMs,
    endsAtMs,
    hands: typed.hands === '2' ? 2 : 1,
    isOwnPace: typed.isOwnPace,
    busy,
    first: typed.first === '' ? null : (typed.first as SubjectId),
  }
}

function sayNoTime(which: string, text: string): string {
  return minutesOf(text) === null
    ? `“${which}” wants a time of day, such as 13:30.`
    : `${text} is no time of this day: the clocks are put forward past it.`
}

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
      <SaidWrong sentence={wrong} className="look mt-2" />
      <details className="mt-2">
        <summary>What matters most, my own pace, and what others have</summary>
        <div className={`${css.form} mt-2`}>
          {rows.length > 1 && (
            <div>
              <Form.Label htmlFor={`${id}-first`}>where not everything fits, first</Form.Label>
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
            label="plan with my own pace, where this bench has one"
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

/** Everything that is open, as it would be planned with these terms. */
async function plannedNow(terms: PeriodOpened): Promise<PeriodOpened['planned']> {
  const { view, shelf } = useNotebook.getState()
  if (!shelf) return []
  const nowMs = pageClock.now()
  const tasks = tasksOf(view, shelf, houseRulesOf(view, shelf.houseRules), nowMs, null)
  if (tasks.length === 0) return []
  const heavy = await compute()
  const plan = await heavy.planPeriod({ tasks, terms, putOff: new Map(), nowMs }, null)
  if (!plan.ok) return []
  const { starts } = plan.value
  return tasks.flatMap(({ id, words, durationMin, isAlone }) => {
    const startMin = starts[id]
    return startMin === undefined || isAlone ? [] : [{ task: id, words, startMin, durationMin }]
  })
}

/** A new period begins at the last quarter hour, and nobody knows when it ends. */
function typedOf(period: PeriodFacts | null): Typed {
  if (!period) {
    const quarter = Math.floor(pageClock.now() / (HOUR_MS / 4)) * (HOUR_MS / 4)
    return { from: clock(quarter), to: '', hands: '1', isOwnPace: true, first: '', busy: [] }
  }
  const { beginsAtMs, endsAtMs, hands, isOwnPace, first, busy } = period.opened.body
  return {
    from: clock(beginsAtMs),
    to: clock(endsAtMs),
    hands: hands === 2 ? '2' : '1',
    isOwnPace,
    first: first ?? '',
    busy: busy.map(({ what, who, fromAtMs, toAtMs }) => ({
      what,
      who,
      from: clock(fromAtMs),
      to: clock(toAtMs),
    })),
  }
}
