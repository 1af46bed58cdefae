import { listed } from '../words'
import { tenths } from '../math/tenths'
import { WATCHED_FROM_C } from '../heating/room'
import { airMinutesFor } from '../weighing/airDrying'
import type { HouseWords, RangeEvidence } from './evidence'
import type { BudgetRow, Measured, Cause } from './judgement'
import { WET_AND_SHARP_C } from './alone'
import { byChanceC, boiledOut, isChecked, isShownDry, type Contributions, type Span } from './contributions'

type Ends = BudgetRow['endC']

/** What the owners are called in a sentence. */
export const OWNER_NAMES: Readonly<Record<Cause, string>> = {
  heating: 'heating',
  'melting time': 'melting time',
  thermometer: 'thermometer',
  reading: 'reading',
  literature: 'literature',
  solvent: 'solvent left',
  late: 'an onset not seen',
  sample: 'the sample',
}

const NOTHING: Span = { leastC: 0, mostC: 0 }
const NONE: Ends = { onset: NOTHING, clear: NOTHING, width: NOTHING }

/**
 * Whose the degrees of a reading are: one row an owner, from the least to the most it may have raised each end (below
 * 0: lowered) and widened the range; the last row is what is left for the sample. The least of all rows together is
 * never more than what was read, the most never less.
 */
export function budgetOf(
  evidence: RangeEvidence,
  contributions: Contributions,
  measured: Measured,
  rules: HouseWords,
): readonly BudgetRow[] {
  const besides = measured.against?.what === 'authentic'
  const rows = [
    heatingRow(evidence, contributions, besides),
    meltingTimeRow(evidence, contributions, besides),
    thermometerRow(evidence, contributions, besides),
    readingRow(evidence, contributions, besides),
    literatureRow(measured),
  ]
  const withLate =
    contributions.mayBeLate || contributions.mayBeAnotherMark
      ? [...rows, lateRow(evidence, contributions, rules)]
      : rows
  const all = [...withLate, solventRow(evidence, contributions, left(withLate, measured), rules)]
  return [...all, sampleRow(left(all, measured), measured)]
}

/** What is left of the reading once these rows are charged. */
function left(rows: readonly BudgetRow[], { distanceC, widthC, range, against }: Measured): Ends {
  const rest = (end: keyof Ends, of: number): Span => ({
    leastC: of - sum(rows, end, 'mostC'),
    mostC: of - sum(rows, end, 'leastC'),
  })
  const width = rest('width', widthC)
  return {
    onset: withRoom(rest('onset', distanceC?.onset ?? 0), range.onsetC, against),
    clear: withRoom(rest('clear', distanceC?.clear ?? 0), range.clearC, against),
    // Nobody owns more of a width than was read.
    width: {
      leastC: Math.min(widthC, Math.max(0, width.leastC)),
      mostC: Math.min(widthC, Math.max(0, width.mostC)),
    },
  }
}

/** Inside the literature an end has room to either side before anything of it lies low or high. */
function withRoom({ leastC, mostC }: Span, endC: number, against: Measured['against']): Span {
  if (against?.what !== 'literature') return { leastC, mostC }
  const toLowC = Math.max(0, endC - against.lowC)
  const toHighC = Math.max(0, against.highC - endC)
  return {
    leastC: leastC > 0 ? Math.max(0, leastC - toHighC) : leastC,
    mostC: mostC < 0 ? Math.min(0, mostC + toLowC) : mostC,
  }
}

function sum(rows: readonly BudgetRow[], end: keyof Ends, bound: keyof Span): number {
  return rows.reduce((total, { endC }) => total + endC[end][bound], 0)
}

function row(owner: Cause, endC: Ends, sentence: string, isOpenEnded = false): BudgetRow {
  return { owner, endC, isOpenEnded, sentence }
}

function heatingRow(evidence: RangeEvidence, { heating }: Contributions, besides: boolean): BudgetRow {
  const { rateCPerMin, rateMeasured, thermometer } = evidence
  if (besides) return row('heating', NONE, 'nothing: the authentic sample was heated with it')
  if (rateCPerMin === 0) return row('heating', NONE, 'nothing: extrapolated to zero rate from several rates')
  if (thermometer.state === 'checked in place at this rate')
    return row(
      'heating',
      NONE,
      'nothing: the thermometer was checked at this rate, and the correction holds it',
    )
  return row(
    'heating',
    { onset: heating, clear: heating, width: NOTHING },
    `at ${rateCPerMin.toFixed(1)} °C/min${rateMeasured ? '' : ' as planned, not measured,'} both ends read ${span(heating)} °C too high; fast heating raises a range and never lowers it`,
  )
}

function meltingTimeRow(
  evidence: RangeEvidence,
  { meltingTime }: Contributions,
  besides: boolean,
): BudgetRow {
  const { rateCPerMin, fillMm, grain, authentic, reading } = evidence
  if (besides && authentic) {
    const alikeC = Math.min(reading.clearC - reading.onsetC, authentic.clearC - authentic.onsetC)
    const alike = { leastC: alikeC, mostC: alikeC }
    // Both tubes’ tops are late alike: only the width is charged.
    return row(
      'melting time',
      { ...NONE, width: alike },
      `the authentic sample beside it is ${c(authentic.clearC - authentic.onsetC)} °C wide: as much of the width is heating and packing`,
    )
  }
  if (rateCPerMin === 0) return row('melting time', NONE, 'nothing: extrapolated to zero rate')
  return row(
    'melting time',
    { onset: NOTHING, clear: meltingTime, width: meltingTime },
    `${millimetres(fillMm)} mm of ${grain} powder takes time to melt through: ${span(meltingTime)} °C of the width and of the clear point`,
  )
}

function thermometerRow(
  evidence: RangeEvidence,
  { thermometerC }: Contributions,
  besides: boolean,
): BudgetRow {
  if (besides)
    return row('thermometer', NONE, 'nothing: the authentic sample was read on the same thermometer')
  const off = eitherWay(thermometerC)
  const { state, extrapolated } = evidence.thermometer
  const how = isChecked(evidence)
    ? state === 'checked in place at this rate'
      ? 'checked at this rate'
      : 'checked, though at another rate'
    : extrapolated
      ? 'checked, but not up to here'
      : 'never checked'
  return row(
    'thermometer',
    { onset: off, clear: off, width: NOTHING },
    `${how}: ± ${c(thermometerC)} °C at both ends alike; the width does not change`,
  )
}

function readingRow(evidence: RangeEvidence, { readingC }: Contributions, besides: boolean): BudgetRow {
  const endC = besides ? byChanceC({ readingC }) : readingC
  const widthC = Math.min(byChanceC({ readingC: endC }), evidence.reading.clearC - evidence.reading.onsetC)
  const both = eitherWay(endC)
  return row(
    'reading',
    { onset: both, clear: both, width: eitherWay(widthC) },
    `± ${c(endC)} °C at each end: two standard errors of a mark and half a division${besides ? ', of both samples' : ''}`,
  )
}

function literatureRow({ against }: Measured): BudgetRow {
  if (!against) return row('literature', NONE, 'its literature range is not known')
  const range = `${c(against.lowC)} to ${c(against.highC)} °C`
  return row(
    'literature',
    NONE,
    against.what === 'authentic'
      ? `nothing: the authentic sample melted at ${range} beside it and replaces the literature`
      : `a reading inside ${range} counts as 0 off, but a wide literature range does not explain a wide sample`,
  )
}

function lateRow(
  evidence: RangeEvidence,
  { mayBeLate }: Contributions,
  { broadWidthC }: HouseWords,
): BudgetRow {
  const most: Span = { leastC: 0, mostC: broadWidthC }
  const sentence = mayBeLate
    ? `watching began ${watchedFrom(evidence.watchedFromBelowOnsetC ?? 0)}: melting could have begun earlier; how much earlier is not known`
    : 'wetness was seen before the drop that was marked; it is not known which of the two was the onset'
  return row(
    'late',
    { onset: most, clear: NOTHING, width: { leastC: -broadWidthC, mostC: 0 } },
    sentence,
    true,
  )
}

function watchedFrom(belowC: number): string {
  return belowC < 0
    ? `${c(-belowC)} °C above the onset that was marked`
    : `${c(belowC)} °C below the onset, less than ${WATCHED_FROM_C} °C`
}

function solventRow(
  evidence: RangeEvidence,
  { mayBeWet }: Contributions,
  rest: Ends,
  { sharpWidthC }: HouseWords,
): BudgetRow {
  const { dried } = evidence
  if (!mayBeWet) return row('solvent', NONE, `nothing: ${shownDry(evidence)}`)
  // Solvent widens what it lowers: a sharp range further down is not its doing.
  const isSharp = tenths(evidence.reading.clearC - evidence.reading.onsetC) <= sharpWidthC
  const mostLoweredC = isSharp ? -WET_AND_SHARP_C : -Infinity
  const lowered = (end: Span): Span => ({
    leastC: Math.min(0, Math.max(mostLoweredC, end.leastC)),
    mostC: 0,
  })
  const boilsC = dried?.solventBoilsC ?? null
  const air = boilsC === null ? Infinity : airMinutesFor(boilsC)
  const why = boiledOut(evidence)
    ? `it bubbled near ${boiling(dried)}, where its solvent boils`
    : dried?.how === 'minutes of air'
      ? boilsC === null
        ? `${minutesOf(dried)} min in air, and its solvent is not known`
        : `${minutesOf(dried)} min in air, and its solvent boils at ${boiling(dried)}${Number.isFinite(air) ? `: ${air} min would show it dry` : ': drying in air does not prove it dry'}`
      : 'not shown dry'
  return row(
    'solvent',
    {
      onset: lowered(rest.onset),
      clear: lowered(rest.clear),
      width: { leastC: 0, mostC: Math.max(0, rest.width.mostC) },
    },
    isSharp
      ? `${why}. Solvent left in it lowers and widens a range, and this one is sharp: at most ${WET_AND_SHARP_C} °C of it`
      : `${why}. Solvent left in it can lower and widen the range by any amount`,
    !isSharp,
  )
}

const boiling = (dried: RangeEvidence['dried']) => `${dried?.solventBoilsC?.toFixed(0) ?? ''} °C`
const minutesOf = (dried: NonNullable<RangeEvidence['dried']>) => Math.floor(dried.minutes ?? 0)

function shownDry({ dried, signs }: RangeEvidence): string {
  if (!dried) return 'it was not wet'
  if (!isShownDry({ dried, signs })) return 'a range so sharp in the right place shows that it is dry'
  switch (dried.how) {
    case 'constant mass':
      return 'dried to constant mass'
    case 'oven':
      return 'dried in the oven'
    default:
      return `${minutesOf(dried)} min in air are enough for a solvent that boils at ${boiling(dried)}`
  }
}

function sampleRow(rest: Ends, { distanceC }: Measured): BudgetRow {
  const certain: string[] = []
  if (tenths(rest.width.leastC) > 0) certain.push(`${c(rest.width.leastC)} °C of the width`)
  if (distanceC)
    for (const [end, name] of [
      ['onset', 'onset'],
      ['clear', 'clear point'],
    ] as const) {
      const { leastC, mostC } = rest[end]
      if (tenths(mostC) < 0) certain.push(`${c(-mostC)} °C by which the ${name} lies low`)
      if (tenths(leastC) > 0) certain.push(`${c(leastC)} °C by which the ${name} lies high`)
    }
  return row(
    'sample',
    rest,
    certain.length > 0
      ? `nothing else can explain ${listed(certain)}`
      : `at least 0.0 °C, at most ${c(rest.width.mostC)} °C of the width: the causes above could explain all of it`,
  )
}

function eitherWay(mostC: number): Span {
  return { leastC: -mostC, mostC }
}

/** “0.1 to 0.5”, or one number where both read alike. */
export function span({ leastC, mostC }: Span): string {
  return c(leastC) === c(mostC) ? c(mostC) : `${c(leastC)} to ${c(mostC)}`
}

function c(value: number): string {
  return tenths(value).toFixed(1)
}

function millimetres(value: number): string {
  return String(tenths(value))
}
