import { ImpossibleInput } from '../../problems'

/** A task may wait for another, at least so long and at most so long after its end, min. */
interface After {
  readonly task: string
  readonly waitMin?: number
  readonly waitMaxMin?: number
  /** How much it spoils to wait longer; the least is let go first where not every wait can be kept. */
  readonly harm?: number
}
export interface SessionTask {
  readonly id: string
  /** Whole minutes. */
  readonly durationMin: number
  readonly after: readonly After[]
  /** How much of each shared thing it holds while it goes on: hands, balance, block … */
  readonly needs: Readonly<Record<string, number>>
  /** Words `never` speaks of: “flame”, “flammable vapour”. */
  readonly tags?: readonly string[]
  /** What it takes is kept until another task is over, and has to cool for so long before it is anybody’s again. */
  readonly keeps?: { readonly thing: string; readonly until: string; readonly coolsMin: number }
  /** What it belongs to; changing between preps is avoided where it costs nothing. */
  readonly prep?: string
}
/** A shared thing that somebody else has for a while, min from the start of the session. */
export interface Busy {
  readonly resource: string
  readonly fromMin: number
  readonly toMin: number
  readonly amount: number
  readonly tags?: readonly string[]
}
export interface BenchSession {
  readonly tasks: readonly SessionTask[]
  readonly capacity: Readonly<Record<string, number>>
  /** Pairs of tags whose tasks must never go on at the same time. */
  readonly never?: readonly (readonly [string, string])[]
  readonly busy?: readonly Busy[]
  /** After the first of these the second may not begin sooner than so long, where both need one thing: it has to cool. */
  readonly gaps?: readonly { readonly before: string; readonly after: string; readonly minutes: number }[]
  /** A change of the hands from one prep to another counts as so many minutes; without it only orders that end alike are told apart by that. */
  readonly changeMin?: number
  /** When the room closes; it does not bend the plan, `whatFits` answers to it. */
  readonly deadlineMin?: number
}

/** No path from one node to another. */
export const NONE = -1_000_000

/**
 * A session as the search takes it. Node 0 is the start of the session; then the tasks; then what is busy, fixed.
 * `lags[i * size + j]` is the least start of j after the start of i, min; below 0 it is a latest start the other way.
 */
export interface Compiled {
  readonly size: number
  readonly tasks: readonly SessionTask[]
  readonly durations: Int32Array
  readonly isFixed: Uint8Array
  readonly resources: readonly { readonly capacity: number; readonly demand: Int32Array }[]
  /** Tasks that have waited longer than they should after one that is over: they are bound by that wait no more. */
  readonly overWaited: readonly string[]
  /** 1 where two nodes may never overlap: one thing they both need whole, or a `never`. */
  readonly apart: Uint8Array
  /** Minutes that must lie between the end of one and the start of the other of two that are apart. */
  readonly gaps: Int32Array
  readonly lags: Int32Array
}

/** What has happened already, by the id of its task. */
export interface Happened {
  readonly nowMin: number
  readonly started: Readonly<Record<string, number>>
  readonly done: Readonly<Record<string, number>>
}
const NOTHING_YET: Happened = { nowMin: 0, started: {}, done: {} }

/**
 * @throws ImpossibleInput on an id twice or unknown, minutes that are not whole or below 0, a need above the capacity,
 *   tasks that wait for each other in a circle
 */
export function compile(session: BenchSession, happened = NOTHING_YET): Compiled {
  requireSession(session)
  requireHappened(happened)
  const { tasks, capacity, never = [], busy = [], gaps: asked = [] } = session
  const size = 1 + tasks.length + busy.length
  const index = new Map(tasks.map(({ id }, i) => [id, i + 1]))
  const durations = new Int32Array(size)
  const isFixed = new Uint8Array(size)
  const lags = new Int32Array(size * size).fill(NONE)
  const demands = new Map(Object.keys(capacity).map((name) => [name, new Int32Array(size)]))
  const overWaited = new Set<string>()
  const tags: (readonly string[])[] = Array.from({ length: size }, () => [])
  const atLeast = (from: number, to: number, min: number) => {
    const at = from * size + to
    lags[at] = Math.max(lags[at] ?? NONE, min)
  }
  const fix = (node: number, startMin: number) => {
    isFixed[node] = 1
    atLeast(0, node, startMin)
    atLeast(node, 0, -startMin)
  }
  for (let node = 0; node < size; node++) atLeast(node, node, 0)

  for (const task of tasks) {
    const node = index.get(task.id) ?? 0
    const past = pastOf(task, happened)
    durations[node] = past?.durationMin ?? task.durationMin
    tags[node] = past?.isDone ? [] : (task.tags ?? [])
    if (past) fix(node, past.startMin)
    else atLeast(0, node, happened.nowMin)
    if (!past?.isDone)
      for (const [name, amount] of Object.entries(task.needs)) {
        const demand = demands.get(name)
        if (demand) demand[node] = amount
      }
  }
  for (const task of tasks) {
    const node = index.get(task.id) ?? 0
    // What has begun has begun, whatever it should have waited for.
    if (isFixed[node]) continue
    for (const { task: id, waitMin = 0, waitMaxMin } of task.after) {
      const before = index.get(id) ?? 0
      const durationMin = durations[before] ?? 0
      atLeast(before, node, durationMin + waitMin)
      if (waitMaxMin === undefined) continue
      if (isOverWaited(before, waitMaxMin)) overWaited.add(task.id)
      else atLeast(node, before, -(durationMin + waitMaxMin))
    }
  }
  busy.forEach(({ resource, fromMin, toMin, amount, tags: marked }, i) => {
    const node = 1 + tasks.length + i
    const from = Math.max(fromMin, 0)
    durations[node] = Math.max(0, toMin - from)
    tags[node] = marked ?? []
    const demand = demands.get(resource)
    if (demand) demand[node] = amount
    fix(node, from)
  })
  // After what has begun nothing else can come first: there the gap is a plain wait.
  for (const { before, after, minutes } of asked) {
    const [first, second] = [index.get(before) ?? 0, index.get(after) ?? 0]
    if (first && second && isFixed[first] && !isFixed[second])
      atLeast(first, second, (durations[first] ?? 0) + minutes)
  }
  const resources = [...demands].map(([name, demand]) => ({ capacity: capacity[name] ?? 0, demand }))
  return {
    size,
    tasks,
    durations,
    isFixed,
    resources,
    overWaited: [...overWaited],
    apart: apartOf(),
    gaps: gapsOf(),
    lags: closed(lags, size, tasks),
  }

  function isOverWaited(before: number, waitMaxMin: number): boolean {
    const endMin = -(lags[before * size] ?? 0) + (durations[before] ?? 0)
    return isFixed[before] === 1 && endMin + waitMaxMin < happened.nowMin
  }
  function gapsOf(): Int32Array {
    const gaps = new Int32Array(size * size)
    for (const { before, after, minutes } of asked) {
      const [first, second] = [index.get(before), index.get(after)]
      if (first !== undefined && second !== undefined) gaps[first * size + second] = minutes
    }
    return gaps
  }
  function apartOf(): Uint8Array {
    const apart = new Uint8Array(size * size)
    for (let i = 1; i < size; i++)
      for (let j = 1; j < size; j++) {
        if (i === j || durations[i] === 0 || durations[j] === 0) continue
        const isShort = resources.some(
          ({ capacity: most, demand }) =>
            (demand[i] ?? 0) > 0 && (demand[j] ?? 0) > 0 && (demand[i] ?? 0) + (demand[j] ?? 0) > most,
        )
        const isNever = never.some(
          ([p, q]) =>
            (tags[i]?.includes(p) && tags[j]?.includes(q)) || (tags[i]?.includes(q) && tags[j]?.includes(p)),
        )
        // Two things that go on already are told apart by nobody.
        if ((isShort || isNever) && !(isFixed[i] && isFixed[j])) apart[i * size + j] = 1
      }
    return apart
  }
}

/** When a task that has begun did, and how long it takes or took; null when it has not begun. */
function pastOf(
  { id, durationMin }: SessionTask,
  { nowMin, started, done }: Happened,
): { readonly startMin: number; readonly durationMin: number; readonly isDone: boolean } | null {
  const endMin = done[id]
  const startMin = started[id] ?? (endMin === undefined ? undefined : Math.max(0, endMin - durationMin))
  if (startMin === undefined) return null
  if (endMin !== undefined) return { startMin, durationMin: Math.max(0, endMin - startMin), isDone: true }
  // Still going on: it takes at least until now.
  return { startMin, durationMin: Math.max(durationMin, nowMin - startMin), isDone: false }
}

/** Longest paths between all nodes. */
function closed(lags: Int32Array, size: number, tasks: readonly SessionTask[]): Int32Array {
  for (let k = 0; k < size; k++)
    for (let i = 0; i < size; i++) {
      const toK = lags[i * size + k] ?? NONE
      if (toK === NONE) continue
      for (let j = 0; j < size; j++) {
        const fromK = lags[k * size + j] ?? NONE
        if (fromK !== NONE && toK + fromK > (lags[i * size + j] ?? NONE)) lags[i * size + j] = toK + fromK
      }
    }
  for (let i = 1; i < size; i++)
    if ((lags[i * size + i] ?? 0) > 0)
      throw new ImpossibleInput(
        'no-plan',
        `“${tasks[i - 1]?.id ?? 'something busy'}” can never begin. It and the task it waits for wait for each other, or its longest wait is too short.`,
      )
  return lags
}

function requireHappened({ nowMin, started, done }: Happened): void {
  for (const min of [nowMin, ...Object.values(started), ...Object.values(done)])
    if (!Number.isInteger(min)) throw new ImpossibleInput('no-plan', `${min} min: whole minutes are planned.`)
}

function requireSession({ tasks, capacity, busy = [] }: BenchSession): void {
  const ids = new Set<string>()
  const refuse = (sentence: string) => {
    throw new ImpossibleInput('no-plan', sentence)
  }
  const isWhole = (min: number) => Number.isInteger(min) && min >= 0
  for (const { id, durationMin, needs } of tasks) {
    if (ids.has(id)) refuse(`There are two tasks called “${id}”.`)
    ids.add(id)
    if (!isWhole(durationMin)) refuse(`“${id}” takes ${durationMin} min: whole minutes from 0 are planned.`)
    for (const [name, amount] of Object.entries(needs)) {
      if (!(amount >= 0)) refuse(`“${id}” needs ${amount} of ${name}.`)
      if (amount > (capacity[name] ?? 0))
        refuse(`“${id}” needs ${amount} of ${name}, and there is ${capacity[name] ?? 'none'}.`)
    }
  }
  for (const { id, after } of tasks)
    for (const { task, waitMin = 0, waitMaxMin } of after) {
      if (!ids.has(task)) refuse(`“${id}” waits for “${task}”, which is no task here.`)
      if (!isWhole(waitMin) || (waitMaxMin !== undefined && !isWhole(waitMaxMin)))
        refuse(`“${id}” waits ${waitMin} min after “${task}”: whole minutes from 0 are planned.`)
      if (waitMaxMin !== undefined && waitMaxMin < waitMin)
        refuse(`“${id}” must wait at least ${waitMin} and at most ${waitMaxMin} min after “${task}”.`)
    }
  for (const { resource, fromMin, toMin, amount } of busy) {
    if (!Number.isInteger(fromMin) || !Number.isInteger(toMin) || toMin < fromMin)
      refuse(`${resource} is busy from ${fromMin} to ${toMin} min: these are not whole minutes.`)
    if (!(amount >= 0)) refuse(`${amount} of ${resource} is busy.`)
  }
}
