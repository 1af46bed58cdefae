import { attempt } from '../../problems'
import type { EpochMs, SampleId } from '../../ids'
import { decimalsOf } from '../../weighing/reading'
import { massDoubt } from '../../weighing/massDoubt'
import { median } from '../../math/median'
import { netMass } from '../../weighing/netMass'
import type { View } from '../fold'
import { type Weighed, weighingOf } from '../kinds/weighed/kind'
import { firstLine } from '../read'
import { massOf, prepOf, prepsOf, sampleOf } from './prep'
import { vesselsOf } from './vessels'

/** A crude of this much is beyond any teaching batch, g. */
const MUCH_CRUDE_G = 100
/** So many times what other preps of the notebook began with is asked about. */
const TIMES_OTHERS = 8
/** An empty vessel that differs from itself by more was another one, or not clean and dry, g. */
const SAME_VESSEL_G = 0.05
/** A mass grows by so many divisions of its balance by chance. */
const DIVISIONS_BY_CHANCE = 3

/** What of a weighing is held against what else is on record. */
export interface WeighingToDoubt {
  readonly sample: SampleId
  /** In words, “the product”. */
  readonly what: string
  readonly body: Weighed
  /** A reading put right says nothing of how the mass changed. */
  readonly isCorrection: boolean
}

/**
 * What is odd about a mass before it is kept: each is asked once, and kept when it is said to be so.
 *
 * @returns questions; none where nothing is odd
 */
export function weighingDoubts(
  view: View,
  { sample, what, body, isCorrection }: WeighingToDoubt,
): readonly string[] {
  const net = attempt(() => netMass(weighingOf(body)))
  if (!net.ok) return []
  const read = body.method === 'tared' ? [body.net] : [body.empty, body.loaded]
  const massText = net.value.value.toFixed(Math.max(...read.map(decimalsOf)))
  const massG = net.value.value
  const named = firstLine(view, sample, 'sample named')?.body
  const prep = named?.prep ? prepOf(view, named.prep) : null
  const doubts: (string | null)[] = []
  if (named?.role === 'crude') doubts.push(muchCrude(view, sample, massG, massText))
  else if (prep && named) {
    const crude = massOf(sampleOf(prep, 'crude'))
    if (crude.ok)
      doubts.push(
        massDoubt(massText, what, {
          massG: crude.value.value,
          words: `${crude.value.value.toFixed(3)} g of crude`,
          isMost: true,
        }),
      )
    const expectedG = named.role === 'product' ? prep.plan?.body.result.crystalMassG : undefined
    if (expectedG !== undefined && doubts.length === doubts.filter((one) => one === null).length)
      doubts.push(
        massDoubt(massText, what, { massG: expectedG, words: `${expectedG.toFixed(3)} g`, isMost: false }),
      )
    if (named.role === 'residue' && prep.discarded)
      doubts.push('The mother liquor is recorded as discarded. Is this the residue of this prep?')
    if (!isCorrection && named.role === 'product') doubts.push(heavier(prep.samples, sample, massG, body))
  }
  return [...doubts, otherVessel(view, body), digitsLeftOff(body)].filter((one) => one !== null)
}

function muchCrude(view: View, sample: SampleId, massG: number, massText: string): string | null {
  if (massG > MUCH_CRUDE_G)
    return `${massText} g of crude. Is there a digit too many, or is the point in the wrong place? No flask at a student bench holds that much.`
  const others = prepsOf(view).flatMap((prep) => {
    const crude = sampleOf(prep, 'crude')
    const mass = massOf(crude)
    return crude && crude.id !== sample && mass.ok ? [mass.value.value] : []
  })
  const usual = others.length > 0 ? median([...others].sort((p, q) => p - q)) : null
  const most = Math.max(0, ...others)
  return usual !== null && massG >= TIMES_OTHERS * most
    ? `${massText} g of crude where the other preps of this notebook began with about ${usual.toPrecision(2)} g. Is there a digit too many, or is the point in the wrong place?`
    : null
}

/** A drying product only ever gets lighter. */
function heavier(
  samples: readonly {
    readonly id: SampleId
    readonly weighings: readonly { readonly at: EpochMs; readonly body: Weighed }[]
  }[],
  sample: SampleId,
  massG: number,
  body: Weighed,
): string | null {
  const before = samples.find(({ id }) => id === sample)?.weighings.at(-1)
  const mass = before && attempt(() => netMass(weighingOf(before.body)))
  if (!before || !mass?.ok) return null
  const byG = massG - mass.value.value
  const divisionG = Math.max(body.readabilityG, before.body.readabilityG)
  return byG > DIVISIONS_BY_CHANCE * divisionG
    ? `That is ${byG.toFixed(decimalsShown(divisionG))} g more than at the weighing before, and drying adds no mass. Is it another vessel, has something fallen in, or did it take up water from the air?`
    : null
}

function decimalsShown(readabilityG: number): number {
  return Math.max(0, Math.round(-Math.log10(readabilityG)))
}

function otherVessel(view: View, body: Weighed): string | null {
  if (body.method !== 'difference' || !body.vessel) return null
  const name = body.vessel.toLowerCase()
  const known = vesselsOf(view).find((one) => one.name.toLowerCase() === name)
  const offG = known ? body.empty.value - known.empty.value : 0
  return known && Math.abs(offG) > Math.max(SAME_VESSEL_G, known.readabilityG, body.readabilityG)
    ? `${known.name} weighed ${known.empty.text} g empty before, and ${body.empty.text} g now. Is it the same vessel, clean and dry?`
    : null
}

function digitsLeftOff(body: Weighed): string | null {
  const shown = decimalsShown(body.readabilityG)
  const readings = body.method === 'tared' ? [body.net] : [body.empty, body.loaded]
  const short = readings.find((one) => decimalsOf(one) < shown)
  return short
    ? `${short.text} g from a balance that reads to ${body.readabilityG} g: it showed ${shown} decimals. Were the last digits left out?`
    : null
}
