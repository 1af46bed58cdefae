import type { PrepId, SampleId } from '../../ids'
import type { Fusion } from '../../melting/liquidus'
import type { Compound } from '../../substances/shelf'
import { unlistedFusion } from '../../identity/likelihood'
import { assumedImpurity } from '../../heating/compositionFromRange'
import { eutectic } from '../../melting/eutectic'
import { meltingRange, VISIBLE_LIQUID_FRACTION } from '../../melting/meltingRange'
import { fusionOf } from '../../substances/fusionOf'
import type { View } from '../fold'
import { firstLine, latestLine, memoize, subjectsWith } from '../read'
import type { SampleRole } from '../kinds/sample-named/kind'
import { dryingTimersOf } from './dryness'
import { meltIdsWith, meltOf } from './melt'
import { prepOf } from './prep'
import { FURTHER_DOWN_C, ROOM_BELOW_FIRST_LIQUID_C } from '../../heating/room'
import { judgedRange, rangesOfMelt } from './ranges'

/** A sample of the notebook, of a prep or of its own. */
export interface NamedSample {
  readonly id: SampleId
  readonly role: SampleRole
  readonly label: string
  readonly prep: PrepId | null
  readonly compound: Compound | null
  /** Of a mixture. */
  readonly of: readonly SampleId[]
}

/** Every sample named in the notebook, in the order they were named. */
export const samplesNamed = memoize((view: View): readonly NamedSample[] =>
  subjectsWith(view, 'sample named')
    .flatMap((id) => latestLine(view, id, 'sample named') ?? [])
    .sort((p, q) => (p.id < q.id ? -1 : 1))
    .flatMap(({ subject }) => sampleNamedAs(view, subject) ?? []),
)

/** The first authentic sample named of each compound, by the compound's id. */
export const authenticByCompound = memoize(
  (view: View): ReadonlyMap<string, NamedSample> =>
    new Map(
      samplesNamed(view)
        .filter(({ role }) => role === 'authentic')
        .reverse()
        .flatMap((sample) => (sample.compound ? [[sample.compound.id, sample] as const] : [])),
    ),
)

/** One sample, or null when none of that id was named. */
export const sampleNamedAs = memoize((view: View, id: SampleId): NamedSample | null => {
  const body = latestLine(view, id, 'sample named')?.body
  if (!body) return null
  const compound =
    body.compound ?? (body.prep ? firstLine(view, body.prep, 'prep opened')?.body.compound : null) ?? null
  const of = isRing(view, id, body.of) ? [] : body.of
  return { id, role: body.role, label: body.label, prep: body.prep, compound, of }
})

/** Mixtures of mixtures, at most. */
const PARTS_DEEP = 20

/** Whether a mixture comes back to itself through its parts. It is then taken as made of nothing known. */
function isRing(view: View, id: SampleId, of: readonly SampleId[]): boolean {
  let parts: readonly SampleId[] = of
  for (let depth = 0; parts.length > 0; depth++) {
    if (depth > PARTS_DEEP || parts.includes(id)) return true
    parts = [...new Set(parts.flatMap((part) => latestLine(view, part, 'sample named')?.body.of ?? []))]
  }
  return false
}

/** Where a sample is expected to melt, and why. */
export interface Expected {
  readonly lowC: number
  readonly highC: number
  /** Where an impure one may show its first liquid, °C; null when that is not known. */
  readonly firstLiquidFromC: number | null
  readonly source: string
  /** A tube of it was liquid as it went in: it begins lower than its kind, whatever else is known. */
  readonly isSeenBelow?: boolean
}

/** Samples that hold enough impurity to begin melting at the eutectic. */
const IMPURE: readonly SampleRole[] = ['crude', 'second crop', 'residue']

/**
 * Where a sample is expected to melt: the literature of what it is; for a mixture from where its parts meet;
 * for an unknown what a scouting run has found.
 *
 * @returns null when nothing is known: it wants a scouting run
 */
export const expectedOf = memoize((view: View, id: SampleId): Expected | null => {
  const sample = sampleNamedAs(view, id)
  if (!sample) return null
  if (sample.of.length > 0) return expectedOfMixture(view, sample)
  const { compound } = sample
  if (!compound) return measuredBefore(view, id)
  const plan = sample.prep ? latestLine(view, sample.prep, 'plan fixed')?.body : undefined
  const byImpurity = IMPURE.includes(sample.role)
    ? firstLiquidC(compound, plan?.impurity ?? null, plan?.input.assay ?? ASSUMED_ASSAY)
    : null
  // Where an earlier tube of it began, the next is watched from below that.
  const begun = begunBelowC(view, id)
  const meets = begun !== null && plan?.impurity ? firstLiquidC(compound, plan.impurity, 0.9) : null
  const seen = lowest(lowestOnsetC(view, id), begun, meets)
  const isSeen = seen !== null && seen < Math.min(compound.meltLowC, byImpurity ?? Infinity)
  const firstLiquidFromC = isSeen ? seen : byImpurity
  return {
    lowC: compound.meltLowC,
    highC: compound.meltHighC,
    firstLiquidFromC,
    source: compound.source,
    ...(isSeen && (begun !== null || seen < compound.meltLowC - FAR_BELOW_C) ? { isSeenBelow: true } : {}),
  }
})

/** A tube that began so far below its kind is no matter of how it was heated, °C. */
const FAR_BELOW_C = 3

/** Share of product in a crude nothing is planned for yet, by mass. */
const ASSUMED_ASSAY = 0.9

/**
 * Where an impure sample could show its first liquid, °C: at its eutectic with the impurity that is named; with none
 * named, some impurity is assumed that melts near it, as much of it as the plan says.
 */
function firstLiquidC(compound: Compound, impurity: Compound | null, assay: number): number | null {
  const own = fusionOf(compound)
  if (impurity) return eutectic(own, fusionOf(impurity)).temperatureC
  if (assay >= 1) return null
  return meltingRange(own, assumedImpurity(own), assay, {
    visibleLiquidFraction: VISIBLE_LIQUID_FRACTION['first wetness'],
  }).onsetC
}

function expectedOfMixture(view: View, { of }: NamedSample): Expected | null {
  const parts = of.map((id) => expectedOf(view, id))
  if (parts.some((part) => part === null)) return null
  const known = parts.filter((part) => part !== null)
  const compounds = of.map((id) => sampleNamedAs(view, id)?.compound ?? null)
  return {
    lowC: Math.min(...known.map(({ lowC }) => lowC)),
    highC: Math.max(...known.map(({ highC }) => highC)),
    firstLiquidFromC: lowest(
      meetingC(compounds, known),
      ...known.map(({ firstLiquidFromC }) => firstLiquidFromC),
    ),
    source: 'of its parts',
    ...(known.some(({ isSeenBelow }) => isSeenBelow) ? { isSeenBelow: true } : {}),
  }
}

/** Where the two parts of a mixture would melt together, should they be two compounds; an unknown is taken by Walden's rule. */
function meetingC([a, b]: readonly (Compound | null)[], [ofA, ofB]: readonly Expected[]): number | null {
  if ((!a && !b) || !ofA || !ofB || a?.id === b?.id) return null
  const other = fusionOf((a ?? b) as Compound)
  const fusion = (compound: Compound | null | undefined, { highC }: Expected): Fusion =>
    compound ? fusionOf(compound) : unlistedFusion({ clearC: highC }, other)
  return eutectic(fusion(a, ofA), fusion(b, ofB)).temperatureC
}

/** The lowest onset that was marked of a sample, °C; null where none was. */
function lowestOnsetC(view: View, id: SampleId): number | null {
  const onsets = meltIdsWith(view, id).flatMap((melt) =>
    rangesOfMelt(view, melt).flatMap(({ sample, onset }) => (sample === id && onset ? [onset.value] : [])),
  )
  return onsets.length > 0 ? Math.min(...onsets) : null
}

/**
 * Where to look for the beginning of what was liquid as it went in, °C: further below where that was seen, and each time
 * twice as far; null where no tube of it was.
 */
function begunBelowC(view: View, id: SampleId): number | null {
  const prep = firstLine(view, id, 'sample named')?.body.prep
  const facts = prep ? prepOf(view, prep) : null
  // What was damp then has been dried on since.
  const driedId = (facts ? dryingTimersOf(view, facts) : []).at(-1)?.id ?? ''
  const since = meltIdsWith(view, id).filter((melt) => (meltOf(view, melt)?.planned.id ?? '') > driedId)
  const rows = since.flatMap((melt) =>
    rangesOfMelt(view, melt).filter(
      ({ sample, onset, onsetBelow }) => sample === id && (onset ?? onsetBelow),
    ),
  )
  // A later tube whose beginning was seen says where that is.
  const lastSeen = rows.findLastIndex(({ onset }) => onset !== null)
  const below = rows.slice(lastSeen + 1).flatMap(({ onsetBelow }) => (onsetBelow ? [onsetBelow.value] : []))
  return below.length > 0
    ? Math.min(...below) - FURTHER_DOWN_C * 2 ** (below.length - 1) + ROOM_BELOW_FIRST_LIQUID_C
    : null
}

function lowest(...ends: readonly (number | null)[]): number | null {
  const known = ends.filter((end) => end !== null)
  return known.length > 0 ? Math.min(...known) : null
}

/** The latest complete range of this sample, scouting runs included. */
function measuredBefore(view: View, id: SampleId): Expected | null {
  for (const melt of [...meltIdsWith(view, id)].reverse())
    for (const row of rangesOfMelt(view, melt)) {
      if (row.sample !== id || !row.onset || !row.clear || row.trouble) continue
      const { onsetC, clearC } = judgedRange({ ...row, onset: row.onset, clear: row.clear })
      const source = row.purpose === 'scouting' ? 'a scouting run' : 'an earlier run'
      return { lowC: onsetC, highC: clearC, firstLiquidFromC: null, source }
    }
  return null
}
