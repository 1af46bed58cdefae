import type { BlockCharacter } from '@ivory-crystal/core/instruments'
import type { MeltPlanned, Simulation, View } from '@ivory-crystal/core/notebook'
import { holdsUnknown, type SealedContents, simulatedTube } from '@ivory-crystal/core/simulator'
import { HttpProblem } from '../http/problem'

/** A block that can go up faster than its plan has it is set to the plan’s rate. */
export function heatedAsPlanned(
  character: BlockCharacter,
  { heating, conventions }: MeltPlanned,
): BlockCharacter {
  if (heating.by !== 'ramp') return character
  const planned = heating.plan.segments.find(({ kind }) => kind === 'preheat')?.rateCPerMin
  const mostCPerMin = planned ?? conventions.approachRateMaxCPerMin
  return { ...character, heatCPerMin: Math.min(character.heatCPerMin, mostCPerMin) }
}

/** What each tube holds; an unknown's contents stay out of the ledger, where anyone could read them. */
export function simulatedTubes(
  view: View,
  planned: MeltPlanned,
  seed: number,
  sealed: SealedContents,
): Simulation['tubes'] {
  return planned.tubes.map(({ slot, sample, fillMm, grain, label }) => {
    // Whether anything sealed went into it is seen by asking: no way of naming samples gets round it.
    let isSealed = false
    const held = simulatedTube(view, sample, seed, (asked) => {
      const contents = sealed(asked)
      isSealed ||= contents !== null
      return contents
    })
    if (!held)
      throw new HttpProblem(
        409,
        'Nothing to simulate',
        `Nobody has named “${label}”, so a simulated tube of it would be empty. Seal its answer under Unknowns.`,
      )
    return { slot, sample: isSealed || holdsUnknown(view, sample) ? null : held, packing: { fillMm, grain } }
  })
}
