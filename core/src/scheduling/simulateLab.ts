import { randomSource } from '../math/random'
import { ImpossibleInput } from '../problems'
import { eventsInTime } from './eventsInTime'
import { compile, type SessionTask } from './session/compiled'

/** How benches come in: scattered over some minutes, or one after another at random with a mean gap. */
type Arrival =
  | { readonly kind: 'scattered'; readonly overMin: number }
  | { readonly kind: 'staggered'; readonly groups: number; readonly gapMin: number; readonly overMin: number }
  | { readonly kind: 'poisson'; readonly meanGapMin: number }
/** How long a task takes a bench: its minutes times the bench’s own pace (log-normal), or wholly at random (exponential). */
type Pace = { readonly kind: 'log-normal'; readonly spread: number } | { readonly kind: 'exponential' }

export interface LabInput {
  /** What every bench does, in the order it would begin things. */
  readonly tasks: readonly SessionTask[]
  /** Shared by all benches: blocks, balances, hot plates. What is not named here each bench has for itself. */
  readonly shared: Readonly<Record<string, number>>
  readonly benches: number
  /** Pairs of hands at a bench. */
  readonly hands: number
  readonly arrival: Arrival
  readonly pace: Pace
  readonly seed: number
  readonly runs: number
}
export interface LabSimulation {
  /** By when half, nine tenths and all of the benches are out, mean of the runs, min. */
  readonly outByMin: { readonly half: number; readonly nineTenths: number; readonly all: number }
  /** How long half, nine tenths and all of the benches are in the lab, each from when it came, min. */
  readonly inLabMin: { readonly half: number; readonly nineTenths: number; readonly all: number }
  readonly queues: Readonly<
    Record<
      string,
      {
        /** Mean wait of one use of it, min. */
        readonly meanWaitMin: number
        /** Benches waiting for it in each minute, mean of the runs. */
        readonly waitingByMinute: readonly number[]
      }
    >
  >
}

/** A bench waits for what it needs from here on. */
interface Request {
  readonly bench: number
  readonly task: number
  readonly sinceMin: number
  /** Who asked before whom. */
  readonly order: number
}

/**
 * The class’s day, bench by bench and event by event: everyone does the same tasks at a pace of their own, waits for
 * shared things in the order they came to ask, and begins what can be begun. The same seed gives the same day.
 *
 * @param input whole minutes; a task begins once all it waits for is over, and waits at most are not kept
 * @param onProgress called after each run with the share that is done, 0 to 1
 * @throws ImpossibleInput on less than one bench, run, group or pair of hands, minutes below 0, and as `planBenchSession`
 * @example simulateLab({ ...procedure, shared: { block: 4 }, benches: 20, hands: 1, arrival: { kind: 'scattered', overMin: 10 }, pace: { kind: 'log-normal', spread: 0.2 }, seed: 1, runs: 200 }).outByMin.nineTenths
 */
export function simulateLab(input: LabInput, onProgress?: (share: number) => void): LabSimulation {
  requireLab(input)
  const names = Object.keys(input.shared)
  const outs = { half: 0, nineTenths: 0, all: 0 }
  const ins = { half: 0, nineTenths: 0, all: 0 }
  const waits = new Map(names.map((name) => [name, { sumMin: 0, uses: 0, byMinute: [] as number[] }]))
  let state = input.seed
  for (let run = 0; run < input.runs; run++) {
    const day = oneDay(input, state)
    state = day.state
    for (const [sums, minutes] of [
      [outs, day.outMin],
      [ins, day.inMin],
    ] as const) {
      const inOrder = [...minutes].sort((p, q) => p - q)
      const by = (share: number) => inOrder[Math.max(0, Math.ceil(share * inOrder.length) - 1)] ?? 0
      sums.half += by(0.5) / input.runs
      sums.nineTenths += by(0.9) / input.runs
      sums.all += by(1) / input.runs
    }
    for (const { name, fromMin, toMin } of day.waits) {
      const queue = waits.get(name)
      if (!queue) continue
      queue.sumMin += toMin - fromMin
      queue.uses++
      for (let minute = Math.ceil(fromMin); minute < toMin; minute++)
        queue.byMinute[minute] = (queue.byMinute[minute] ?? 0) + 1 / input.runs
    }
    onProgress?.((run + 1) / input.runs)
  }
  return {
    outByMin: outs,
    inLabMin: ins,
    queues: Object.fromEntries(
      [...waits].map(([name, { sumMin, uses, byMinute }]) => [
        name,
        {
          meanWaitMin: uses === 0 ? 0 : sumMin / uses,
          waitingByMinute: Array.from(byMinute, (waiting) => waiting ?? 0),
        },
      ]),
    ),
  }
}

/** The mean of simulations of as many days each. */
export function meanOfDays(parts: readonly LabSimulation[]): LabSimulation {
  const mean = (values: readonly number[]) => values.reduce((sum, value) => sum + value, 0) / parts.length
  const names = Object.keys(parts[0]?.queues ?? {})
  const meanOf = (which: 'outByMin' | 'inLabMin') => ({
    half: mean(parts.map((part) => part[which].half)),
    nineTenths: mean(parts.map((part) => part[which].nineTenths)),
    all: mean(parts.map((part) => part[which].all)),
  })
  return {
    outByMin: meanOf('outByMin'),
    inLabMin: meanOf('inLabMin'),
    queues: Object.fromEntries(
      names.map((name) => {
        const queues = parts.flatMap(({ queues: of }) => of[name] ?? [])
        const longest = Math.max(0, ...queues.map(({ waitingByMinute }) => waitingByMinute.length))
        return [
          name,
          {
            meanWaitMin: mean(queues.map(({ meanWaitMin }) => meanWaitMin)),
            waitingByMinute: Array.from({ length: longest }, (_, minute) =>
              mean(queues.map(({ waitingByMinute }) => waitingByMinute[minute] ?? 0)),
            ),
          },
        ]
      }),
    ),
  }
}

interface Day {
  readonly outMin: readonly number[]
  /** From when each bench came. */
  readonly inMin: readonly number[]
  readonly waits: readonly { readonly name: string; readonly fromMin: number; readonly toMin: number }[]
  readonly state: number
}

function oneDay({ tasks, shared, benches, hands, arrival, pace }: LabInput, seed: number): Day {
  const { uniform, normal, exponential, state } = randomSource(seed)
  const index = new Map(tasks.map(({ id }, i) => [id, i]))
  const before = tasks.map(({ after }) =>
    after.map(({ task, waitMin = 0 }) => ({ task: index.get(task) ?? 0, waitMin })),
  )
  const names = Object.keys(shared)
  const needs = tasks.map(({ needs: of }) =>
    names.flatMap((name, thing) => ((of[name] ?? 0) > 0 ? [{ thing, amount: of[name] ?? 0 }] : [])),
  )
  const givesBack = needs.map((all) => all.map((one) => ({ ...one, coolsMin: 0 })))
  for (const [first, { keeps }] of tasks.entries()) if (keeps) keepThrough(first, keeps)
  const hold = tasks.map(({ needs: of }) => Math.min(hands, of['hands'] ?? 0))
  const free = Float64Array.from(names, (name) => shared[name] ?? 0)
  const atHand = new Float64Array(benches).fill(hands)
  const endsMin = Array.from({ length: benches }, () => new Array<number | null>(tasks.length).fill(null))
  const left = new Array<number>(benches).fill(tasks.length)
  const outMin = new Array<number>(benches).fill(0)
  const came = new Array<number>(benches).fill(0)
  const paces = Array.from({ length: benches }, () =>
    pace.kind === 'log-normal' ? Math.exp(pace.spread * normal()) : 1,
  )
  const waits: { name: string; fromMin: number; toMin: number }[] = []
  /** Who waits, by bench; and by shared thing those that need it. */
  const atBench = Array.from({ length: benches }, () => new Set<Request>())
  const forThing = names.map(() => new Set<Request>())
  /** Requests that may begin now: new ones, and those that wait for something that was given back. */
  const open = new Set<Request>()
  let asked = 0
  const { plan, next: nextEvent, nextMin } = eventsInTime()

  const ask = (bench: number, task: number, sinceMin: number) => {
    const request = { bench, task, sinceMin, order: asked++ }
    atBench[bench]?.add(request)
    for (const { thing } of needs[task] ?? []) forThing[thing]?.add(request)
    open.add(request)
  }
  const end = (bench: number, task: number, nowMin: number) => {
    for (const { thing, amount, coolsMin } of givesBack[task] ?? []) {
      const back = () => {
        free[thing] = (free[thing] ?? 0) + amount
        forThing[thing]?.forEach((request) => open.add(request))
      }
      if (coolsMin > 0) plan(nowMin + coolsMin, back)
      else back()
    }
    atHand[bench] = (atHand[bench] ?? 0) + (hold[task] ?? 0)
    atBench[bench]?.forEach((request) => open.add(request))
    const ends = endsMin[bench]
    if (!ends) return
    ends[task] = nowMin
    left[bench] = (left[bench] ?? 0) - 1
    if (left[bench] === 0) outMin[bench] = nowMin
    before.forEach((all, next) => {
      if (!all.some(({ task: one }) => one === task)) return
      if (all.some(({ task: one }) => ends[one] === null)) return
      const readyMin = Math.max(...all.map(({ task: one, waitMin }) => (ends[one] ?? 0) + waitMin))
      plan(Math.max(nowMin, readyMin), () => {
        ask(bench, next, Math.max(nowMin, readyMin))
      })
    })
  }
  const canBegin = ({ bench, task }: Request) => {
    if ((atHand[bench] ?? 0) < (hold[task] ?? 0)) return false
    for (const { thing, amount } of needs[task] ?? []) if ((free[thing] ?? 0) < amount) return false
    return true
  }
  const serve = (nowMin: number) => {
    const inOrder = [...open].sort((p, q) => p.order - q.order)
    open.clear()
    for (const request of inOrder) {
      if (!canBegin(request)) continue
      const { bench, task, sinceMin } = request
      atBench[bench]?.delete(request)
      for (const { thing } of needs[task] ?? []) forThing[thing]?.delete(request)
      for (const { thing, amount } of needs[task] ?? []) {
        free[thing] = (free[thing] ?? 0) - amount
        waits.push({ name: names[thing] ?? '', fromMin: sinceMin, toMin: nowMin })
      }
      atHand[bench] = (atHand[bench] ?? 0) - (hold[task] ?? 0)
      const minutes = tasks[task]?.durationMin ?? 0
      const tookMin = pace.kind === 'exponential' ? minutes * exponential() : minutes * (paces[bench] ?? 1)
      plan(nowMin + tookMin, () => {
        end(bench, task, nowMin + tookMin)
      })
    }
  }

  let cameMin = 0
  for (let bench = 0; bench < benches; bench++) {
    if (arrival.kind === 'poisson') cameMin += arrival.meanGapMin * exponential()
    else if (arrival.kind === 'scattered') cameMin = arrival.overMin * uniform()
    else cameMin = (bench % arrival.groups) * arrival.gapMin + arrival.overMin * uniform()
    const atMin = cameMin
    came[bench] = atMin
    plan(atMin, () => {
      tasks.forEach((_task, i) => {
        if (before[i]?.length === 0) ask(bench, i, atMin)
      })
    })
  }
  for (let event = nextEvent(); event; event = nextEvent()) {
    event.happen()
    // All that happens at one time happens before anybody is served.
    if (nextMin() !== event.atMin) serve(event.atMin)
  }
  return { outMin, inMin: outMin.map((min, bench) => min - (came[bench] ?? 0)), waits, state: state() }

  /** Taken once by the first, given back by the last, and by none between: nobody else comes in before the last crystal. */
  function keepThrough(
    first: number,
    { thing: name, until, coolsMin }: NonNullable<SessionTask['keeps']>,
  ): void {
    const [thing, last] = [names.indexOf(name), index.get(until)]
    const taken = needs[first]?.find((one) => one.thing === thing)
    if (!taken || last === undefined) return
    const behind = (task: number): boolean =>
      task === first || (before[task] ?? []).some(({ task: one }) => one >= first && behind(one))
    for (let task = first; task <= last; task++) {
      if (!behind(task)) continue
      const isOther = (one: { readonly thing: number }) => one.thing !== thing
      if (task !== first) needs[task] = (needs[task] ?? []).filter(isOther)
      givesBack[task] = [
        ...(givesBack[task] ?? []).filter(isOther),
        ...(task === last ? [{ ...taken, coolsMin }] : []),
      ]
    }
  }
}

function requireLab({ tasks, shared, benches, hands, runs, arrival, pace }: LabInput): void {
  const refuse = (sentence: string) => {
    throw new ImpossibleInput('no-plan', sentence)
  }
  if (!Number.isInteger(benches) || benches < 1) refuse(`${benches} benches: there is at least one.`)
  if (!Number.isInteger(runs) || runs < 1) refuse(`${runs} runs: one at least.`)
  if (!Number.isInteger(hands) || hands < 1) refuse(`${hands} pairs of hands at a bench: one at least.`)
  for (const [name, value] of Object.entries({ ...arrival, ...pace }))
    if (typeof value === 'number' && !(value >= 0 && Number.isFinite(value))) refuse(`${name} is ${value}.`)
  if (arrival.kind === 'staggered' && (!Number.isInteger(arrival.groups) || arrival.groups < 1))
    refuse(`${arrival.groups} groups: one at least.`)
  // What is not shared a bench has for itself, as much as it needs; circles and unknown names are refused as in a plan.
  const own = Object.fromEntries(
    tasks.flatMap(({ needs }) => Object.keys(needs)).map((name) => [name, Infinity]),
  )
  compile({ tasks, capacity: { ...own, ...shared } })
}
