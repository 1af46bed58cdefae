import type { Reading } from '../../units'
import { decimalsOf } from '../../weighing/reading'
import type { MeltingRange } from '../../melting/meltingRange'
import type { Grain } from '../../heating/observedRange'
import type { EntryId, MeltId, PrepId, SampleId } from '../../ids'
import type { Conventions } from '../../conventions/conventions'
import { type Calibration, correctBy } from '../../thermometer/correctReading'
import type { NoRangeReason } from '../../judging/noRange'
import type { SignWord } from '../kinds/sign-named/kind'
import type { Heated } from '../../heating/heatingShare'
import type { View } from '../fold'
import { firstLine, latestLine, memoize } from '../read'
import type { SampleRole } from '../kinds/sample-named/kind'
import { type Mark, markOf, type MeltFacts, meltOf, meltsOf, prepsIn } from './melt'
import { rateBetween, readingsOf } from './readings'

/** Both ends corrected by the calibration the run was planned with. */
export interface CorrectedRange extends MeltingRange {
  readonly onsetCorrectionC: number
  readonly clearCorrectionC: number
  /** True where a reading lies beyond the calibration's points. */
  readonly extrapolated: boolean
  readonly calibration: Calibration
}

/** One measured range: a tube of a sample in a run. `onset` and `clear` are raw, as they were read. */
export interface RangeRow {
  readonly melt: MeltId
  readonly slot: number
  readonly sample: SampleId
  readonly role: SampleRole | null
  readonly label: string
  readonly onset: Reading | null
  readonly clear: Reading | null
  /** null when no calibration was on hand: the range is raw. */
  readonly corrected: CorrectedRange | null
  /** How the ends were caught. */
  readonly by: 'eye' | 'light' | 'the instrument'
  readonly purpose: 'careful' | 'scouting'
  readonly instrumentName: string
  readonly notes: readonly string[]
  readonly signs: readonly { readonly temperature: Reading; readonly word: SignWord | null }[]
  /** Measured over the melting where both ends are on record, else as planned, °C/min. */
  readonly rateCPerMin: number
  readonly rateMeasured: boolean
  readonly fillMm: number
  readonly grain: Grain
  readonly conventions: Conventions
  /** Melted on a simulated instrument. */
  readonly isSimulated: boolean
  readonly hasRun: boolean
  readonly runEnded: boolean
  /** Why it has no range, where the watcher said so. */
  readonly givenUp: NoRangeReason | null
  /** Liquid already when it was first seen: its onset lies below this, and is no number. */
  readonly onsetBelow: Reading | null
  /** What the thermometer read after each mark, where it was read by eye: the ends are that, taken back to the mark. */
  readonly typed: { readonly onset: Mark['typed']; readonly clear: Mark['typed'] }
  /** A question about what was typed; the range is used as it stands. */
  readonly doubt: string | null
  /** A sentence when the range cannot be used as it stands. */
  readonly trouble: string | null
  readonly restsOn: readonly EntryId[]
}

/** Every range of a prep's samples, tube by tube, in the order they were planned. */
export const rangesOf = memoize((view: View, prep: PrepId): readonly RangeRow[] => {
  return meltsOf(view, prep).flatMap((melt) => {
    const rows = meltRangesOf(view, melt)
    // What was ground with one of its samples, and the authentic one that melts beside it, are of its page too.
    const mixtures = rows.filter(
      ({ role, sample }) => role === 'mixture' && prepsIn(view, sample).includes(prep),
    )
    const parts = new Set(
      mixtures.flatMap(({ sample }) => latestLine(view, sample, 'sample named')?.body.of ?? []),
    )
    return rows.filter((row) => {
      const named = firstLine(view, row.sample, 'sample named')?.body
      if ((named?.prep ?? null) !== null) return named?.prep === prep
      return melt.planned.body.prep === prep || mixtures.includes(row) || parts.has(row.sample)
    })
  })
})

/** Every range of one melt, tube by tube. */
export const meltRangesOf = memoize((view: View, melt: MeltFacts): readonly RangeRow[] => {
  return melt.planned.body.tubes.map((tube) => rangeOf(view, melt, tube.slot))
})

/** Every range of the melt of this id; none when there is no such melt. */
export function rangesOfMelt(view: View, id: MeltId): readonly RangeRow[] {
  const melt = meltOf(view, id)
  return melt ? meltRangesOf(view, melt) : []
}

/** A reading so little below the start is of the slow part, °C. */
const AT_START_C = 0.5

/** Readings by eye come once a minute: a rate is worked out over so much more on both sides, s. */
const BY_EYE_ABOUT_S = 150

function rangeOf(view: View, melt: MeltFacts, slot: number): RangeRow {
  const { tubes, conventions, window, calibration, purpose, instrumentName } = melt.planned.body
  const tube = tubes.find((one) => one.slot === slot) ?? {
    slot,
    sample: '' as SampleId,
    label: '',
    fillMm: 0,
    grain: 'fine' as const,
  }
  const onsetMark = reportedOnset(melt, slot, conventions)
  const clearMark = markOf(melt, slot, 'all liquid')
  const readings = melt.run ? readingsOf(view, melt.id, melt.run.id) : null
  const light = onsetMark || clearMark ? null : (melt.detected.get(slot) ?? null)
  const measured =
    readings && onsetMark && clearMark
      ? rateBetween(
          readings,
          onsetMark.entry.body.pressedAtS - (readings.byEye ? BY_EYE_ABOUT_S : 0),
          clearMark.entry.body.pressedAtS + (readings.byEye ? BY_EYE_ABOUT_S : 0),
          // Looked so far about, the way up to a close start would count as the melting.
          readings.byEye ? window.startC - AT_START_C : -Infinity,
        )
      : (light?.body.rateCPerMin ?? null)
  const signs = melt.marks.filter(
    ({ entry }) => entry.body.slot === slot && entry.body.moment === 'early sign',
  )
  const notes = melt.notes.filter(({ body }) => body.slot === slot).map(({ body }) => body.note)
  const wentInLiquid = notes.includes('melted as it went in')
  const read = light ? readAs(light.body.onsetC, light.body.decimals) : (onsetMark?.temperature ?? null)
  const onset = wentInLiquid ? null : read
  const clear = light ? readAs(light.body.clearC, light.body.decimals) : (clearMark?.temperature ?? null)
  const given = melt.givenUp.find(({ body }) => body.slot === slot)
  return {
    melt: melt.id,
    slot,
    sample: tube.sample,
    role: firstLine(view, tube.sample, 'sample named')?.body.role ?? null,
    label: tube.label,
    onset,
    clear,
    corrected: calibration && onset && clear ? correctedRange(calibration, onset, clear) : null,
    by: light ? 'light' : onsetMark?.entry.body.from === 'instrument' ? 'the instrument' : 'eye',
    purpose,
    instrumentName,
    notes,
    signs: signs.flatMap(({ temperature, word }) => (temperature ? [{ temperature, word }] : [])),
    // Readings that stood still or fell between the marks tell no rate.
    rateCPerMin: measured !== null && measured > 0 ? measured : window.rateCPerMin,
    rateMeasured: measured !== null && measured > 0,
    fillMm: tube.fillMm,
    grain: tube.grain,
    conventions,
    isSimulated: melt.run?.started.body.feed === 'simulated',
    hasRun: melt.run !== null || light !== null,
    runEnded: (melt.run?.ended ?? null) !== null || (melt.run === null && light !== null),
    givenUp: given && !light ? given.body.reason : wentInLiquid ? 'it melted as it went in' : null,
    onsetBelow: wentInLiquid ? read : null,
    typed: { onset: onsetMark?.typed ?? null, clear: clearMark?.typed ?? null },
    doubt: doubtOf(onsetMark) ?? doubtOf(clearMark),
    trouble: wentInLiquid
      ? `Liquid as it went in${read ? `, at ${read.text} °C` : ''}: its onset is lower and not known. Cool the instrument well below this temperature and melt a new tube.`
      : light
        ? null
        : given
          ? `No range: ${given.body.reason}.`
          : troubleOf(melt, onsetMark, clearMark),
    restsOn: [
      melt.planned.id,
      ...[onsetMark, clearMark].flatMap((mark) => (mark ? [mark.entry.id] : [])),
      ...(light ? [light.id] : []),
      ...(calibration ? [calibration.entry] : []),
    ],
  }
}

function doubtOf(mark: Mark | null): string | null {
  return mark?.typed?.doubt
    ? `${mark.typed.reading.text} °C, typed for “${mark.entry.body.moment}”, lies ${mark.typed.doubt} Was it misread? Then strike out that mark.`
    : null
}

function readAs(value: number, decimals: number): Reading {
  const text = value.toFixed(decimals)
  return { text, value: Number(text) }
}

/**
 * Both ends corrected, by interpolation or by the straight line, as the calibration says; to the digits that were read,
 * so that what is worked out from them can be worked out from what is printed.
 */
export function correctedRange(calibration: Calibration, onset: Reading, clear: Reading): CorrectedRange {
  const [low, high] = [correctBy(calibration, onset.value), correctBy(calibration, clear.value)]
  return {
    onsetC: toDigitsOf(onset, low.temperatureC),
    clearC: toDigitsOf(clear, high.temperatureC),
    onsetCorrectionC: low.correctionC,
    clearCorrectionC: high.correctionC,
    extrapolated: low.extrapolated || high.extrapolated,
    calibration,
  }
}

const toDigitsOf = (reading: Reading, c: number) => Number(c.toFixed(decimalsOf(reading)))

function reportedOnset(melt: MeltFacts, slot: number, conventions: Conventions): Mark | null {
  const drop = markOf(melt, slot, 'first liquid')
  if (conventions.onsetRule === 'distinct drop') return drop
  const wet = melt.marks.find(({ entry, word }) => entry.body.slot === slot && word === 'wets')
  return wet ?? drop
}

/** The temperatures a row is judged by: corrected where a calibration was on hand. */
export function judgedRange(row: {
  readonly onset: Reading
  readonly clear: Reading
  readonly corrected: CorrectedRange | null
}): MeltingRange {
  return row.corrected
    ? { onsetC: row.corrected.onsetC, clearC: row.corrected.clearC }
    : { onsetC: row.onset.value, clearC: row.clear.value }
}

function troubleOf(melt: MeltFacts, onset: Mark | null, clear: Mark | null): string | null {
  if (!melt.run) return 'Planned, not yet melted.'
  const over = melt.run.ended !== null
  if (!onset && !clear) return over ? 'The run ended without a mark, so this tube has no range.' : null
  if (!onset)
    return over ? 'Only the clear point was marked. One temperature is not a range: melt a new tube.' : null
  if (!clear)
    return over ? 'Only the onset was marked. One temperature is not a range: melt a new tube.' : null
  if (!onset.temperature || !clear.temperature)
    return readByEye(melt)
      ? 'Marked. Its temperature has not been typed yet.'
      : 'Marked while the instrument did not answer. The temperature follows with its trace.'
  if (onset.temperature.value > clear.temperature.value)
    return `The onset of ${onset.temperature.text} °C lies above the clear point of ${clear.temperature.text} °C. Were the two keys swapped? Then exchange them.`
  return null
}

function readByEye(melt: MeltFacts): boolean {
  return melt.run?.started.body.recorded === false
}

/** The range both of whose ends are known, of the latest tube of this role. */
export function latestRange(
  rows: readonly RangeRow[],
  role: SampleRole,
): (RangeRow & { onset: Reading; clear: Reading }) | null {
  for (const row of [...rows].reverse())
    if (row.role === role && row.onset && row.clear && row.trouble === null && row.purpose === 'careful')
      return { ...row, onset: row.onset, clear: row.clear }
  return null
}

/** A calibration made at another rate than the run's holds another share of what heating does, °C/min. */
const SAME_RATE_WITHIN = 0.5

/** How a tube was heated and packed, and whether its calibration was made the same way: then what heating does is in it already. */
export function heatedOf(row: Pick<RangeRow, 'corrected' | 'rateCPerMin' | 'fillMm' | 'grain'>): Heated {
  const heating = row.corrected?.calibration.heating
  return {
    rateCPerMin: row.rateCPerMin,
    fillMm: row.fillMm,
    grain: row.grain,
    calibration: !row.corrected
      ? 'none'
      : heating && Math.abs(heating.rateCPerMin - row.rateCPerMin) <= SAME_RATE_WITHIN
        ? 'in place'
        : 'at another rate',
  }
}
