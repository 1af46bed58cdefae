import type { TubeRunInput } from '../../scheduling/runGroups'
import type { Entry } from '../entry'
import type { Conventions } from '../../conventions/conventions'
import { ROOM_BELOW_FIRST_LIQUID_C } from '../../heating/room'
import type { Instrument } from '../../instruments/instrument'
import type { View } from '../fold'
import { linesOf, memoize, subjectsWith } from '../read'
import { meltsOf } from './melt'
import { type Expected, expectedOf } from './samples'

/** A tube that waits in the rack. */
export interface RackTube {
  readonly entry: Entry<'tube packed'>
  /** null when nobody knows where it melts: it wants a scouting run. */
  readonly expected: Expected | null
}

/** Tubes packed that no melt has been planned with yet, in the order they were packed. */
export const rackOf = memoize((view: View): readonly RackTube[] => {
  const used = new Set(
    meltsOf(view).flatMap(({ planned }) => planned.body.tubes.flatMap(({ tube }) => tube ?? [])),
  )
  return subjectsWith(view, 'tube packed')
    .flatMap((subject) => linesOf(view, subject, 'tube packed'))
    .filter(({ id }) => !used.has(id))
    .sort((p, q) => (p.id < q.id ? -1 : 1))
    .map((entry) => ({ entry, expected: expectedOf(view, entry.body.sample) }))
})

/** Loading takes about this long: tubes in, seen to rest, turned to show well, min. */
const LOAD_MIN = 2

/** What the order of runs is worked out from: the tubes whose range is known, on this instrument as it stands. */
export function tubeRunInput(
  tubes: readonly RackTube[],
  instrument: Instrument,
  blockC: number,
  conventions: Conventions,
): TubeRunInput {
  const { slots, ambientC, heatCPerMin, coolTimeConstantMin } = instrument.character
  const known = tubes.flatMap((tube) => (tube.expected ? [{ ...tube, expected: tube.expected }] : []))
  const sets = new Map<string, string[]>()
  for (const { entry } of known)
    if (entry.body.set) sets.set(entry.body.set, [...(sets.get(entry.body.set) ?? []), entry.id])
  return {
    apparatus: {
      slots,
      ambientC,
      blockC: Math.max(blockC, ambientC),
      fastCPerMin: Math.min(heatCPerMin, conventions.approachRateMaxCPerMin),
      slowCPerMin: conventions.meltRate.target,
      coolTimeConstantMin,
      loadMin: LOAD_MIN,
    },
    tubes: known.map(({ entry, expected: { lowC, highC, firstLiquidFromC } }) => ({
      id: entry.id,
      expectedLowC: lowC,
      expectedHighC: highC,
      leadC: Math.max(
        conventions.startBelowC,
        firstLiquidFromC === null ? 0 : lowC - firstLiquidFromC + ROOM_BELOW_FIRST_LIQUID_C,
      ),
      tailC: conventions.stopAboveC,
    })),
    keepTogether: [...sets.values()],
  }
}
