import { useEffect, useMemo, useRef, useState } from 'react'
import {
  type PeriodPlan,
  type IfLate,
  periodAt,
  type PeriodFacts,
  type PeriodTask,
  type EarlierPlan,
  tasksOf,
} from '@ivory-crystal/core/planning'
import type { Problem, Result } from '@ivory-crystal/core/problems'
import { effortAtFirst } from '@ivory-crystal/core/scheduling'
import { storeValue, remembered } from '../../../device/memory'
import { useNow } from '../../../clock/now'
import { useNotebook } from '../../../ledger/notebook'
import { useHouseRules } from '../../../parts/useHouseRules'
import { askPlanner } from './askPlanner'

/** The tasks are told anew this often, ms: what was running may be over. */
const TELL_MS = 5000
const MINUTE_MS = 60_000
const MANY_EFFORT = 0.2
/** So many open tasks are soon proven. */
const PROVEN_TO = 20

export interface PeriodNow {
  readonly period: PeriodFacts
  readonly tasks: readonly PeriodTask[]
  /** null while it is worked out for the first time. */
  readonly plan: PeriodPlan | null
  readonly late: IfLate | null
  /** Why there is no plan, or null. */
  readonly problem: Problem | null
  /** A plan is being worked out. */
  readonly isBusy: boolean
  /** What changed last, and when. */
  readonly changed: { readonly sentence: string; readonly atMs: number } | null
  readonly nowMs: number
}

interface Answered {
  readonly period: string
  readonly plan: PeriodPlan | null
  readonly late: IfLate | null
  readonly problem: Problem | null
  readonly changed: PeriodNow['changed']
}

/** The period that is on, with its tasks, its plan and what becomes of it when it gets late; null without one. */
export function usePeriod(): PeriodNow | null {
  const view = useNotebook((state) => state.view)
  const shelf = useNotebook((state) => state.shelf)
  const rules = useHouseRules()
  const nowMs = useNow()
  const period = periodAt(view, nowMs)
  const toldMs = Math.ceil(nowMs / TELL_MS) * TELL_MS
  const tasks = useMemo(
    () => (period && shelf ? tasksOf(view, shelf, rules, toldMs, period) : []),
    [view, shelf, rules, toldMs, period],
  )
  const [answered, setAnswered] = useState<Answered | null>(null)
  const [asking, setAsking] = useState<string | null>(null)
  const key = period ? keyOf(period, tasks, nowMs) : null
  const asked = useRef<{
    readonly period: PeriodFacts
    readonly tasks: readonly PeriodTask[]
    readonly nowMs: number
  } | null>(null)
  useEffect(() => {
    asked.current = period && tasks.length > 0 ? { period, tasks, nowMs: toldMs } : null
  })
  useEffect(() => {
    // Asks the worker, which is outside React; an answer that comes after the next question is dropped.
    const question = asked.current
    if (key === null || question === null) return
    let wanted = true
    setAsking(key)
    void plan(
      question,
      (answer) => {
        if (!wanted) return false
        setAnswered((before) => ({
          ...answer,
          // A planner that failed takes nothing away: the plan so far stands.
          plan: answer.plan ?? (before?.period === answer.period ? before.plan : null),
          changed: answer.changed ?? before?.changed ?? null,
        }))
        if (answer.late !== null || answer.problem !== null) setAsking(null)
        return true
      },
      () => wanted,
    )
    return () => {
      wanted = false
    }
  }, [key])
  if (!period) return null
  const own = answered?.period === period.id ? answered : null
  return {
    period,
    tasks,
    plan: own?.plan ?? null,
    late: own?.late ?? null,
    problem: own?.problem ?? null,
    isBusy: asking !== null && asking === key,
    changed: own?.changed ?? null,
    nowMs,
  }
}

/** Anything that makes the plan another one; and each minute, since the bench may be off. */
function keyOf(period: PeriodFacts, tasks: readonly PeriodTask[], nowMs: number): string {
  return JSON.stringify([whatHappened(period, tasks), Math.floor(nowMs / MINUTE_MS)])
}

function whatHappened({ id, opened, putOff }: PeriodFacts, tasks: readonly PeriodTask[]): string {
  const states = tasks.map(({ id: task, state, durationMin }) => {
    const fromMs = state.is === 'open' ? 0 : state.fromMs
    return `${task} ${state.is} ${durationMin} ${fromMs}`
  })
  return JSON.stringify([id, opened.id, [...putOff.values()], states])
}

async function plan(
  { period, tasks, nowMs }: { period: PeriodFacts; tasks: readonly PeriodTask[]; nowMs: number },
  publish: (answer: Answered) => boolean,
  isWanted: () => boolean,
): Promise<void> {
  const { opened, putOff, id } = period
  const asked = { tasks, terms: opened.body, putOff, nowMs }
  const before = planBefore(period)
  let first: PeriodPlan | null = null
  if (before === null) {
    // A plan to begin with; the better one follows.
    const quick = await askPlanner((heavy) => heavy.planPeriod(asked, null, effortAtFirst(tasks.length)))
    if (quick.ok && !publish({ period: id, plan: quick.value, late: null, problem: null, changed: null }))
      return
    first = quick.ok ? quick.value : null
  }
  const planned = await askPlanner((heavy) => heavy.planPeriod(asked, before, effortFor(tasks)))
  if (!planned.ok) {
    publish({ period: id, plan: first, late: null, problem: planned.problem, changed: null })
    return
  }
  if (!(await publishPlan(planned.value))) return
  // While nobody asks for anything, other orders are looked for: one that gains three minutes is taken.
  const happened = whatHappened(period, tasks)
  let best = planned.value
  if (looked?.happened !== happened) looked = { happened, times: 0 }
  while (isMany(tasks) && !best.proven && looked.happened === happened && looked.times < LOOKS_MOST) {
    looked.times++
    const look = looked.times
    const again = await askPlanner((heavy) => heavy.lookAgain(asked, best, look))
    // What is not found in time changes nothing: the plan stands.
    if (!again.ok || !isWanted()) return
    if (again.value === null) continue
    best = again.value
    if (!(await publishPlan(best))) return
  }

  /** The plan is told and kept, with what becomes of it when it gets late; false where nobody wants it any more. */
  async function publishPlan(value: PeriodPlan): Promise<boolean> {
    const changed = value.changed === null ? null : { sentence: value.changed, atMs: nowMs }
    if (!publish({ period: id, plan: value, late: null, problem: null, changed })) return false
    keepPlan(period, value)
    // Another order is something that happened; minutes that go by are not.
    const seen = JSON.stringify([whatHappened(period, tasks), orderOf(value)])
    const held =
      lastShown?.happened === seen && value.makespanMin <= value.deadlineMin ? lastShown.late : null
    const late: Result<IfLate> = held
      ? { ok: true, value: held }
      : await askPlanner((heavy) => heavy.whenLate(asked, value))
    if (late.ok) lastShown = { happened: seen, late: late.value }
    return publish({
      period: id,
      plan: value,
      late: late.ok ? late.value : null,
      problem: late.ok ? null : late.problem,
      changed: null,
    })
  }
}

/** Further looks at a plan of many tasks, while nothing happens. */
const LOOKS_MOST = 4
let looked: { happened: string; times: number } | null = null

const orderOf = ({ starts }: PeriodPlan) =>
  Object.keys(starts).sort((p, q) => (starts[p] ?? 0) - (starts[q] ?? 0) || (p < q ? -1 : 1))

/** A last moment that was said holds until something happens: time alone does not move it. */
let lastShown: { readonly happened: string; readonly late: IfLate } | null = null

/** Few tasks are proven; of many a minute or two more is not worth seconds of a telephone’s time. */
function effortFor(tasks: readonly PeriodTask[]): number {
  return isMany(tasks) ? MANY_EFFORT : 1
}
function isMany(tasks: readonly PeriodTask[]): boolean {
  return tasks.filter(({ state, isOptional }) => state.is === 'open' && !isOptional).length > PROVEN_TO
}

/** The order is kept over a reload, and by every window of this browser. */
const keyOfPlan = ({ id, opened }: PeriodFacts) => `plan ${id} ${opened.id}`
function keepPlan(period: PeriodFacts, { starts, makespanMin }: PeriodPlan): void {
  storeValue(keyOfPlan(period), JSON.stringify({ starts, makespanMin } satisfies EarlierPlan))
}
function planBefore(period: PeriodFacts): EarlierPlan | null {
  const stored = remembered(keyOfPlan(period))
  return stored === null ? null : (JSON.parse(stored) as EarlierPlan)
}
