import type { TubeNote } from '../kinds/tube-noted/kind'
import type { RangeEvidence, Repeat, SignSeen } from '../../judging/evidence'
import { behaviourOf } from '../../substances/behaviour'
import type { PlateOpinion } from '../../chromatography/readPlate'
import type { Compound } from '../../substances/shelf'
import { fusionOf } from '../../substances/fusionOf'
import { highestBoilingC } from '../../weighing/airDrying'
import { solventsOf } from '../../procedures/batch'
import { weighedAs } from '../../procedures/drying'
import { WATCHED_FROM_C } from '../../heating/room'
import type { EntryId } from '../../ids'
import type { View } from '../fold'
import { type PrepFacts, sampleOf } from './prep'
import { airMinutes, dryingTimersOf, wasConstantAt } from './dryness'
import { meltOf } from './melt'
import { readingsOf } from './readings'
import { type CompleteRow, isComplete } from './mixtures'
import { heatedOf, judgedRange, type RangeRow } from './ranges'

/** What stands beside a range when it is judged. */
export interface Beside {
  /** What it is thought to be; null for an unknown. */
  readonly compound: Compound | null
  readonly dried: RangeEvidence['dried']
  /** It crystallized from water. */
  readonly fromWater: boolean
  readonly crude: CompleteRow | null
  readonly authentic: CompleteRow | null
  readonly mixed: RangeEvidence['mixed']
  readonly plate: PlateOpinion | null
  readonly tubes: Tubes
  readonly impurity: Compound | null
}

/** All the notebook knows of one range, as it is judged. */
export function evidenceOf(view: View, row: CompleteRow, beside: Beside): RangeEvidence {
  const { compound, crude, authentic, plate, impurity } = beside
  const heated = heatedOf(row)
  return {
    reading: judgedRange(row),
    resolutionC: 10 ** -Math.min(decimals(row.onset.text), decimals(row.clear.text)),
    rateCPerMin: row.rateCPerMin,
    rateMeasured: row.rateMeasured,
    fillMm: row.fillMm,
    grain: row.grain,
    watchedFromBelowOnsetC: watchedFromBelowOnsetC(view, row),
    thermometer: {
      state:
        heated.calibration === 'none'
          ? 'never checked'
          : heated.calibration === 'in place'
            ? 'checked in place at this rate'
            : 'checked at another rate',
      errorC: row.corrected?.calibration.errorC ?? null,
      extrapolated: row.corrected?.extrapolated ?? false,
    },
    dried: beside.dried,
    signs: signsOf(row),
    literature: compound ? { lowC: compound.meltLowC, highC: compound.meltHighC } : null,
    behaviour: compound ? behaviourOf(compound, beside.fromWater) : 'melts',
    fusion: compound ? fusionOf(compound) : null,
    crude: crude ? judgedRange(crude) : null,
    authentic: authentic ? judgedRange(authentic) : null,
    mixed: beside.mixed,
    plate: plate && {
      spots: plate.spots,
      sameHeight: plate.agrees,
      isPoor: plate.isPoor,
      sentence: plate.sentence,
    },
    repeats: beside.tubes.alike.map((one): Repeat => ({ ...judgedRange(one), rateCPerMin: one.rateCPerMin })),
    setAside: beside.tubes.others,
    ...(beside.tubes.laterSolidAtC === null ? {} : { laterSolidAtC: beside.tubes.laterSolidAtC }),
    impurity: impurity ? { name: impurity.name, fusion: fusionOf(impurity) } : null,
  }
}

/** Further tubes of a sample: those made as the judged one, and how many others there are. */
interface Tubes {
  readonly alike: readonly CompleteRow[]
  readonly others: number
  /** Stop of the latest careful tube after the judged one that was still solid there, °C. */
  readonly laterSolidAtC: number | null
}

/** Fills nearer than this widen a range alike, mm. */
const FILL_ALIKE_MM = 1
/** A thermometer is hardly further off than this, °C: what lies further apart, another correction does not mend. */
const CORRECTION_MENDS_C = 5

/**
 * Further careful tubes of the same sample on the same instrument. One that a later tube was meant to mend is no
 * repeat of it: packed fuller or coarser, melted before it was dried on, watched too late, corrected otherwise.
 *
 * @param prep whose product it is; null where nothing is dried
 */
export function tubesBeside(
  view: View,
  row: CompleteRow,
  rows: readonly RangeRow[],
  prep: PrepFacts | null,
): Tubes {
  const further = rows.filter(
    (one): one is CompleteRow =>
      isComplete(one) &&
      one.sample === row.sample &&
      one.purpose === 'careful' &&
      one.instrumentName === row.instrumentName &&
      !(one.melt === row.melt && one.slot === row.slot),
  )
  const dryings = prep ? dryingsOf(view, prep) : []
  const driedBefore = ({ melt }: RangeRow) => {
    const planned = meltOf(view, melt)?.planned.id ?? ''
    return dryings.filter((id) => id < planned).length
  }
  const isLate = (one: CompleteRow) => (watchedFromBelowOnsetC(view, one) ?? Infinity) < WATCHED_FROM_C
  const calibrationOf = ({ melt }: RangeRow) => meltOf(view, melt)?.planned.body.calibration?.entry
  const isCorrectedAlike = (one: CompleteRow) =>
    calibrationOf(one) === calibrationOf(row) ||
    Math.abs(one.clear.value - row.clear.value) > CORRECTION_MENDS_C
  const alike = further.filter(
    (one) =>
      one.grain === row.grain &&
      Math.abs(one.fillMm - row.fillMm) <= FILL_ALIKE_MM &&
      isCorrectedAlike(one) &&
      driedBefore(one) === driedBefore(row) &&
      (!isLate(one) || isLate(row)),
  )
  return {
    alike,
    others: further.length - alike.length,
    laterSolidAtC: laterSolidAtC(view, row, rows),
  }
}

/** A careful tube of the same sample, melted after this one, that was still solid where its heating stopped. */
function laterSolidAtC(view: View, row: CompleteRow, rows: readonly RangeRow[]): number | null {
  const judgedAt = meltOf(view, row.melt)?.planned.id ?? ''
  const solid = rows.findLast(
    (one) =>
      one.sample === row.sample &&
      one.purpose === 'careful' &&
      one.givenUp === 'not melted at the stop temperature' &&
      (meltOf(view, one.melt)?.planned.id ?? '') > judgedAt,
  )
  const melt = solid ? meltOf(view, solid.melt) : null
  if (!melt?.run) return null
  const read = [...readingsOf(view, melt.id, melt.run.id).steadyC.values()]
  const stoppedC = read.length > 0 ? Math.max(...read) : melt.planned.body.window.stopC
  // Held against the judged tube as that was corrected.
  return stoppedC + judgedRange(row).clearC - row.clear.value
}

/** Lines by which a prep's product was dried on: drying begun, or weighed again. */
function dryingsOf(view: View, prep: PrepFacts): readonly EntryId[] {
  return [...dryingTimersOf(view, prep), ...(sampleOf(prep, 'product')?.weighings ?? [])].map(({ id }) => id)
}

/** How a prep's product had been dried when this tube was melted, and how high its solvent boils. */
export function driedOf(
  view: View,
  prep: PrepFacts,
  { melt }: Pick<RangeRow, 'melt'>,
): RangeEvidence['dried'] {
  const plan = prep.plan?.body
  const solventBoilsC = plan ? highestBoilingC(solventsOf(plan)) : null
  const facts = meltOf(view, melt)
  if (wasConstantAt(view, prep, facts?.planned.at ?? 0))
    return { how: 'constant mass', minutes: null, solventBoilsC }
  const minutes = airMinutes(dryingTimersOf(view, prep), (facts?.run?.started ?? facts?.planned)?.at ?? 0)
  return minutes > 0
    ? { how: 'minutes of air', minutes, solventBoilsC }
    : { how: 'not', minutes: null, solventBoilsC }
}

/** Whether a prep’s product is melted as the hydrate that comes from water: not where its plan takes the water out. */
export function isFromWater(prep: PrepFacts): boolean {
  const plan = prep.plan?.body
  return plan ? weighedAs(solventsOf(plan), plan.compound) === 'hydrate' : false
}

const LATE_NOTES: readonly TubeNote[] = ['melted as it went in', 'first liquid seen late']

/** Watching begins where the slow part begins, or where the tube went in when that was later. */
function watchedFromBelowOnsetC(view: View, row: CompleteRow): number | null {
  const melt = meltOf(view, row.melt)
  if (!melt) return null
  // Whoever watched says that the beginning was over before it was seen.
  if (LATE_NOTES.some((note) => row.notes.includes(note))) return 0
  const readings = melt.run ? readingsOf(view, melt.id, melt.run.id) : null
  const putInC = melt.notes.flatMap(({ body }) => {
    const at = body.slot === row.slot && body.note === 'put in' ? Math.round(body.atS) : null
    return at === null ? [] : (readings?.probeC.get(at) ?? [])
  })
  return row.onset.value - Math.max(melt.planned.body.window.startC, ...putInC)
}

const SIGN_OF_NOTE: Readonly<Record<string, SignSeen['sign']>> = {
  slush: 'slush',
  decomposes: 'decomposes',
  'solid that does not melt': 'solid that never melts',
}

function signsOf({ signs, notes }: RangeRow): readonly SignSeen[] {
  return [
    ...signs.flatMap(({ temperature, word }) =>
      word === null ? [] : [{ sign: word, atC: temperature.value }],
    ),
    ...notes.flatMap((note) => {
      const sign = SIGN_OF_NOTE[note]
      return sign ? [{ sign, atC: null }] : []
    }),
  ]
}

function decimals(text: string): number {
  return text.split('.')[1]?.length ?? 0
}
