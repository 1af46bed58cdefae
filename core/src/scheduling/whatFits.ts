import { ImpossibleInput } from '../problems'
import { canBeOverBy, replan, type Replan } from './planBenchSession'
import type { BenchSession, Happened, SessionTask } from './session/compiled'

/** A row of work that can be left standing at its safe stops. */
export interface Chain {
  readonly id: string
  /** Its tasks, by id. */
  readonly tasks: readonly string[]
  /** Where it may stand until another day: after which task, and in words what is kept. */
  readonly stops: readonly { readonly after: string; readonly words: string }[]
  /** Stands open at no safe stop, though none of its tasks here has begun: what did is over and not among them. */
  readonly isOpen?: boolean
}
export interface FitsInput extends BenchSession {
  readonly deadlineMin: number
  /** The most important first. */
  readonly chains: readonly Chain[]
  readonly happened?: Happened
}
/** How far one chain gets. */
interface ChainFits {
  readonly chain: string
  readonly gets: 'to its end' | 'to a stop' | 'not begun' | 'over time'
  /** The stop it is left at; null when it is not left at one. */
  readonly stop: { readonly after: string; readonly words: string } | null
  /** Tasks set aside, in the order they were given. */
  readonly setAside: readonly string[]
  /** The latest that its next task may begin and all that was kept still fit, min; null when nothing of it is left to begin. */
  readonly nextBy: { readonly task: string; readonly atMin: number } | null
}
export interface WhatFits {
  readonly plan: Replan
  /** Everything that is kept is over by the deadline. */
  readonly fits: boolean
  readonly chains: readonly ChainFits[]
}

/**
 * Which work is over by a deadline, and where the rest is left: the most important chain goes as far as it can, to its
 * end or to the furthest safe stop, then the next with what is left. Tasks of no chain are always kept. Work that has
 * begun and cannot reach a stop in time is kept and said to be over time: it is never left in the middle.
 *
 * @param input whole minutes from the start of the session
 * @throws ImpossibleInput as `planBenchSession`, and on a chain with a task or stop that is none of the session's
 * @example whatFits({ ...session, deadlineMin: 180, chains: [benzil, adipicAcid] }).chains[1]?.stop?.words
 */
export function whatFits(input: FitsInput): WhatFits {
  requireChains(input)
  const { chains, deadlineMin, happened = NOTHING_YET } = input
  const begun = new Set([...Object.keys(happened.started), ...Object.keys(happened.done)])
  const chained = new Set(chains.flatMap(({ tasks }) => tasks))
  let chosenIds = new Set(input.tasks.map(({ id }) => id).filter((id) => !chained.has(id)))
  const reached: { chain: Chain; cut: Cut; isLate: boolean }[] = []
  for (const chain of chains) {
    const cuts = cutsOf(chain, input.tasks, begun)
    const including = (cut: Cut) => new Set([...chosenIds, ...cut.keeps])
    const cut = cuts.find((one) => canBeOverBy({ ...only(input, including(one)), ...happened }, deadlineMin))
    // Not even its shortest part fits: what has begun is brought to its nearest stop all the same.
    const taken = cut ?? cuts[cuts.length - 1] ?? NOT_BEGUN
    reached.push({ chain, cut: taken, isLate: cut === undefined && taken.keeps.length > 0 })
    chosenIds = including(taken)
  }
  const plan = planOf(input, happened, chosenIds)
  const fits = plan.makespanMin <= deadlineMin
  return {
    plan,
    fits,
    chains: reached.map(({ chain, cut, isLate }) => ({
      chain: chain.id,
      gets: isLate
        ? 'over time'
        : cut.isWhole
          ? 'to its end'
          : cut.keeps.length > 0
            ? 'to a stop'
            : 'not begun',
      stop: cut.keeps.length > 0 ? cut.stop : null,
      setAside: chain.tasks.filter((id) => !chosenIds.has(id)),
      nextBy: nextBy(input, happened, chosenIds, plan, chain, begun),
    })),
  }
}

const NOTHING_YET: Happened = { nowMin: 0, started: {}, done: {} }

interface Cut {
  readonly keeps: readonly string[]
  readonly stop: { readonly after: string; readonly words: string } | null
  readonly isWhole: boolean
}

const NOT_BEGUN: Cut = { keeps: [], stop: null, isWhole: false }

/** How far a chain can go, furthest first: to its end, to each of its stops, not at all if nothing of it has begun. */
function cutsOf(chain: Chain, tasks: readonly SessionTask[], begun: ReadonlySet<string>): Cut[] {
  const mine = new Set(chain.tasks)
  const begunHere = chain.tasks.filter((id) => begun.has(id))
  const stops = chain.stops
    .map((stop) => ({ stop, keeps: new Set(upTo(stop.after, tasks, mine)) }))
    // A stop lies behind once something after it has begun.
    .filter(({ keeps }) => begunHere.every((id) => keeps.has(id)))
    .sort((p, q) => q.keeps.size - p.keeps.size)
    .map(({ stop, keeps }) => ({ keeps: chain.tasks.filter((id) => keeps.has(id)), stop, isWhole: false }))
  return [
    { keeps: chain.tasks, stop: null, isWhole: true },
    ...stops.filter(({ keeps }) => keeps.length < chain.tasks.length),
    ...(begunHere.length === 0 && chain.isOpen !== true ? [NOT_BEGUN] : []),
  ]
}

/** A task and all of its chain that it waits for. */
function upTo(id: string, tasks: readonly SessionTask[], mine: ReadonlySet<string>): string[] {
  const byId = new Map(tasks.map((task) => [task.id, task]))
  const found = new Set<string>()
  const open = [id]
  for (let next = open.pop(); next !== undefined; next = open.pop()) {
    if (found.has(next) || !mine.has(next)) continue
    found.add(next)
    open.push(...(byId.get(next)?.after.map(({ task }) => task) ?? []))
  }
  return [...found]
}

/** The session of these tasks alone; what waits for one set aside waits for it no more. */
function only(input: FitsInput, chosenIds: ReadonlySet<string>): BenchSession {
  return {
    ...input,
    tasks: input.tasks
      .filter(({ id }) => chosenIds.has(id))
      .map((task) => ({ ...task, after: task.after.filter(({ task: before }) => chosenIds.has(before)) })),
  }
}

function planOf(input: FitsInput, happened: Happened, chosenIds: ReadonlySet<string>): Replan {
  return replan({ ...only(input, chosenIds), ...happened })
}

/** The latest that the next task of a chain may begin. */
function nextBy(
  input: FitsInput,
  happened: Happened,
  chosenIds: ReadonlySet<string>,
  plan: Replan,
  chain: Chain,
  begun: ReadonlySet<string>,
): ChainFits['nextBy'] {
  const open = chain.tasks.filter((id) => chosenIds.has(id) && !begun.has(id))
  const [next] = [...open].sort((p, q) => (plan.starts[p] ?? 0) - (plan.starts[q] ?? 0))
  if (next === undefined || plan.makespanMin > input.deadlineMin) return null
  const fromMin = plan.starts[next] ?? happened.nowMin
  return {
    task: next,
    atMin: latestStart({ ...only(input, chosenIds), ...happened }, next, fromMin, input.deadlineMin),
  }
}

/**
 * The latest minute a task may begin and everything still be over by a time. Halved until it is found.
 *
 * @param session with what has happened
 * @param fromMin a beginning that is known to do
 * @throws ImpossibleInput as `planBenchSession`
 */
export function latestStart(
  session: BenchSession & Happened,
  task: string,
  fromMin: number,
  deadlineMin: number,
): number {
  const { nowMin } = session
  const put = (atMin: number) => ({
    ...session,
    tasks: [
      ...session.tasks.map((one) =>
        one.id === task ? { ...one, after: [...one.after, { task: PUT_OFF }] } : one,
      ),
      { id: PUT_OFF, durationMin: atMin - nowMin, after: [], needs: {} },
    ],
  })
  const stillFits = (atMin: number) => {
    try {
      return canBeOverBy(put(atMin), deadlineMin)
    } catch (error) {
      // Put off so far that a wait at most cannot be kept: that does not fit either.
      if (error instanceof ImpossibleInput) return false
      throw error
    }
  }
  let [known, tooLate] = [fromMin, deadlineMin + 1]
  while (tooLate - known > 1) {
    const middle = Math.floor((known + tooLate) / 2)
    if (stillFits(middle)) known = middle
    else tooLate = middle
  }
  return known
}
const PUT_OFF = 'put off'

function requireChains({ tasks, chains }: FitsInput): void {
  const ids = new Set(tasks.map(({ id }) => id))
  for (const { id, tasks: mine, stops } of chains)
    for (const task of [...mine, ...stops.map(({ after }) => after)])
      if (!ids.has(task))
        throw new ImpossibleInput('no-plan', `“${id}” speaks of “${task}”, which is no task here.`)
}
