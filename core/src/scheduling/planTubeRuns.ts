import {
  ABOVE_AMBIENT_C,
  type Apparatus,
  goodGroups,
  type Piece,
  provenGroups,
  replay,
  sizeOf,
  type TubeRunInput,
  type TubeRunPlan,
  union,
  type Window,
} from './runGroups'
import { ImpossibleInput, requireTemperature } from '../problems'

/** Up to this many tubes every grouping and order is looked through. */
const PROVEN_UP_TO = 12
const MOST_TUBES = 60

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
        `${ids.join(', ')} must stay in one run, but the instrument has ${apparatus.slots} slots.`,
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

/** Every run loads, and every temperature in a window is gone through slowly at least once. */
function lowerBound(apparatus: Apparatus, pieces: readonly Piece[]): number {
  const tubes = sizeOf(pieces)
  const slow = union(pieces.flatMap(({ windows }) => windows)).reduce(
    (sum, { fromC, toC }) => sum + toC - fromC,
    0,
  )
  return Math.ceil(tubes / apparatus.slots) * apparatus.loadMin + slow / apparatus.slowCPerMin
}

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
      `${tubes.length} tubes are more than one rack holds (${MOST_TUBES}).`,
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
        `The watch band of “${id}” runs backwards: were the two ends swapped?`,
      )
  }
  for (const id of keepTogether.flat())
    if (!ids.has(id))
      throw new ImpossibleInput('too-many-tubes', `There is no tube “${id}” to be kept together with others.`)
}
