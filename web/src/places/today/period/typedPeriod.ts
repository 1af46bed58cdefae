import type { InstrumentId, SubjectId } from '@ivory-crystal/core/ids'
import { houseRulesOf, type PeriodBusy, type PeriodOpened } from '@ivory-crystal/core/notebook'
import { type PeriodFacts, tasksOf } from '@ivory-crystal/core/planning'
import { effortAtFirst } from '@ivory-crystal/core/scheduling'
import { clock as pageClock } from '../../../clock/clock'
import { clock, day } from '../../../format/format'
import { minutesOf, momentAfter, momentAt } from '../../../format/timeOfDay'
import { useNotebook } from '../../../ledger/notebook'
import { askPlanner } from './askPlanner'

const HOUR_MS = 3_600_000
/** Longer is a slip of the clock. */
const LONGEST_H = 12

export interface TypedBusy {
  readonly what: string
  readonly who: string
  readonly from: string
  readonly to: string
}
export interface Typed {
  readonly from: string
  readonly to: string
  readonly hands: '1' | '2'
  readonly isOwnPace: boolean
  readonly first: string
  readonly busy: readonly TypedBusy[]
}

/** What was typed as a period, or why it is none, as a sentence. */
export function periodOf(typed: Typed, nowMs: number): string | Omit<PeriodOpened, 'planned'> {
  const beginsAtMs = momentAt(typed.from, nowMs)
  if (beginsAtMs === null) return sayNoTime('from', typed.from)
  const endsAtMs = momentAfter(typed.to, beginsAtMs)
  if (endsAtMs === null) return sayNoTime('to', typed.to)
  const hours = (endsAtMs - beginsAtMs) / HOUR_MS
  if (hours > LONGEST_H)
    return `From ${typed.from} to ${typed.to} is ${hours.toFixed(0)} h: a period is ${LONGEST_H} h at most. Are the two times swapped?`
  if (endsAtMs <= nowMs) return `That period ended at ${typed.to}. When does this one end?`
  const busy: PeriodBusy[] = []
  for (const { what, who, from, to } of typed.busy) {
    if (who.trim() === '' && from === '' && to === '') continue
    const fromAtMs = momentAt(from, beginsAtMs + (endsAtMs - beginsAtMs) / 2)
    const toAtMs = fromAtMs === null ? null : momentAfter(to, fromAtMs)
    if (fromAtMs === null || toAtMs === null)
      return `A time when others use something needs two times of day: “${who.trim() || what}” has ${from || 'none'} to ${to || 'none'}.`
    if (toAtMs - fromAtMs > LONGEST_H * HOUR_MS) return `From ${from} to ${to}. Are the two times swapped?`
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

const NIGHT_FROM_H = 22
const NIGHT_TO_H = 6

/** A question about a period that begins in the night or on another day: the day it would be on, and whether afternoon was meant. */
export function nightDoubt({ from, to }: Pick<Typed, 'from' | 'to'>, nowMs: number): string | null {
  const beginsAtMs = momentAt(from, nowMs)
  const endsAtMs = beginsAtMs === null ? null : momentAfter(to, beginsAtMs)
  if (beginsAtMs === null || endsAtMs === null) return null
  const hour = Math.floor((minutesOf(from) ?? 0) / 60)
  const isOtherDay = day(beginsAtMs) !== day(nowMs)
  if (hour < NIGHT_TO_H || hour >= NIGHT_FROM_H) {
    const afternoon = hour < 12 ? ` Was ${clock(beginsAtMs + 12 * HOUR_MS)} meant?` : ''
    return `That is ${day(beginsAtMs)}, ${clock(beginsAtMs)} to ${clock(endsAtMs)}, in the night.${afternoon}`
  }
  return isOtherDay ? `That is ${day(beginsAtMs)}, ${clock(beginsAtMs)} to ${clock(endsAtMs)}.` : null
}

function sayNoTime(which: string, text: string): string {
  return minutesOf(text) === null
    ? `“${which}” needs a time of day, such as 13:30.`
    : `${text} does not exist on this day: the clocks go forward past it.`
}

/** Everything that is open, as it would be planned with these terms. */
export async function plannedNow(terms: PeriodOpened): Promise<PeriodOpened['planned']> {
  const { view, shelf } = useNotebook.getState()
  if (!shelf) return []
  const nowMs = pageClock.now()
  const tasks = tasksOf(view, shelf, houseRulesOf(view, shelf.houseRules), nowMs, null)
  if (tasks.length === 0) return []
  // What is kept is read beside how it went: a fair plan at once does for that.
  const plan = await askPlanner((heavy) =>
    heavy.planPeriod({ tasks, terms, putOff: new Map(), nowMs }, null, effortAtFirst(tasks.length)),
  )
  if (!plan.ok) return []
  const { starts } = plan.value
  return tasks.flatMap(({ id, words, durationMin, isAlone }) => {
    const startMin = starts[id]
    return startMin === undefined || isAlone ? [] : [{ task: id, words, startMin, durationMin }]
  })
}

/** A new period begins at the last quarter hour, and nobody knows when it ends. */
export function typedOf(period: PeriodFacts | null): Typed {
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
