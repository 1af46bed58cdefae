import { anyOrder } from './planBenchSession'
import type { BenchSession, Happened, SessionTask } from './session/compiled'

/** A wait at most that is not kept: what comes so much later than it should after what. */
export interface BrokenWait {
  readonly task: string
  readonly after: string
  readonly byMin: number
}
type Session = BenchSession & Happened
type After = SessionTask['after'][number]

/** A wait counts so much where nothing is said of it. */
const USUAL_HARM = 2
/** How closely the minutes of a broken wait are looked for. */
const WITHIN_MIN = 2

/**
 * A session that no order keeps every wait of, made so that there is one: the fewest waits are let go, the least harmful
 * first, and each by as little as is found.
 *
 * @returns the session with those waits lengthened, and which they are; as it was, and none, where an order keeps all
 * @throws ImpossibleInput where no order is found even without any wait at most
 */
export function softened(session: Session): {
  readonly session: Session
  readonly broken: readonly BrokenWait[]
} {
  const { done, nowMin } = session
  // One that is over already binds no more: nothing is gained by letting it go.
  const waits = waitsOf(session).filter(
    ({ after, waitMaxMin }) => (done[after] ?? Infinity) + waitMaxMin >= nowMin,
  )
  const findWith = (extra: Extra) => {
    const starts = anyOrder(longer(session, extra))
    return starts ? brokenIn(waits, session, starts) : null
  }
  const none: Extra = new Map()
  const atFirst = findWith(none)
  if (atFirst) return { session, broken: [] }
  // As little harm as will do: only then the next worse are let go too.
  let broken: Broken[] | null = null
  for (const most of [...new Set(waits.map(({ harm }) => harm))].sort((p, q) => p - q))
    broken ??= findWith(infinite(waits.filter(({ harm }) => harm <= most)))
  // Without its waits at most every session has an order; one that has not says why when it is planned.
  if (!broken) return { session, broken: [] }
  // The most harmful are kept first.
  for (const { key } of [...broken].sort(byHarm)) {
    if (!broken.some((one) => one.key === key)) continue
    const without: Broken[] | null = findWith(infinite(broken.filter((one) => one.key !== key)))
    if (without) broken = without
  }
  const extra = new Map(broken.map(({ key }) => [key, Infinity]))
  for (const { key } of [...broken].sort(byHarm)) {
    let [tooLittle, enough] = [0, broken.find((one) => one.key === key)?.byMin ?? 0]
    while (enough - tooLittle > WITHIN_MIN) {
      const middle = Math.floor((tooLittle + enough) / 2)
      const found = findWith(new Map(extra).set(key, middle))
      if (found) {
        broken = found
        enough = found.find((one) => one.key === key)?.byMin ?? 0
      } else tooLittle = middle
    }
    extra.set(key, enough)
  }
  const lags = broken.map(({ task, after, byMin }) => ({ task, after, byMin }))
  return { session: loosened(session, lags), broken: lags }
}

/** The session with those waits lengthened by as much as they are broken. */
export function loosened(session: Session, broken: readonly BrokenWait[]): Session {
  return longer(session, new Map(broken.map(({ task, after, byMin }) => [keyOf(task, after), byMin])))
}

type Extra = ReadonlyMap<string, number>
const keyOf = (task: string, after: string) => JSON.stringify([task, after])
const infinite = (waits: readonly Wait[]): Extra => new Map(waits.map(({ key }) => [key, Infinity]))

function longer(session: Session, extra: Extra): Session {
  if (extra.size === 0) return session
  return {
    ...session,
    tasks: session.tasks.map((task) => ({
      ...task,
      after: task.after.map((one) => letGo(task.id, one, extra)),
    })),
  }
}

function letGo(task: string, one: After, extra: Extra): After {
  const more = extra.get(keyOf(task, one.task))
  if (more === undefined || one.waitMaxMin === undefined) return one
  const { waitMaxMin, ...free } = one
  return more === Infinity ? free : { ...free, waitMaxMin: waitMaxMin + more }
}

interface Wait {
  readonly key: string
  readonly task: string
  readonly after: string
  readonly waitMaxMin: number
  readonly harm: number
}
interface Broken extends Wait {
  readonly byMin: number
}
const byHarm = (p: Broken, q: Broken) => q.harm - p.harm || q.byMin - p.byMin

/**
 * Every wait at most that a plan does not keep, those that were over before it was made too.
 *
 * @param starts of the plan, min by task
 */
export function brokenWaits(
  session: Session,
  starts: Readonly<Record<string, number>>,
): readonly BrokenWait[] {
  const broken = brokenIn(waitsOf(session), session, starts)
  return broken.map(({ task, after, byMin }) => ({ task, after, byMin }))
}

/** Waits of what has not begun. */
function waitsOf({ tasks, started, done }: Session): readonly Wait[] {
  return tasks.flatMap(({ id, after }) =>
    started[id] !== undefined || done[id] !== undefined
      ? []
      : after.flatMap(({ task, waitMaxMin, harm = USUAL_HARM }) => {
          return waitMaxMin === undefined
            ? []
            : [{ key: keyOf(id, task), task: id, after: task, waitMaxMin, harm }]
        }),
  )
}

function brokenIn(
  waits: readonly Wait[],
  { tasks, started, done, nowMin }: Session,
  starts: Readonly<Record<string, number>>,
): Broken[] {
  const endOf = (id: string) => {
    const startMin = starts[id] ?? 0
    const lasts = tasks.find((task) => task.id === id)?.durationMin ?? 0
    return done[id] ?? startMin + (started[id] === undefined ? lasts : Math.max(lasts, nowMin - startMin))
  }
  return waits.flatMap((wait) => {
    const byMin = (starts[wait.task] ?? 0) - endOf(wait.after) - wait.waitMaxMin
    return byMin > 0 ? [{ ...wait, byMin }] : []
  })
}
