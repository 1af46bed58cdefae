import type { EpochMs, PeriodId, SubjectId } from '../../ids'
import type { Entry } from '../../notebook/entry'
import type { TaskSetAside } from '../../notebook/kinds/task-set-aside/kind'
import type { View } from '../../notebook/fold'
import { latestLine, linesOf, memoize, sameItems, subjectsWith } from '../../notebook/read'

/** A lab period as it stands in the notebook. */
export interface PeriodFacts {
  readonly id: PeriodId
  readonly opened: Entry<'period opened'>
  readonly closed: Entry<'period closed'> | null
  /** When each task was said to be begun, the latest time. */
  readonly begun: ReadonlyMap<string, EpochMs>
  /** The lines that say so, to be taken back. */
  readonly begunBy: ReadonlyMap<string, Entry<'task noted'>>
  /** When each task was said to be done. */
  readonly done: ReadonlyMap<string, EpochMs>
  /** What was put off last, by task. */
  readonly putOff: ReadonlyMap<string, TaskSetAside>
}

/** Every period of the notebook, the earliest first. */
export const periodsOf = memoize(
  (view: View): readonly PeriodFacts[] =>
    subjectsWith(view, 'period opened')
      .flatMap((id) => periodOf(view, id) ?? [])
      .sort((p, q) => p.opened.body.beginsAtMs - q.opened.body.beginsAtMs),
  sameItems,
)

const periodOf = memoize((view: View, id: PeriodId): PeriodFacts | null => {
  const opened = latestLine(view, id, 'period opened')
  if (!opened) return null
  const noted = linesOf(view, id, 'task noted')
  const when = (is: 'begun' | 'done') =>
    new Map(noted.filter(({ body }) => body.is === is).map(({ at, body }) => [body.task, at]))
  return {
    id,
    opened,
    closed: latestLine(view, id, 'period closed'),
    begun: when('begun'),
    begunBy: new Map(noted.filter(({ body }) => body.is === 'begun').map((line) => [line.body.task, line])),
    done: when('done'),
    putOff: new Map(linesOf(view, id, 'task set aside').map(({ body }) => [body.task, body])),
  }
})

/** A period that nobody closed is over so long after its end, ms: somebody forgot. */
const FORGOTTEN_AFTER_MS = 3 * 3_600_000

/** The period that is on or still to come: opened, not closed, not long past its end; null without one. */
export function periodAt(view: View, nowMs: EpochMs): PeriodFacts | null {
  const all = periodsOf(view)
  const open = all.filter(
    (one) =>
      one.closed === null &&
      nowMs < one.opened.body.endsAtMs + FORGOTTEN_AFTER_MS &&
      !all.some((other) => replaces(other, one)),
  )
  return open[0] ?? null
}

/** The last period where nobody closed it and it is long past its end; null where it was closed, or is still on. */
export function forgottenPeriod(view: View, nowMs: EpochMs): PeriodFacts | null {
  const last = periodsOf(view).at(-1)
  return last?.closed === null && nowMs >= last.opened.body.endsAtMs + FORGOTTEN_AFTER_MS ? last : null
}

/** Of two periods that were opened for the same time, as on two devices at once, the one opened last holds. */
function replaces({ opened: later }: PeriodFacts, { opened: one }: PeriodFacts): boolean {
  return (
    later.id > one.id &&
    later.body.beginsAtMs < one.body.endsAtMs &&
    one.body.beginsAtMs < later.body.endsAtMs
  )
}

/** The period that was closed last, or null. */
export function periodBefore(view: View): PeriodFacts | null {
  return periodsOf(view).findLast(({ closed }) => closed !== null) ?? null
}

/**
 * How long the hands were at a prep or an unknown in periods that are over, min, and how many periods that was; null
 * where none was closed in which it was worked on.
 */
export const atTheBench = memoize(
  (view: View, of: SubjectId): { readonly handsMin: number; readonly periods: number } | null => {
    const spans = periodsOf(view).flatMap(({ closed }) => {
      const mine = closed?.body.done.filter(({ task }) => task.startsWith(`${of}/`)) ?? []
      return mine.length > 0 ? [mine.reduce((sum, { fromAtMs, toAtMs }) => sum + toAtMs - fromAtMs, 0)] : []
    })
    if (spans.length === 0) return null
    return { handsMin: Math.round(spans.reduce((sum, ms) => sum + ms, 0) / 60_000), periods: spans.length }
  },
)
