import { attempt, ImpossibleInput } from '../problems'
import { AT_FIRST, few } from './effort'
import { type BenchSession, compile, type Compiled, type Happened } from './session/compiled'
import { criticalPathOf, prepChanges } from './session/criticalPath'
import { firstOrder } from './session/firstOrders'
import { improve } from './session/improve'
import { tailsOf } from './session/lags'
import { regroup } from './session/regroup'
import { canEndBy, type Found, provenLeast, type Rank, search } from './session/search'

/** What a plan of a session is: when each task begins, min from the start of the session. */
export interface SessionPlan {
  readonly starts: Readonly<Record<string, number>>
  readonly makespanMin: number
  /** No plan ends before this. */
  readonly lowerBoundMin: number
  /** The plan is known to end as soon as any can. */
  readonly proven: boolean
  /** What everything waits for, in order. */
  readonly criticalPath: readonly string[]
  /** How often the hands go from one prep to another. */
  readonly changesOfPrep: number
}
export interface Replan extends SessionPlan {
  /** Tasks that have waited longer than they should: planned as soon as can be. */
  readonly overWaited: readonly string[]
}

/** Nodes of the search times the third power of the tasks: each takes longer the more tasks there are. */
const WORK = 300_000_000
/** A part of that is tried before the plan is bettered piece by piece: it is enough for most periods. */
const WORK_AT_FIRST = 0.15
/** Pieces of a plan that are tried anew before the proof is begun in earnest. */
const ROUNDS = 400
/** A part of that looks for the fewest changes of prep among plans that end alike. */
const WORK_ON_ORDER = 0.25

/**
 * The lab period’s tasks in the order that is over soonest: hands and shared things are held by no more than there is,
 * waits are kept, what must never go on at the same time does not. Among plans that end alike it takes one with few
 * changes of prep, then with its critical tasks early.
 *
 * Branch and bound; proven to about 18 tasks, beyond that a good plan and the bound it is held against.
 *
 * @param session whole minutes
 * @throws ImpossibleInput on tasks in a circle, ids twice or unknown, needs above the capacity, minutes that are not whole
 * @example planBenchSession({ tasks: [{ id: 'dissolve', durationMin: 10, after: [], needs: { hands: 1 } }], capacity: { hands: 1 } }).makespanMin // 10
 */
export function planBenchSession(session: BenchSession): SessionPlan {
  return planned(compile(session), session, 1)
}

/**
 * The rest of a session, planned anew from now: what has begun stays where it began, a task still going on lasts until
 * now at least, and nothing new begins before now.
 *
 * @param session with what has happened, min from its start; `done` holds when each task ended
 * @param effort how much of the usual work is put into it, 0 to 1: little will do where the order is all but given
 * @throws ImpossibleInput as {@link planBenchSession}
 */
export function replan(session: BenchSession & Happened, effort = 1): Replan {
  const { nowMin, started, done } = session
  const happened = { nowMin, started, done }
  const compiled = compile(session, happened)
  return { ...planned(compiled, session, effort), overWaited: compiled.overWaited }
}

/**
 * Whether the rest of a session can be over by a time. It may say no where telling would take too long.
 *
 * @throws ImpossibleInput as {@link planBenchSession}
 */
export function canBeOverBy(session: BenchSession & Happened, byMin: number): boolean {
  const { nowMin, started, done } = session
  const compiled = compile(session, { nowMin, started, done })
  const tails = tailsOf(compiled, compiled.lags, new Int32Array(compiled.size))
  // An order that is found soon says yes; only to say no everything has to be looked through.
  const soon = firstOrder(compiled, tails, byMin, WORK_FOR_YES)
  if (soon && soon.endMin <= byMin) return true
  return canEndBy(compiled, byMin, Math.ceil(WORK / 4 / compiled.size ** 3))
}

/** A part of the usual work looks for a quick yes. */
const WORK_FOR_YES = 0.1
/** So many orders of urgency, and so many nodes of a search, to see whether there is any order at all. */
const TRIES_FOR_ANY = 12
const NODES_FOR_ANY = 150
const triesForAny = ({ size }: Compiled) => Math.ceil(TRIES_FOR_ANY * few(size, 2))
const nodesForAny = ({ size }: Compiled) => Math.ceil(NODES_FOR_ANY * few(size, 3))

/**
 * Some order that keeps every wait, found soon and not bettered.
 *
 * @returns minutes by task; null where none was found, which may be for want of looking
 */
export function anyOrder(session: BenchSession & Happened): SessionPlan['starts'] | null {
  const { nowMin, started, done, tasks } = session
  const tried = attempt(() => compile(session, { nowMin, started, done }))
  if (!tried.ok) return null
  const compiled = tried.value
  const tails = tailsOf(compiled, compiled.lags, new Int32Array(compiled.size))
  const found =
    firstOrder(compiled, tails, Infinity, 0, triesForAny(compiled)) ??
    search(compiled, nodesForAny(compiled), null, () => []).found
  return found ? Object.fromEntries(tasks.map(({ id }, i) => [id, found.starts[i + 1] ?? 0])) : null
}

function planned(compiled: Compiled, session: BenchSession, effort: number): SessionPlan {
  const { tasks } = session
  if (tasks.length === 0)
    return { starts: {}, makespanMin: 0, lowerBoundMin: 0, proven: true, criticalPath: [], changesOfPrep: 0 }
  const nodesMost = Math.ceil((effort * WORK) / compiled.size ** 3)
  const rank = rankOf(compiled)
  const tails = tailsOf(compiled, compiled.lags, new Int32Array(compiled.size))
  // With however little effort, an order is given where a little search finds one.
  const least = provenLeast(compiled, Infinity)
  const first =
    firstOrder(compiled, tails, least, effort, effort > AT_FIRST ? undefined : triesForAny(compiled)) ??
    search(compiled, nodesForAny(compiled), null, () => []).found
  const quick = search(compiled, nodesMost * WORK_AT_FIRST, first, rank)
  const floor = quick.isProven ? 0 : Math.min(least, quick.found?.endMin ?? least)
  const better =
    quick.isProven || !quick.found
      ? quick.found
      : improve(compiled, quick.found, Math.floor(ROUNDS * effort), floor, rank)
  const { found, isProven } = quick.isProven ? quick : search(compiled, nodesMost, better, rank)
  if (!found)
    throw new ImpossibleInput(
      'no-plan',
      'No order keeps every limit: at least one wait would be longer than allowed.',
    )
  const { changeMin } = session
  const soonest = search(compiled, nodesMost * WORK_ON_ORDER, found, rank, 'as soon').found ?? found
  const ordered = changeMin === undefined ? soonest : regroup(compiled, soonest, changeMin, effort)
  return sessionPlanOf(compiled, ordered, isProven ? found.endMin : floor, isProven)
}

function rankOf(compiled: Compiled): Rank {
  return (found) => {
    const path = criticalPathOf(compiled, found)
    return [prepChanges(compiled, found), path.reduce((sum, i) => sum + (found.starts[i] ?? 0), 0)]
  }
}

function sessionPlanOf(compiled: Compiled, found: Found, leastMin: number, isProven: boolean): SessionPlan {
  const { tasks } = compiled
  return {
    starts: Object.fromEntries(tasks.map(({ id }, i) => [id, found.starts[i + 1] ?? 0])),
    makespanMin: found.endMin,
    lowerBoundMin: leastMin,
    proven: isProven && found.endMin === leastMin,
    criticalPath: criticalPathOf(compiled, found).map((i) => tasks[i - 1]?.id ?? ''),
    changesOfPrep: prepChanges(compiled, found),
  }
}

/**
 * A further look at a plan of that session: other orders near it, the best of them, or it itself.
 *
 * @param known starts of a plan that keeps every wait of the session, min by task
 * @param look the how-manieth: each tries others
 * @param effort how much of the usual work is put into it, 0 to 1
 * @throws ImpossibleInput as {@link planBenchSession}
 */
export function lookAgain(
  session: BenchSession & Happened,
  known: SessionPlan['starts'],
  look: number,
  effort: number,
): SessionPlan {
  const { nowMin, started, done, tasks, changeMin = 0 } = session
  const compiled = compile(session, { nowMin, started, done })
  const starts = compiled.lags.slice(0, compiled.size)
  tasks.forEach(({ id }, i) => {
    starts[i + 1] = known[id] ?? starts[i + 1] ?? 0
  })
  const endMin = Math.max(
    0,
    ...tasks.map(({ durationMin }, i) => (starts[i + 1] ?? 0) + (compiled.durations[i + 1] ?? durationMin)),
  )
  const least = provenLeast(compiled, endMin)
  const asItIs = { starts, endMin }
  const better = improve(compiled, asItIs, ROUNDS * effort, least, rankOf(compiled), look)
  // What ends sooner may change preps oftener: both are regrouped, and the cheaper is taken.
  const costOf = (found: Found) => found.endMin + changeMin * prepChanges(compiled, found)
  const best = [asItIs, better]
    .map((found) => regroup(compiled, found, changeMin, effort, look))
    .reduce((p, q) => (costOf(q) < costOf(p) ? q : p))
  return sessionPlanOf(compiled, best, least, best.endMin === least)
}
