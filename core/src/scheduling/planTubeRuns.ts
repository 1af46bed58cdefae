import { ImpossibleInput, requireTemperature } from '../problems'

export interface TubeRunInput {
  readonly apparatus: {
    readonly slots: number
    readonly ambientC: number
    readonly blockC: number
    readonly fastCPerMin: number
    readonly slowCPerMin: number
    readonly coolTimeConstantMin: number
    readonly loadMin: number
  }
  readonly tubes: readonly {
    readonly id: string
    readonly expectedLowC: number
    readonly expectedHighC: number
    readonly leadC: number
    readonly tailC: number
  }[]
  readonly keepTogether: readonly (readonly string[])[]
}
export interface TubeRunPlan {
  readonly runs: readonly (readonly string[])[]
  readonly totalMin: number
  readonly timeline: readonly {
    readonly run: number
    readonly phase: 'load' | 'heat' | 'cool' | 'slow' | 'fast'
    readonly fromMin: number
    readonly toMin: number
    readonly fromC: number
    readonly toC: number
  }[]
  readonly proven: boolean
  readonly lowerBoundMin: number
}

/** Up to this many tubes every grouping and order is looked through. */
const PROVEN_UP_TO = 12
/** A block hardly comes closer to the room than this in any useful time, °C. */
const ABOVE_AMBIENT_C = 2
const MOST_TUBES = 60

type Apparatus = TubeRunInput['apparatus']
interface Window {
  readonly fromC: number
  readonly toC: number
}
interface Phase {
  readonly phase: TubeRunPlan['timeline'][number]['phase']
  readonly fromC: number
  readonly toC: number
  readonly minutes: number
}
/** What has to go into one run together: one tube, or a set that is kept together. */
interface Piece {
  readonly ids: readonly string[]
  readonly windows: readonly Window[]
}

/**
 * Which tubes share a run and in which order the runs go, so that all are done soonest. A run loads, goes to
 * the start of its first window fast or by cooling, is slow inside the windows and fast between them, and ends
 * with the last window; the next starts from there.
 *
 * @param input °C, °C/min, min; `keepTogether` sets share one run
 * @returns the runs, a timeline, and whether it is proven best (up to 12 tubes) or how far from it at most
 * @throws ImpossibleInput on a set larger than the slots, an id twice or unknown, a window that runs backwards
 * @example planTubeRuns({ apparatus, tubes, keepTogether: [['unknown', 'mixture']] }).runs
 */
export function planTubeRuns(input: TubeRunInput): TubeRunPlan {
  requireInput(input)
  const { apparatus } = input
  const pieces = piecesOf(input)
  const proven = input.tubes.length <= PROVEN_UP_TO
  const groups = proven ? provenGroups(apparatus, pieces) : goodGroups(apparatus, pieces)
  const priced = replay(apparatus, groups)
  const bound = proven ? priced.totalMin : lowerBound(apparatus, pieces)
  const order = new Map(input.tubes.map(({ id }, i) => [id, i]))
  const place = (id: string) => order.get(id) ?? 0
  return {
    runs: groups.map((group) => group.flatMap(({ ids }) => ids).sort((p, q) => place(p) - place(q))),
    totalMin: priced.totalMin,
    timeline: priced.timeline,
    proven,
    lowerBoundMin: Math.min(bound, priced.totalMin),
  }
}

/**
 * What an order somebody chose by hand comes to.
 *
 * @param runs ids of the tubes of each run, in order
 * @returns minutes and the timeline, as {@link planTubeRuns} gives them
 * @throws ImpossibleInput on a run with more tubes than slots, or an id unknown
 * @example costOfRuns(input, [['crude', 'product'], ['authentic']]).totalMin
 */
export function costOfRuns(
  input: TubeRunInput,
  runs: readonly (readonly string[])[],
): Pick<TubeRunPlan, 'totalMin' | 'timeline'> {
  requireInput(input)
  const windows = new Map(input.tubes.map((tube) => [tube.id, windowOf(tube, input.apparatus)]))
  const groups = runs
    .filter((run) => run.length > 0)
    .map((ids) => {
      if (ids.length > input.apparatus.slots)
        throw new ImpossibleInput(
          'too-many-tubes',
          `${ids.length} tubes do not fit into ${input.apparatus.slots} slots.`,
        )
      return ids.map((id) => {
        const window = windows.get(id)
        if (!window) throw new ImpossibleInput('too-many-tubes', `There is no tube “${id}” waiting.`)
        return { ids: [id], windows: [window] }
      })
    })
  return replay(input.apparatus, groups)
}

function piecesOf({ tubes, keepTogether, apparatus }: TubeRunInput): Piece[] {
  const windows = new Map(tubes.map((tube) => [tube.id, windowOf(tube, apparatus)]))
  const together = joined(keepTogether)
  const single = tubes.map(({ id }) => id).filter((id) => !together.some((set) => set.includes(id)))
  const pieces = [...together, ...single.map((id) => [id])].map((ids) => ({
    ids,
    windows: ids.map((id) => windows.get(id) as Window),
  }))
  for (const { ids } of pieces)
    if (ids.length > apparatus.slots)
      throw new ImpossibleInput(
        'too-many-tubes',
        `${ids.join(', ')} are to be kept together, but the instrument has ${apparatus.slots} slots.`,
      )
  return pieces
}

/** Sets that share a tube are one set. */
function joined(sets: TubeRunInput['keepTogether']): string[][] {
  return sets.reduce<string[][]>((found, set) => {
    const touching = found.filter((other) => other.some((id) => set.includes(id)))
    const rest = found.filter((other) => !touching.includes(other))
    const merged = [...new Set([...touching.flat(), ...set])]
    return merged.length > 0 ? [...rest, merged] : rest
  }, [])
}

function windowOf(tube: TubeRunInput['tubes'][number], { ambientC }: Apparatus): Window {
  const fromC = Math.max(tube.expectedLowC - tube.leadC, ambientC + ABOVE_AMBIENT_C)
  return { fromC, toC: Math.max(fromC, tube.expectedHighC + tube.tailC) }
}

/** One run from a block temperature: its phases in order. */
function phasesOf(apparatus: Apparatus, windows: readonly Window[], blockC: number): Phase[] {
  const spans = union(windows)
  const startC = spans[0]?.fromC ?? blockC
  const phases: Phase[] = [{ phase: 'load', fromC: blockC, toC: blockC, minutes: apparatus.loadMin }]
  const { minutes, phase } = reach(apparatus, blockC, startC)
  if (minutes > 0) phases.push({ phase, fromC: blockC, toC: startC, minutes })
  spans.forEach((span, i) => {
    const before = spans[i - 1]
    if (before)
      phases.push({
        phase: 'fast',
        fromC: before.toC,
        toC: span.fromC,
        minutes: (span.fromC - before.toC) / apparatus.fastCPerMin,
      })
    phases.push({
      phase: 'slow',
      fromC: span.fromC,
      toC: span.toC,
      minutes: (span.toC - span.fromC) / apparatus.slowCPerMin,
    })
  })
  return phases
}

function reach(
  apparatus: Apparatus,
  blockC: number,
  toC: number,
): { minutes: number; phase: 'heat' | 'cool' } {
  const { ambientC, fastCPerMin, coolTimeConstantMin } = apparatus
  if (blockC <= toC) return { minutes: (toC - blockC) / fastCPerMin, phase: 'heat' }
  return { minutes: coolTimeConstantMin * Math.log((blockC - ambientC) / (toC - ambientC)), phase: 'cool' }
}

function union(windows: readonly Window[]): Window[] {
  return [...windows]
    .sort((p, q) => p.fromC - q.fromC)
    .reduce<Window[]>((spans, window) => {
      const last = spans[spans.length - 1]
      if (!last || window.fromC > last.toC) return [...spans, window]
      return [...spans.slice(0, -1), { fromC: last.fromC, toC: Math.max(last.toC, window.toC) }]
    }, [])
}

function replay(apparatus: Apparatus, groups: readonly (readonly Piece[])[]) {
  let blockC = apparatus.blockC
  let atMin = 0
  const timeline: TubeRunPlan['timeline'][number][] = []
  groups.forEach((group, run) => {
    for (const { phase, fromC, toC, minutes } of phasesOf(
      apparatus,
      group.flatMap(({ windows }) => windows),
      blockC,
    )) {
      timeline.push({ run, phase, fromMin: atMin, toMin: atMin + minutes, fromC, toC })
      atMin += minutes
      blockC = toC
    }
  })
  return { totalMin: atMin, timeline }
}

/** A group as the search needs it: which pieces, what it costs once at its start, where it starts and ends. */
interface Group {
  readonly mask: number
  readonly insideMin: number
  readonly startC: number
  readonly endC: number
}

function groupOf(apparatus: Apparatus, pieces: readonly Piece[], mask: number): Group | null {
  const chosen = pieces.filter((_, i) => mask & (1 << i))
  if (chosen.reduce((sum, { ids }) => sum + ids.length, 0) > apparatus.slots) return null
  const spans = union(chosen.flatMap(({ windows }) => windows))
  const startC = spans[0]?.fromC ?? 0
  const inside = phasesOf(apparatus, spans, startC).reduce((sum, { minutes }) => sum + minutes, 0)
  return { mask, insideMin: inside, startC, endC: spans[spans.length - 1]?.toC ?? startC }
}

/**
 * Least total over every grouping and order, by subsets already done and the temperature the block was left at.
 * Kept small: a state that is both later and hotter or colder only costs what the way back costs.
 */
function provenGroups(apparatus: Apparatus, pieces: readonly Piece[]): Piece[][] {
  const full = (1 << pieces.length) - 1
  const groups: Group[] = []
  const pick = (from: number, mask: number, tubes: number) => {
    if (mask) {
      const group = groupOf(apparatus, pieces, mask)
      if (group) groups.push(group)
    }
    for (let i = from; i < pieces.length; i++) {
      const more = tubes + (pieces[i] as Piece).ids.length
      if (more <= apparatus.slots) pick(i + 1, mask | (1 << i), more)
    }
  }
  pick(0, 0, 0)
  const ends = [...new Set(groups.map(({ endC }) => endC))]
  const endOf = new Map(ends.map((endC, i) => [endC, i]))
  const width = ends.length + 1
  // State: what is done × where the block was left; the last column is where it stands before the first run.
  const least = new Float64Array((full + 1) * width).fill(Infinity)
  const cameBy = new Int32Array((full + 1) * width).fill(-1)
  const cameFrom = new Int32Array((full + 1) * width).fill(-1)
  const leftAt = [...ends, apparatus.blockC]
  const ways = groups.map(({ startC }) =>
    Float64Array.from(leftAt, (c) => reach(apparatus, c, startC).minutes),
  )
  least[ends.length] = 0
  for (let done = 0; done < full; done++) {
    for (let left = 0; left < width; left++) {
      const soFar = least[done * width + left] as number
      if (soFar === Infinity) continue
      for (let g = 0; g < groups.length; g++) {
        const group = groups[g] as Group
        if (group.mask & done) continue
        const to = (done | group.mask) * width + (endOf.get(group.endC) as number)
        const total = soFar + group.insideMin + ((ways[g] as Float64Array)[left] as number)
        if (total < (least[to] as number) - 1e-12) {
          least[to] = total
          cameBy[to] = g
          cameFrom[to] = done * width + left
        }
      }
    }
  }
  let at = full * width
  for (let left = 0; left < width; left++)
    if ((least[full * width + left] as number) < (least[at] as number)) at = full * width + left
  const chain: Piece[][] = []
  while ((cameBy[at] as number) >= 0) {
    const { mask } = groups[cameBy[at] as number] as Group
    chain.unshift(pieces.filter((_, i) => mask & (1 << i)))
    at = cameFrom[at] as number
  }
  return chain
}

/** For many tubes: filled up in order of temperature, then improved by moving and swapping pieces until nothing helps. */
function goodGroups(apparatus: Apparatus, pieces: readonly Piece[]): Piece[][] {
  const byStart = [...pieces].sort((p, q) => lowest(p) - lowest(q))
  let groups: Piece[][] = []
  for (const piece of byStart) {
    const room = groups.find((group) => sizeOf(group) + piece.ids.length <= apparatus.slots)
    if (room) room.push(piece)
    else groups.push([piece])
  }
  let total = replay(apparatus, groups).totalMin
  for (let improved = true; improved;) {
    improved = false
    for (const tried of neighbours(groups, apparatus.slots)) {
      const cost = replay(apparatus, tried).totalMin
      if (cost < total - 1e-9) {
        groups = tried
        total = cost
        improved = true
        break
      }
    }
  }
  return groups
}

function* neighbours(groups: readonly Piece[][], slots: number): Generator<Piece[][]> {
  const without = (all: readonly Piece[][]) => all.filter((group) => group.length > 0)
  for (let a = 0; a < groups.length; a++)
    for (let b = 0; b < groups.length; b++) {
      if (a === b) continue
      const from = groups[a] as Piece[]
      const to = groups[b] as Piece[]
      // A run moved to another place in the order.
      const others = groups.filter((_, i) => i !== a)
      yield [...others.slice(0, b), from, ...others.slice(b)]
      for (const piece of from) {
        const left = from.filter((other) => other !== piece)
        if (sizeOf(to) + piece.ids.length <= slots)
          yield without(groups.map((group, i) => (i === a ? left : i === b ? [...to, piece] : group)))
        if (a < b)
          for (const other of to) {
            const swapped = [...to.filter((one) => one !== other), piece]
            if (sizeOf(swapped) <= slots && sizeOf([...left, other]) <= slots)
              yield groups.map((group, i) => (i === a ? [...left, other] : i === b ? swapped : group))
          }
      }
    }
}

/** Every run loads, and every temperature in a window is gone through slowly at least once. */
function lowerBound(apparatus: Apparatus, pieces: readonly Piece[]): number {
  const tubes = sizeOf(pieces)
  const slow = union(pieces.flatMap(({ windows }) => windows)).reduce(
    (sum, { fromC, toC }) => sum + toC - fromC,
    0,
  )
  return Math.ceil(tubes / apparatus.slots) * apparatus.loadMin + slow / apparatus.slowCPerMin
}

const sizeOf = (group: readonly Piece[]) => group.reduce((sum, { ids }) => sum + ids.length, 0)
const lowest = ({ windows }: Piece) => Math.min(...windows.map(({ fromC }) => fromC))

function requireInput({ apparatus, tubes, keepTogether }: TubeRunInput): void {
  const { slots, ambientC, blockC, fastCPerMin, slowCPerMin, coolTimeConstantMin, loadMin } = apparatus
  requireTemperature(ambientC, 'The room temperature')
  requireTemperature(blockC, 'The block')
  if (!Number.isInteger(slots) || slots < 1)
    throw new ImpossibleInput('too-many-tubes', 'An instrument has at least one slot.')
  if (!(fastCPerMin > 0 && slowCPerMin > 0 && coolTimeConstantMin > 0 && loadMin >= 0))
    throw new ImpossibleInput('bad-rate', 'Rates and times of the instrument are above zero.')
  if (tubes.length > MOST_TUBES)
    throw new ImpossibleInput(
      'too-many-tubes',
      `${tubes.length} tubes are more than one rack is planned for (${MOST_TUBES}).`,
    )
  const ids = new Set<string>()
  for (const { id, expectedLowC, expectedHighC, leadC, tailC } of tubes) {
    if (ids.has(id)) throw new ImpossibleInput('too-many-tubes', `The tube “${id}” is on the list twice.`)
    ids.add(id)
    requireTemperature(expectedLowC, `The low end of “${id}”`)
    requireTemperature(expectedHighC, `The high end of “${id}”`)
    if (expectedLowC > expectedHighC || !(leadC >= 0 && tailC >= 0))
      throw new ImpossibleInput(
        'range-inverted',
        `The window of “${id}” runs backwards: were the two ends swapped?`,
      )
  }
  for (const id of keepTogether.flat())
    if (!ids.has(id))
      throw new ImpossibleInput('too-many-tubes', `There is no tube “${id}” to be kept together with others.`)
}
