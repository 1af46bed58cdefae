import { zeroRateRange } from '../../heating/observedRange'
import { eutectic } from '../../melting/eutectic'
import type { MeltingRange } from '../../melting/meltingRange'
import type { Verdict } from '../judgement'
import type { HouseWords, RangeEvidence } from './evidence'
import { type Owners, ownersOf, type Span } from './owners'

export const NEXT_STEPS = [
  'sign',
  'mixed melt',
  'grind again and repeat the mixture',
  'melt beside authentic',
  'check the thermometer',
  'repeat slower',
  'repeat with less, finer',
  'repeat as it was',
  'dry and repeat',
  'new tube, put in late',
  'recrystallize',
  'recrystallize from another solvent',
  'hot filter',
  'thin-layer plate',
  'find out what it is',
] as const
type NextStep = (typeof NEXT_STEPS)[number]

/** What a reading comes to once everybody has been charged what is theirs. */
export interface DegreesJudged {
  readonly verdict: Verdict
  /** What to do next, what would settle most first. */
  readonly next: readonly NextStep[]
  readonly owners: Owners
  /** The range that was judged: at zero rate where several rates were heated. */
  readonly judged: MeltingRange
  /** What of the width only the sample can own, °C. */
  readonly sampleWidth: Span
  /** What of the lowering of the onset only the sample can own, °C; negative: it lies above. */
  readonly sampleLowering: Span
}

/** A difference of two readings that chance makes, °C: twice √2 times the error of one. */
const byChanceC = ({ readingErrorC }: HouseWords) => 2 * Math.SQRT2 * readingErrorC
/** Simple pairs meet within so much of where the ideal relation puts their eutectic, °C. */
const EUTECTIC_WITHIN_C = 3
/** A tube that has been hot for so long below its melting has had time to sublime away, °C below the onset. */
const LONG_HOT_C = 25

/**
 * Judges a range as a careful supervisor does: every degree between reading and literature, and of the width, belongs
 * to somebody; what nobody else can own is the sample’s. Where that straddles a border because of something that can
 * be mended it cannot be told, and the mending comes first.
 *
 * @example judgeDegrees(evidence, rules).verdict // 'consistent with pure'
 */
export function judgeDegrees(evidence: RangeEvidence, rules: HouseWords): DegreesJudged {
  const settled = atZeroRate(evidence)
  const owners = ownersOf(settled, rules)
  const { reading } = settled
  const widthC = reading.clearC - reading.onsetC
  const lowC = (settled.literature?.lowC ?? reading.onsetC) - reading.onsetC
  const off = owners.thermometerC + owners.readingC
  const judged = {
    owners,
    judged: reading,
    sampleWidth: { leastC: Math.max(0, widthC - owners.meltingTime.mostC), mostC: widthC },
    sampleLowering: { leastC: lowC + owners.heating.leastC - off, mostC: lowC + owners.heating.mostC + off },
  }
  const [verdict, ...next] = settle(settled, judged, rules)
  return { ...judged, verdict, next }
}

/** Heated at several rates, a range is looked back to no rate at all, and heating owns nothing more. */
function atZeroRate(evidence: RangeEvidence): RangeEvidence {
  const runs = [{ ...evidence.reading, rateCPerMin: evidence.rateCPerMin }, ...evidence.repeats]
  const rates = new Set(runs.map(({ rateCPerMin }) => rateCPerMin))
  if (rates.size < 2) return evidence
  const { onsetC, clearC } = zeroRateRange(runs)
  const reading = { onsetC, clearC: Math.max(onsetC, clearC) }
  return { ...evidence, reading, rateCPerMin: 0, rateMeasured: true, repeats: [] }
}

type Judged = Pick<DegreesJudged, 'owners' | 'judged' | 'sampleWidth' | 'sampleLowering'>
type Said = readonly [Verdict, ...NextStep[]]

function settle(evidence: RangeEvidence, judged: Judged, rules: HouseWords): Said {
  return outright(evidence, rules) ?? beside(evidence, rules) ?? alone(evidence, judged, rules)
}

/** What stands whatever the range says. */
function outright(evidence: RangeEvidence, rules: HouseWords): Said | null {
  const { mixed, signs, behaviour, reading, authentic } = evidence
  if (mixed === 'different') return ['not this compound', 'find out what it is', 'thin-layer plate']
  if (signs.includes('solid that never melts')) return ['impure', 'hot filter']
  if (scatterC(evidence) > rules.repeatWithinC)
    return ['cannot tell', 'repeat as it was', 'check the thermometer', 'melt beside authentic']
  const decomposed = behaviour === 'decomposes' || signs.includes('decomposes')
  if (decomposed && !authentic) return ['cannot tell', 'new tube, put in late', 'melt beside authentic']
  const longHot = (evidence.watchedFromBelowOnsetC ?? 0) > LONG_HOT_C
  if (behaviour === 'sublimes' && longHot)
    return ['cannot tell', 'new tube, put in late', 'melt beside authentic']
  const isWide = reading.clearC - reading.onsetC > rules.sharpWidthC
  const loses = signs.includes('sweats') || signs.includes('bubbles')
  if (behaviour === 'hydrate' && isWide && loses)
    return ['cannot tell', 'dry and repeat', 'recrystallize from another solvent']
  return null
}

/** How far apart tubes of one sample, heated alike, lie at either end, °C. */
function scatterC({ reading, repeats }: RangeEvidence): number {
  const tubes = [reading, ...repeats]
  const spread = (end: 'onsetC' | 'clearC') =>
    Math.max(...tubes.map((tube) => tube[end])) - Math.min(...tubes.map((tube) => tube[end]))
  return Math.max(spread('onsetC'), spread('clearC'))
}

/** Beside an authentic sample of the same run heating and thermometer cancel. */
function beside(evidence: RangeEvidence, rules: HouseWords): Said | null {
  const { authentic, reading, thermometer, literature } = evidence
  if (!authentic) return null
  const width = (range: MeltingRange) => range.clearC - range.onsetC
  // An authentic sample that is itself low and wide, on a thermometer that is right, speaks for nothing.
  const isChecked = thermometer.state !== 'never checked'
  const isPoor = width(authentic) > width(reading) + rules.sharpWidthC && isChecked
  if (isPoor) return null
  const chanceC = byChanceC(rules) + evidence.resolutionC / 2
  const lowerC = authentic.onsetC - reading.onsetC
  const apartC = Math.max(Math.abs(lowerC), Math.abs(authentic.clearC - reading.clearC))
  const tooFast = evidence.rateCPerMin > rules.meltRate.max && evidence.behaviour !== 'decomposes'
  const widerC = width(reading) - width(authentic)
  if (apartC <= chanceC || (widerC <= chanceC && Math.abs(lowerC) <= chanceC)) {
    const bothOffC = literature ? literature.lowC - authentic.onsetC : 0
    const isOff = !isChecked && Math.abs(bothOffC) > rules.literatureWithinC
    return tooFast
      ? ['consistent with pure', 'repeat slower', 'sign', 'mixed melt']
      : ['consistent with pure', 'sign', ...(isOff ? (['check the thermometer'] as const) : []), 'mixed melt']
  }
  if (widerC > rules.sharpWidthC) return ['impure', 'recrystallize', 'repeat slower']
  if (widerC > chanceC) return ['nearly pure', 'recrystallize', 'thin-layer plate']
  return ['not this compound', 'mixed melt', 'find out what it is', 'thin-layer plate']
}

function alone(evidence: RangeEvidence, judged: Judged, rules: HouseWords): Said {
  const widthC = tenths(judged.sampleWidth.mostC)
  return widthC <= rules.sharpWidthC ? sharp(evidence, judged, rules) : wide(evidence, judged, rules)
}

function sharp(evidence: RangeEvidence, { owners }: Judged, rules: HouseWords): Said {
  const { literature, reading, mixed, plate, thermometer, impurity } = evidence
  if (!literature) return ['cannot tell', 'mixed melt', 'find out what it is']
  const withinC = rules.literatureWithinC
  const lowByC = literature.lowC - reading.onsetC
  const highByC = reading.clearC - literature.highC
  if (tenths(Math.max(lowByC, highByC)) <= withinC) return agreeing(evidence, owners)
  // Heating may own what is too high; that it does is for a slower tube to show.
  if (owners.isRateLoose && highByC - owners.heating.mostC <= withinC && lowByC <= withinC)
    return ['cannot tell', 'repeat slower', 'melt beside authentic']
  if (mixed === 'same')
    return thermometer.state === 'never checked'
      ? ['consistent with pure', 'sign', 'check the thermometer']
      : ['cannot tell', 'check the thermometer', 'thin-layer plate']
  if (owners.mayBeWet && lowByC > 0) return ['cannot tell', 'dry and repeat', 'melt beside authentic']
  // What nobody but the sample can own of the distance.
  const sampleC = Math.max(lowByC, highByC) - owners.thermometerC - owners.readingC
  if (sampleC <= withinC)
    return thermometer.state === 'never checked'
      ? ['cannot tell', 'check the thermometer', 'melt beside authentic', 'mixed melt']
      : ['cannot tell', 'melt beside authentic', 'check the thermometer', 'mixed melt']
  if (evidence.behaviour === 'other forms')
    return ['cannot tell', 'mixed melt', 'recrystallize from another solvent', 'melt beside authentic']
  const companion = companionAt(evidence)
  if (companion === 'itself') return ['not this compound', 'find out what it is', 'mixed melt']
  if (companion === 'eutectic')
    return ['impure', 'mixed melt', 'recrystallize from another solvent', 'find out what it is']
  if (plate?.sameHeight === false) return ['not this compound', 'find out what it is', 'mixed melt']
  if (highByC > 0 && impurity === null && highByC > 3 * withinC)
    return ['not this compound', 'find out what it is', 'mixed melt']
  return ['cannot tell', 'mixed melt', 'melt beside authentic', 'find out what it is']
}

/** Whether a sharp range lies where the companion melts, or where the two melt together. */
function companionAt({ impurity, fusion, reading }: RangeEvidence): 'itself' | 'eutectic' | null {
  if (!impurity) return null
  if (Math.abs(reading.clearC - impurity.fusion.meltingPointC) <= EUTECTIC_WITHIN_C) return 'itself'
  if (!fusion) return null
  const { temperatureC } = eutectic(fusion, impurity.fusion)
  return Math.abs(reading.clearC - temperatureC) <= EUTECTIC_WITHIN_C ? 'eutectic' : null
}

/** Sharp and where it should be: only what could still make that a mistake is left. */
function agreeing(evidence: RangeEvidence, owners: Owners): Said {
  const { mixed, plate, impurity, reading } = evidence
  if (mixed === 'repeat') return ['cannot tell', 'grind again and repeat the mixture', 'thin-layer plate']
  if (plate && plate.spots > 1) return ['nearly pure', 'recrystallize', 'thin-layer plate']
  if (plate?.sameHeight === false && mixed !== 'same')
    return ['cannot tell', 'mixed melt', 'thin-layer plate']
  if (owners.mayBeLate) return ['cannot tell', 'repeat slower', 'repeat as it was']
  const another = impurity && Math.abs(impurity.fusion.meltingPointC - reading.clearC) <= EUTECTIC_WITHIN_C
  if (another && mixed !== 'same') return ['consistent with pure', 'mixed melt', 'thin-layer plate', 'sign']
  return ['consistent with pure', 'sign', 'mixed melt']
}

function wide(evidence: RangeEvidence, { owners, sampleWidth }: Judged, rules: HouseWords): Said {
  const { literature, reading, crude } = evidence
  const widthC = reading.clearC - reading.onsetC
  if (owners.mayBeWet) return ['cannot tell', 'dry and repeat']
  // The measurement may own all that is too much: it is mended before the sample is treated.
  if (tenths(sampleWidth.leastC) <= rules.sharpWidthC) {
    if (owners.isPackedLoose && !owners.isRateLoose) return ['cannot tell', 'repeat with less, finer']
    if (owners.isRateLoose) return ['cannot tell', 'repeat slower', 'melt beside authentic']
    if (owners.isPackedLoose) return ['cannot tell', 'repeat with less, finer']
  }
  if (owners.mayBeAnotherMark) return ['cannot tell', 'repeat as it was', 'dry and repeat']
  if (owners.mayBeLate) return ['cannot tell', 'repeat slower', 'repeat as it was']
  if (crude && isNoBetter(reading, crude, rules))
    return ['impure', 'recrystallize from another solvent', 'thin-layer plate', 'find out what it is']
  const highByC = literature
    ? reading.clearC - literature.highC - owners.heating.mostC - owners.thermometerC
    : 0
  if (highByC > rules.literatureWithinC) return ['impure', 'thin-layer plate', 'recrystallize']
  const lowByC = literature ? literature.lowC - reading.onsetC : 0
  const isImpure =
    tenths(Math.min(sampleWidth.leastC, widthC)) >= rules.broadWidthC || lowByC > 2 * rules.literatureWithinC
  return [isImpure ? 'impure' : 'nearly pure', 'recrystallize', 'thin-layer plate']
}

function isNoBetter(now: MeltingRange, before: MeltingRange, rules: HouseWords): boolean {
  const gainedC = Math.max(
    now.onsetC - before.onsetC,
    before.clearC - before.onsetC - (now.clearC - now.onsetC),
  )
  return gainedC <= rules.repeatWithinC
}

/** Compared in the tenths they are read in, so that 2.0 is not “over 2.0” by a binary fraction. */
function tenths(value: number): number {
  return Math.round(value * 10) / 10
}
