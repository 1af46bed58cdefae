import { coolsForMin } from '../heating/cooling'

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
/** A block hardly comes closer to the room than this in any useful time, °C. */
export const ABOVE_AMBIENT_C = 2

export type Apparatus = TubeRunInput['apparatus']
export interface Window {
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
export interface Piece {
  readonly ids: readonly string[]
  readonly windows: readonly Window[]
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
  const minutes = coolsForMin({ ambientC, timeConstantMin: coolTimeConstantMin }, blockC, toC)
  return { minutes, phase: 'cool' }
}

export function union(windows: readonly Window[]): Window[] {
  return [...windows]
    .sort((p, q) => p.fromC - q.fromC)
    .reduce<Window[]>((spans, window) => {
      const last = spans[spans.length - 1]
      if (!last || window.fromC > last.toC) return [...spans, window]
      return [...spans.slice(0, -1), { fromC: last.fromC, toC: Math.max(last.toC, window.toC) }]
    }, [])
}

export function replay(apparatus: Apparatus, groups: readonly (readonly Piece[])[]) {
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
export function provenGroups(apparatus: Apparatus, pieces: readonly Piece[]): Piece[][] {
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
export function goodGroups(apparatus: Apparatus, pieces: readonly Piece[]): Piece[][] {
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

export const sizeOf = (group: readonly Piece[]) => group.reduce((sum, { ids }) => sum + ids.length, 0)
const lowest = ({ windows }: Piece) => Math.min(...windows.map(({ fromC }) => fromC))

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
