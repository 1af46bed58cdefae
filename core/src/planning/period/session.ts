import type { EpochMs, SubjectId } from '../../ids'
import type { BenchSession, Busy, Happened, SessionTask } from '../../scheduling/session/compiled'
import type { Chain } from '../../scheduling/whatFits'
import type { PeriodOpened } from '../../notebook/kinds/period-opened/kind'
import type { TaskSetAside } from '../../notebook/kinds/task-set-aside/kind'
import { isSameRun, runsUnderWay, waitingForRun } from './runsUnderWay'
import { coolsMin, MINUTE_MS, type PeriodTask, TAGS } from './task'

/** What a bench has besides hands: two flasks on a plate or in a bath, three in a tub of ice. A rule of the bench. */
export const BENCH_HAS = { 'hot plate': 2, ice: 3, balance: 1, centrifuge: 1 } as const
/** Going from one prep to another and back costs thought, and mistakes: a change counts as so many minutes. A rule. */
export const CHANGE_MIN = 1.5
/** Dummies of the plan: not tasks, but the time until one may begin. */
const NOT_BEFORE = 'not before '

export type PeriodTerms = Pick<PeriodOpened, 'beginsAtMs' | 'endsAtMs' | 'hands' | 'busy' | 'first'>

/** A period as the planner takes it: whole minutes from its beginning. */
export interface PeriodSession {
  readonly session: BenchSession & Happened
  readonly chains: readonly Chain[]
  readonly deadlineMin: number
  /** Left for another day: set aside by hand, what waits for that, and what is done only when asked for. */
  readonly aside: readonly string[]
}

/**
 * The open tasks of a period with what has happened, for the planner.
 *
 * @param tasks of the bench
 * @param putOff what was put off by hand, by task
 */
export function sessionOf(
  tasks: readonly PeriodTask[],
  terms: PeriodTerms,
  putOff: ReadonlyMap<string, TaskSetAside>,
  nowMs: EpochMs,
): PeriodSession {
  const minOf = (ms: EpochMs) => Math.floor((ms - terms.beginsAtMs) / MINUTE_MS)
  // A period that has not begun is planned from its beginning.
  const nowMin = Math.max(0, minOf(nowMs))
  const aside = asideOf(tasks, putOff)
  const remaining = tasks.filter(({ id, state }) => !aside.has(id) && state.is !== 'done')
  const done = new Map(
    tasks.flatMap((task) => (task.state.is === 'done' ? [[task.id, task.state.toMs]] : [])),
  )
  // Of what is done only that counts which something open may not be kept waiting for, or must still wait after.
  const counts = new Set(
    remaining.flatMap(({ after }) =>
      after
        .filter(({ task, waitMin, waitMaxMin }) => done.has(task) && (waitMin ?? waitMaxMin) !== undefined)
        .map(({ task }) => task),
    ),
  )
  const gaps = coolingGaps(tasks.filter(({ id }) => !aside.has(id)))
  // A run that is over has left its instrument hot for the next.
  for (const { before } of gaps) if (done.has(before)) counts.add(before)
  const past = tasks.filter(({ id }) => counts.has(id))
  const known = new Set([...remaining, ...past].map(({ id }) => id))
  const running = runningAtOnce(remaining, terms.hands)
  const { busy, notBeforeMin } = busyOf(terms, minOf, nowMin, tasks)
  const later = remaining.flatMap(({ id, state, notBeforeMs }) => {
    const put = putOff.get(id)
    const untilMs = put?.until === 'a time' ? (put.untilAtMs ?? null) : null
    const atMin = Math.max(
      minOf(untilMs ?? -Infinity),
      Math.ceil(minOf(notBeforeMs ?? -Infinity)),
      notBeforeMin.get(id) ?? 0,
    )
    return state.is === 'open' && atMin > nowMin ? [{ id, atMin }] : []
  })
  const waitsForRun = waitingForRun(tasks)
  const plain: SessionTask[] = [...past, ...remaining].map(
    ({ id, durationMin, after, needs, tags, prep, state }) => ({
      id,
      durationMin:
        state.is === 'running' && running.has(id)
          ? Math.max(0, minOf(state.untilMs) - minOf(state.fromMs))
          : durationMin,
      after: [
        ...(id === CLEAR_UP ? allHandsOf(remaining) : after).filter(({ task }) => known.has(task)),
        ...(waitsForRun.get(id) ?? []).filter(({ task }) => known.has(task)),
        ...(later.some((one) => one.id === id) ? [{ task: NOT_BEFORE + id }] : []),
      ],
      needs,
      ...(tags ? { tags } : {}),
      ...(prep === undefined ? {} : { prep }),
    }),
  )
  const began: (readonly [string, number])[] = [
    ...remaining.flatMap(({ id, state }): (readonly [string, number])[] =>
      state.is === 'running' && running.has(id) ? [[id, Math.min(nowMin, minOf(state.fromMs))]] : [],
    ),
    ...past.flatMap(({ id, state }): (readonly [string, number])[] =>
      state.is === 'done' ? [[id, minOf(state.fromMs)]] : [],
    ),
  ]
  return {
    session: {
      tasks: [
        ...plain,
        ...later.map(({ id, atMin }) => ({
          id: NOT_BEFORE + id,
          durationMin: atMin - nowMin,
          after: [],
          needs: {},
        })),
      ],
      capacity: capacityOf(tasks, terms.hands),
      changeMin: CHANGE_MIN,
      never: neverOf(terms.hands),
      gaps,
      busy,
      nowMin,
      started: Object.fromEntries(began),
      done: Object.fromEntries(past.map(({ id }) => [id, minOf(done.get(id) ?? nowMs)])),
    },
    chains: chainsOf(tasks, remaining, terms.first),
    deadlineMin: minOf(terms.endsAtMs),
    aside: [...aside],
  }
}

/** A dummy of the plan stands for no task. */
export function isTask(id: string): boolean {
  return !id.startsWith(NOT_BEFORE)
}

/** A flame and flammable vapour, ever; and one person cannot see to a bath with the eye at a lens. */
function neverOf(hands: number): BenchSession['never'] {
  const ever = [[TAGS.flame, TAGS.vapour]] as const
  return hands === 1 ? [...ever, [TAGS.inSight, TAGS.eyesAway]] : ever
}

/** With so many hands so many things are gone on with; of those begun, the latest. */
function runningAtOnce(tasks: readonly PeriodTask[], hands: number): ReadonlySet<string> {
  const begun = tasks.flatMap((task) =>
    task.state.is === 'running' ? [{ task, fromMs: task.state.fromMs }] : [],
  )
  const byHand = begun
    .filter(({ task }) => !task.isAlone)
    .sort((p, q) => q.fromMs - p.fromMs)
    .slice(0, hands)
  return new Set([...begun.filter(({ task }) => task.isAlone), ...byHand].map(({ task }) => task.id))
}

/** What is left out, and all that cannot be done without it. What is done only when asked for is left out until then. */
function asideOf(
  tasks: readonly PeriodTask[],
  putOff: ReadonlyMap<string, TaskSetAside>,
): ReadonlySet<string> {
  const isAskedFor = (task: PeriodTask) =>
    tasks.some(
      ({ of, isOptional, id }) => of === task.of && isOptional && putOff.get(id)?.until === 'not put off',
    )
  const aside = new Set(
    tasks
      .filter((task) => {
        if (task.state.is !== 'open') return false
        const put = putOff.get(task.id)?.until
        return put === 'another day' || (task.isOptional && !isAskedFor(task) && !isBegun(tasks, task))
      })
      .map(({ id }) => id),
  )
  for (let grew = true; grew;) {
    grew = false
    for (const task of tasks) {
      if (aside.has(task.id) || task.state.is !== 'open' || task.of === null) continue
      const waits = task.after.some(({ task: before }) => {
        const one = tasks.find(({ id }) => id === before)
        return one !== undefined && aside.has(before) && one.isOptional === task.isOptional && !isSpare(one)
      })
      if (!waits && !isForNothing(tasks, task, aside)) continue
      aside.add(task.id)
      grew = true
    }
  }
  return aside
}

/** A tube is packed for a melt: where that is left, so is the tube. */
function isForNothing(tasks: readonly PeriodTask[], { id }: PeriodTask, aside: ReadonlySet<string>): boolean {
  if (!/\/(pack|grind)\b/.test(id)) return false
  const next = tasks.filter(({ after }) => after.some(({ task }) => task === id))
  return next.length > 0 && next.every((one) => aside.has(one.id))
}

/** An optional row that has been begun is gone on with. */
function isBegun(tasks: readonly PeriodTask[], task: PeriodTask): boolean {
  return tasks.some(({ of, isOptional, state }) => of === task.of && isOptional && state.is !== 'open')
}

/** The rest of a prep can be done without a tube of its crude. */
function isSpare({ id }: PeriodTask): boolean {
  return id.endsWith('/pack crude')
}

function capacityOf(tasks: readonly PeriodTask[], hands: number): Record<string, number> {
  const instruments = tasks.flatMap(({ needs }) => Object.keys(needs)).map((name) => [name, 1] as const)
  const others: Record<string, number> = Object.fromEntries(instruments)
  return { ...others, ...BENCH_HAS, hands, flame: 1 }
}

function busyOf(
  { busy }: PeriodTerms,
  minOf: (ms: EpochMs) => number,
  nowMin: number,
  tasks: readonly PeriodTask[],
): { readonly busy: readonly Busy[]; readonly notBeforeMin: ReadonlyMap<string, number> } {
  const used = new Set(tasks.flatMap(({ needs }) => Object.keys(needs)))
  const ours = runsUnderWay(tasks, minOf, nowMin)
  const notBeforeMin = new Map<string, number>()
  const occupied = busy.flatMap(({ what, fromAtMs, toAtMs }) => {
    const [fromMin, toMin] = [Math.max(0, minOf(fromAtMs)), minOf(toAtMs)]
    if (toMin <= fromMin || (what !== 'flame' && !used.has(what))) return []
    // Tubes that are in are not taken out because somebody else had it: that is settled between people.
    const untilMin = ours.get(what)
    if (untilMin !== undefined && fromMin < untilMin + MAY_DRAG_ON_MIN) {
      for (const { id, run, state } of tasks)
        if (run?.does === 'begins' && run.instrument === what && state.is === 'open')
          notBeforeMin.set(id, Math.max(toMin, notBeforeMin.get(id) ?? 0))
      return []
    }
    const amount = what === 'hot plate' ? BENCH_HAS['hot plate'] : 1
    return [{ resource: what, fromMin, toMin, amount, ...(what === 'flame' ? { tags: [TAGS.flame] } : {}) }]
  })
  return { busy: occupied, notBeforeMin }
}
/** A run may be over so much later than it should. */
const MAY_DRAG_ON_MIN = 30

/** Each prep or unknown as a row that can be left standing; what matters most first, else what was begun first. */
function chainsOf(
  all: readonly PeriodTask[],
  tasks: readonly PeriodTask[],
  first: SubjectId | null,
): readonly Chain[] {
  const of = [...new Set(tasks.flatMap((task) => task.of ?? []))]
  return [...of]
    .sort((p, q) => Number(q === first) - Number(p === first))
    .map((id) => {
      const mine = tasks.filter((task) => task.of === id)
      return {
        id,
        tasks: mine.map((task) => task.id),
        stops: mine.flatMap((task) => (task.stop ? [{ after: task.id, words: task.stop }] : [])),
        isOpen: standsOpen(all.filter((task) => task.of === id)),
      }
    })
}

/** Begun is begun: from the first task that is done until a safe stop after all that was done. */
function standsOpen(tasks: readonly PeriodTask[]): boolean {
  const done = tasks.filter(({ state, isHarmless }) => state.is !== 'open' && !isHarmless)
  if (done.length === 0) return false
  if (done.some(({ state }) => state.is === 'running')) return true
  const byId = new Map(tasks.map((task) => [task.id, task]))
  const behind = (id: string, found = new Set<string>()): ReadonlySet<string> => {
    if (found.has(id)) return found
    found.add(id)
    for (const { task } of byId.get(id)?.after ?? []) behind(task, found)
    return found
  }
  return !done.some(({ id, leavesSafe }) => {
    if (!leavesSafe) return false
    const covered = behind(id)
    return done.every((one) => covered.has(one.id))
  })
}

/** How the bench is left at the end: after everything that hands still do, whatever is left for another day. */
const CLEAR_UP = 'bench/clear up'
function allHandsOf(chosenTasks: readonly PeriodTask[]): PeriodTask['after'] {
  const others = chosenTasks.filter(({ id, state }) => id !== CLEAR_UP && state.is === 'open')
  const waited = new Set(others.flatMap(({ after }) => after.map(({ task }) => task)))
  // What goes on by itself at the very end of its row is waited for as well.
  return others.filter(({ id, isAlone }) => !isAlone || !waited.has(id)).map(({ id }) => ({ task: id }))
}

/** Between two runs of one instrument it cools, from where the first ends to where the next begins. */
function coolingGaps(tasks: readonly PeriodTask[]): NonNullable<BenchSession['gaps']> {
  const ends = tasks.filter(({ run }) => run?.does === 'ends')
  const begins = tasks.filter(({ run, state }) => run?.does === 'begins' && state.is === 'open')
  return ends.flatMap((before) =>
    begins.flatMap((after) => {
      if (before.run?.instrument !== after.run?.instrument || isSameRun(before, after)) return []
      const minutes = before.run && after.run ? coolsMin(before.run, after.run) : 0
      return minutes > 0 ? [{ before: before.id, after: after.id, minutes }] : []
    }),
  )
}
