import type { EpochMs } from '../../ids'
import { attempt } from '../../problems'
import type { TaskSetAside } from '../../notebook/kinds/task-set-aside/kind'
import { anyOrder, lookAgain, replan, type SessionPlan } from '../../scheduling/planBenchSession'
import { overdueFirst } from '../../scheduling/overdue'
import { roomOf } from '../../scheduling/roomOf'
import { type BrokenWait, brokenWaits, softened } from '../../scheduling/softened'
import type { BenchSession, Happened } from '../../scheduling/session/compiled'
import { uncapital, minutesInWords } from '../../words'
import { CHANGE_MIN, isTask, type PeriodSession, type PeriodTerms, sessionOf } from './session'
import { withSlack } from './slack'
import type { PeriodTask } from './task'

/** A plan as it stood, to be kept to where nothing much is gained by another. */
export interface EarlierPlan {
  readonly starts: Readonly<Record<string, number>>
  readonly makespanMin: number
}
/** The rest of the period, planned. Minutes from its beginning. */
export interface PeriodPlan extends SessionPlan {
  readonly deadlineMin: number
  /** How much later each open task may begin without the end moving, in this order. */
  readonly room: Readonly<Record<string, number>>
  /** Not in this period. */
  readonly aside: readonly string[]
  /** Waits at most that are not kept, by how much: no order keeps them any more, or they were over before. */
  readonly broken: readonly BrokenWait[]
  /** No order keeps what runs away from a declared flame: planned as if there were none, and to be said. */
  readonly isAgainstFlame: boolean
  /** What changed against the plan before, in one sentence; null while nothing did. */
  readonly changed: string | null
}

/** So far off the plan may be before it is made anew, min. */
const OFF_BY_MIN = 2
/** With the order given there is little to find. */
const KEPT_EFFORT = 0.03
/** Whether another order gains minutes is soon seen. */
export const ANEW_EFFORT = 0.3
/** So much of the usual work is put into the question whether there is any order. */
const LOOKED_FOR = 0.02
/** With more tasks than this the slack is not looked for a second time: without it there is a plan too. */
const LOOKED_FOR_UP_TO = 75
/** Another order is taken only when it gains this much, min. */
const GAIN_MIN = 3

/**
 * Plans the rest of a period. What has begun stays; the order stays too unless another gains three minutes; and while
 * the bench is no more than two minutes off, so does the plan.
 *
 * @param before the plan so far, or null
 * @param effort how much of the usual work is put into it, 0 to 1
 */
export function replanPeriod(
  tasks: readonly PeriodTask[],
  terms: PeriodTerms,
  putOff: ReadonlyMap<string, TaskSetAside>,
  nowMs: EpochMs,
  before: EarlierPlan | null,
  effort = 1,
): PeriodPlan {
  const prepared = prepare(tasks, terms, putOff, nowMs)
  return periodPlanOf(prepared, planned(prepared.session, tasks, before, effort))
}

/**
 * A further look at a plan, while there is time: another order that gains three minutes.
 *
 * @param plan as it stands
 * @param look the how-manieth: each tries others
 * @returns null where none was found
 */
export function secondLook(
  tasks: readonly PeriodTask[],
  terms: PeriodTerms,
  putOff: ReadonlyMap<string, TaskSetAside>,
  nowMs: EpochMs,
  plan: EarlierPlan,
  look: number,
  effort = LOOK_EFFORT,
): PeriodPlan | null {
  const prepared = prepare(tasks, terms, putOff, nowMs)
  const { session } = prepared
  const tried = attempt(() => replan(inOrder(session, plan), KEPT_EFFORT))
  if (!tried.ok) return null
  const better = lookAgain(session, tried.value.starts, look, effort)
  if (costOf(tried.value) - costOf(better) < GAIN_MIN) return null
  const gainedMin = tried.value.makespanMin - better.makespanMin
  return periodPlanOf(prepared, { plan: better, changed: turnOf(tasks, session, better, plan, gainedMin) })
}
/** One look takes about as long as a first plan. */
const LOOK_EFFORT = 0.3

interface Prepared {
  readonly asked: PeriodSession
  /** With what no order keeps let go. */
  readonly session: Session
  readonly isAgainstFlame: boolean
}

function prepare(
  tasks: readonly PeriodTask[],
  terms: PeriodTerms,
  putOff: ReadonlyMap<string, TaskSetAside>,
  nowMs: EpochMs,
): Prepared {
  const asked = sessionOf(tasks, terms, putOff, nowMs)
  const due = overdueFirst(asked.session)
  const keeping = (session: Session, isLookedFor = true) =>
    anyOrder(session) === null && !(isLookedFor && attempt(() => replan(session, LOOKED_FOR)).ok)
      ? null
      : session
  // What is on the heat already may not be left until a flame next door is out: that is settled between people.
  const hasFlame = terms.busy.some(({ what }) => what === 'flame')
  const withinSlack = keeping(withSlack(due, tasks), tasks.length <= LOOKED_FOR_UP_TO) ?? keeping(due)
  const flameless = withinSlack === null && hasFlame ? keeping(withoutFlames(due)) : null
  // Where no order keeps every wait, the fewest and least harmful are let go.
  const session = withinSlack ?? flameless ?? softened(due).session
  return { asked, session, isAgainstFlame: flameless !== null }
}

function periodPlanOf(
  { asked, session, isAgainstFlame }: Prepared,
  { plan, changed }: { readonly plan: SessionPlan; readonly changed: string | null },
): PeriodPlan {
  return {
    ...plan,
    isAgainstFlame,
    broken: brokenWaits(asked.session, plan.starts),
    starts: Object.fromEntries(Object.entries(plan.starts).filter(([id]) => isTask(id))),
    criticalPath: plan.criticalPath.filter(isTask),
    deadlineMin: asked.deadlineMin,
    room: roomOf(session, plan),
    aside: asked.aside,
    changed,
  }
}

type Session = BenchSession & Happened

function withoutFlames(session: Session): Session {
  return { ...session, busy: session.busy?.filter(({ resource }) => resource !== 'flame') ?? [] }
}

function planned(
  session: Session,
  tasks: readonly PeriodTask[],
  before: EarlierPlan | null,
  effort: number,
): { readonly plan: SessionPlan; readonly changed: string | null } {
  const isNew = before === null || !session.tasks.some(({ id }) => before.starts[id] !== undefined)
  if (isNew) return { plan: replan(session, effort), changed: null }
  const tried = attempt(() => replan(inOrder(session, before), KEPT_EFFORT))
  const plan = tried.ok ? tried.value : null
  if (plan && isAsPlanned(session, plan, before)) return { plan, changed: null }
  const free = replan(session, plan ? ANEW_EFFORT * effort : effort)
  if (plan && costOf(plan) - costOf(free) < GAIN_MIN)
    return { plan, changed: slipOf(tasks, session, plan, before) }
  const gainedMin = plan ? plan.makespanMin - free.makespanMin : null
  return { plan: free, changed: turnOf(tasks, session, free, before, gainedMin) }
}

/** When it is over, with its changes of prep for the minutes they count as. */
const costOf = ({ makespanMin, changesOfPrep }: SessionPlan) => makespanMin + CHANGE_MIN * changesOfPrep

/** The same session with its open hands' work in the order of the plan so far. */
function inOrder(session: Session, before: EarlierPlan): Session {
  const open = session.tasks
    .filter(({ id, needs }) => (needs['hands'] ?? 0) > 0 && !isUnderWay(session, id))
    .flatMap((task) => {
      const startMin = before.starts[task.id]
      return startMin === undefined ? [] : [{ task, startMin }]
    })
    .sort((p, q) => p.startMin - q.startMin)
  const follows = new Map(
    open.map(({ task, startMin }, i) => [
      task.id,
      open
        .slice(0, i)
        .filter((one) => one.startMin + one.task.durationMin <= startMin)
        .slice(-session.capacity['hands']! * 2)
        .map((one) => ({ task: one.task.id })),
    ]),
  )
  return {
    ...session,
    tasks: session.tasks.map((task) => ({
      ...task,
      after: [
        ...task.after,
        ...(follows.get(task.id) ?? []).filter((one) => !task.after.some((same) => same.task === one.task)),
      ],
    })),
  }
}

function isUnderWay({ started, done }: Happened, id: string): boolean {
  return started[id] !== undefined || done[id] !== undefined
}

function isAsPlanned(session: Session, plan: SessionPlan, before: EarlierPlan): boolean {
  return session.tasks.every(({ id }) => {
    if (!isTask(id)) return true
    const was = before.starts[id]
    return was !== undefined && Math.abs((plan.starts[id] ?? 0) - was) <= OFF_BY_MIN
  })
}

/** The order stayed, and the end moved: by how much, and for whom everything waits. */
function slipOf(
  tasks: readonly PeriodTask[],
  session: Session,
  plan: SessionPlan,
  before: EarlierPlan,
): string | null {
  const byMin = plan.makespanMin - before.makespanMin
  if (Math.abs(byMin) <= OFF_BY_MIN) return null
  if (byMin < 0) return `You will finish ${minutesInWords(-byMin)} earlier than planned.`
  const late = session.tasks
    .flatMap((task) => {
      const [was, is] = [before.starts[task.id], plan.starts[task.id]]
      const words = tasks.find(({ id }) => id === task.id)?.words
      const byMin = (is ?? 0) - (was ?? Infinity)
      return words !== undefined && byMin > OFF_BY_MIN ? [{ words, startMin: is ?? 0, byMin }] : []
    })
    .sort((p, q) => p.startMin - q.startMin)[0]
  return `You will finish ${minutesInWords(byMin)} later than planned${late ? `: “${uncapital(late.words)}” moves by ${minutesInWords(late.byMin)}` : ''}.`
}

/** Another order is taken: what comes forward, and what it gains. */
function turnOf(
  tasks: readonly PeriodTask[],
  session: Session,
  plan: SessionPlan,
  before: EarlierPlan,
  gainedMin: number | null,
): string | null {
  const open = session.tasks.filter(
    ({ id, needs }) =>
      (needs['hands'] ?? 0) > 0 && !isUnderWay(session, id) && before.starts[id] !== undefined,
  )
  const by = (starts: EarlierPlan['starts']) =>
    [...open].sort((p, q) => (starts[p.id] ?? 0) - (starts[q.id] ?? 0)).map(({ id }) => id)
  const [was, is] = [by(before.starts), by(plan.starts)]
  const at = is.findIndex((id, i) => id !== was[i])
  const words = (id: string | undefined) => uncapital(tasks.find((task) => task.id === id)?.words ?? '')
  if (at < 0) return slipOf(tasks, session, plan, before)
  const gain =
    gainedMin === null ? 'the old order no longer works' : `that saves ${minutesInWords(gainedMin)}`
  return `Changed: “${words(is[at])}” comes before “${words(was[at])}”; ${gain}.`
}
