import { eutectic } from '../melting/eutectic'
import type { HouseWords, RangeEvidence } from './evidence'
import type { BudgetRow, Finding, Measured } from './judgement'
import { boiledOut, byChanceC, isChecked, saw, type Span, tenths } from './owners'
import { listed, OWNER_NAMES, span } from './budget'
import { EUTECTIC_WITHIN_C, isNoBetter, type Settled } from './settle'

const c = (value: number) => value.toFixed(1)

/** What the range shows, each with its numbers: the width first, then the place, then what else speaks. */
export function findingsOf(
  read: RangeEvidence,
  settled: Settled,
  measured: Measured,
  budget: readonly BudgetRow[],
  impurity: readonly [number, number] | null,
  rules: HouseWords,
): readonly Finding[] {
  const { evidence } = settled
  return [
    ...behaviour(evidence),
    widthFinding(settled, measured, rules),
    ...place(settled, measured, budget, rules),
    ...authenticItself(evidence, measured, rules),
    ...atEutectic(evidence, measured, rules),
    ...againstCrude(evidence, measured, rules),
    ...impurityFinding(evidence, impurity),
    ...mixedMelt(evidence),
    ...plateBeside(evidence),
    ...tubes(read, evidence, rules),
  ]
}

function said(
  code: Finding['code'],
  headline: string,
  sentence: string,
  numbers: Finding['numbers'] = {},
): Finding {
  return { code, numbers, headline, sentence }
}

function behaviour(evidence: RangeEvidence): Finding[] {
  const found: Finding[] = []
  if (evidence.behaviour === 'decomposes' || saw(evidence, 'decomposes'))
    found.push(
      said(
        'decomposes',
        'Decomposes',
        `a decomposition point depends on how fast it was reached (${c(evidence.rateCPerMin)} °C/min here, and is reported with it) and does not measure purity`,
      ),
    )
  if (saw(evidence, 'solid that never melts'))
    found.push(
      said(
        'residual-solid',
        'Solid left over',
        'something in the tube did not melt at all: grit, a salt or drying agent. It hardly lowers the range',
      ),
    )
  if (evidence.behaviour === 'sublimes')
    found.push(
      said('sublimes', 'Sublimes', 'in an open tube some of it leaves before it melts: seal the tube'),
    )
  if (evidence.behaviour === 'hydrate')
    found.push(
      said(
        'hydrate',
        'Hydrate or solvate',
        'it may lose what it holds before it melts: compare like with like, and write both temperatures',
      ),
    )
  if (evidence.behaviour === 'other forms' || saw(evidence, 'changes form'))
    found.push(
      said(
        'other-forms',
        'Other crystal forms',
        'a sharp range elsewhere may be another form of the same compound: both temperatures are written',
      ),
    )
  if (boiledOut(evidence))
    found.push(said('boiled-out', 'Bubbled', 'where its solvent boils: some was left in the crystals'))
  return found
}

function widthFinding(
  { isTooFastToTell, owners, evidence }: Settled,
  { widthC, against }: Measured,
  rules: HouseWords,
): Finding {
  const headline = `${c(widthC)} °C wide`
  const numbers = { widthC }
  if (tenths(widthC) <= rules.sharpWidthC)
    return said('sharp', headline, `sharp by house rules (${c(rules.sharpWidthC)} or less)`, numbers)
  // Beside an authentic sample what heating and packing make is seen, and needs no guess.
  const beside =
    against?.what === 'authentic'
      ? `; the authentic sample beside it is ${c(against.highC - against.lowC)} wide`
      : ''
  if (isTooFastToTell && beside === '') {
    const why = owners.isRateLoose
      ? evidence.rateCPerMin > rules.meltRate.max
        ? 'too fast to judge its width'
        : 'its rate was not measured, so its width cannot be judged'
      : 'too full or too coarse to judge its width'
    return said(
      'too-fast-to-tell',
      headline,
      `${why}: melting through may take ${span(owners.meltingTime)} of it`,
      numbers,
    )
  }
  const words = `(${c(rules.sharpWidthC)} or less)`
  return tenths(widthC) <= rules.broadWidthC
    ? said(
        'a-little-wide',
        headline,
        `between sharp ${words} and broad (over ${c(rules.broadWidthC)}) by house rules${beside}`,
        numbers,
      )
    : said('broad', headline, `broad by house rules (over ${c(rules.broadWidthC)})${beside}`, numbers)
}

const END_NAMES = { onset: 'onset', clear: 'clear point' } as const

/** Where it lies, held against the authentic sample or the literature. */
function place(
  settled: Settled,
  measured: Measured,
  budget: readonly BudgetRow[],
  rules: HouseWords,
): Finding[] {
  const { against, distanceC } = measured
  if (!against || !distanceC)
    return [
      said(
        'no-literature',
        'Nothing to hold it against',
        'its width is judged and not its place: what it is, a mixed melt says',
      ),
    ]
  const furthest = Math.abs(distanceC.onset) >= Math.abs(distanceC.clear) ? 'onset' : 'clear'
  const farC = distanceC[furthest]
  const numbers = { onsetC: distanceC.onset, clearC: distanceC.clear }
  if (against.what === 'authentic') return [besideAuthentic(settled, farC, numbers)]
  const range = `${c(against.lowC)} to ${c(against.highC)} °C`
  if (tenths(Math.abs(farC)) <= rules.literatureWithinC)
    return [
      said(
        'agrees-with-literature',
        'Within literature',
        tenths(farC) === 0
          ? `both ends lie in ${range}`
          : `the ${END_NAMES[furthest]} reads ${c(Math.abs(farC))} ${farC < 0 ? 'below' : 'above'} ${range}; house rules allow ${c(rules.literatureWithinC)}`,
        numbers,
      ),
    ]
  return [elsewhere(settled, budget, farC, furthest, range, numbers)]
}

function besideAuthentic({ owners }: Settled, farC: number, numbers: Finding['numbers']): Finding {
  const chanceC = byChanceC(owners)
  const headline = `${c(Math.abs(farC))} °C ${farC < 0 ? 'below' : 'above'} authentic`
  return said(
    tenths(Math.abs(farC)) <= chanceC ? 'agrees-with-authentic' : 'differs-from-authentic',
    headline,
    `same run, so thermometer and heating are shared; two readings differ by up to ${c(chanceC)} by chance`,
    numbers,
  )
}

/** Further from the literature than house rules allow: who but the sample may own that, as the budget has it. */
function elsewhere(
  { evidence }: Settled,
  budget: readonly BudgetRow[],
  farC: number,
  end: 'onset' | 'clear',
  range: string,
  numbers: Finding['numbers'],
): Finding {
  const isLow = farC < 0
  const headline = `${c(Math.abs(farC))} °C ${isLow ? 'below' : 'above'} literature`
  const reaches = ({ leastC, mostC }: Span) => (isLow ? tenths(leastC) < 0 : tenths(mostC) > 0)
  const may = budget.filter(({ owner, endC }) => owner !== 'sample' && reaches(endC[end]))
  const sample = budget.find(({ owner }) => owner === 'sample')?.endC[end]
  const certainC = tenths(Math.max(0, isLow ? -(sample?.mostC ?? 0) : (sample?.leastC ?? 0)))
  const who = listed(may.map(({ owner }) => OWNER_NAMES[owner]))
  const whose =
    may.length === 0
      ? 'nobody but the sample can own it'
      : certainC > 0
        ? `${who} may own at most ${c(Math.abs(farC) - certainC)} of it`
        : `${who} may own all of it`
  const besides = isLow
    ? evidence.rateCPerMin > 0
      ? '; fast heating hides lowering and never makes it'
      : ''
    : '; an impurity does not raise a range'
  return said(
    isLow ? 'low' : 'high',
    headline,
    `the ${END_NAMES[end]} against ${range}: ${whose}${besides}`,
    numbers,
  )
}

/** The authentic sample itself, held against the literature: both off alike is the thermometer. */
function authenticItself(evidence: RangeEvidence, { against }: Measured, rules: HouseWords): Finding[] {
  const { authentic, literature } = evidence
  if (!authentic || !literature) return []
  const offC =
    Math.min(0, authentic.onsetC - literature.lowC) + Math.max(0, authentic.clearC - literature.highC)
  if (tenths(Math.abs(offC)) <= rules.literatureWithinC) return []
  const isPoor = against?.what !== 'authentic'
  return [
    said(
      'authentic-off',
      `Authentic ${c(Math.abs(offC))} °C ${offC < 0 ? 'below' : 'above'} literature`,
      isPoor
        ? 'and wide, on a thermometer that was checked: this authentic sample is not what its label says, and nothing is held against it'
        : isChecked(evidence)
          ? 'though the thermometer was checked: either the check or the authentic sample is wrong'
          : 'what both share is the thermometer’s, or the heating’s: it is checked before anything else is melted on it',
      { offC },
    ),
  ]
}

function atEutectic(
  { impurity, fusion, reading }: RangeEvidence,
  { widthC, distanceC, against }: Measured,
  rules: HouseWords,
): Finding[] {
  if (!impurity || !fusion || !distanceC || against?.what !== 'literature') return []
  if (tenths(widthC) > rules.sharpWidthC || tenths(-distanceC.onset) <= rules.literatureWithinC) return []
  const { temperatureC } = eutectic(fusion, impurity.fusion)
  if (Math.abs(reading.clearC - temperatureC) > EUTECTIC_WITHIN_C) return []
  return [
    said(
      'possible-eutectic',
      `Near the eutectic, ${c(temperatureC)} °C`,
      `a mixture with ${impurity.name} at this composition would melt as sharply as a pure compound, just here (met within about ${EUTECTIC_WITHIN_C} °C)`,
      { eutecticC: temperatureC },
    ),
  ]
}

function againstCrude({ crude, reading }: RangeEvidence, { widthC }: Measured, rules: HouseWords): Finding[] {
  if (!crude) return []
  const crudeWidthC = crude.clearC - crude.onsetC
  const riseC = reading.onsetC - crude.onsetC
  const narrowerC = crudeWidthC - widthC
  const headline = `Crude was ${c(crudeWidthC)} °C wide`
  const numbers = { crudeWidthC, onsetRiseC: riseC }
  const moved = `the product begins ${c(Math.abs(riseC))} °C ${riseC >= 0 ? 'higher' : 'lower'} and is ${c(Math.abs(narrowerC))} °C ${narrowerC >= 0 ? 'narrower' : 'wider'}`
  return [
    isNoBetter(reading, crude, rules)
      ? said(
          'no-better-than-crude',
          headline,
          `${moved}: no more than repeats differ by (${c(rules.repeatWithinC)}), so nothing was gained`,
          numbers,
        )
      : said('better-than-crude', headline, moved, numbers),
  ]
}

function impurityFinding(
  { impurity, fusion }: RangeEvidence,
  bounds: readonly [number, number] | null,
): Finding[] {
  if (!bounds) return []
  const [least, most] = bounds.map((fraction) => 100 * fraction) as [number, number]
  const name = impurity?.name ?? 'Impurity'
  return [
    said(
      'impurity',
      `${name} ${percentBetween(least, most)} mol %`,
      `if it dissolves in the melt and is the lesser part; from both ends with what heating, thermometer and reading may own. Sand or salt would not show${fusion?.estimated ? '. Its fusion enthalpy is estimated (Walden’s rule)' : ''}`,
      { leastMolPercent: least, mostMolPercent: most },
    ),
  ]
}

/** “at most 4”, or “3 to 9” where some is there for certain. */
export function percentBetween(least: number, most: number): string {
  const top = Math.max(1, Math.ceil(most))
  return Math.floor(least) < 1 ? `at most ${top}` : `${Math.floor(least)} to ${top}`
}

const MIXED = {
  same: { code: 'mixed-same', headline: 'Mixed melt: unchanged' },
  different: { code: 'mixed-different', headline: 'Mixed melt: two compounds' },
  repeat: { code: 'mixed-unclear', headline: 'Mixed melt: unclear' },
} as const

function mixedMelt({ mixed }: RangeEvidence): Finding[] {
  if (!mixed) return []
  const { code, headline } = MIXED[mixed.verdict]
  return [said(code, headline, mixed.because)]
}

function plateBeside({ plate }: RangeEvidence): Finding[] {
  if (!plate) return []
  const { sentence, spots, sameHeight, isPoor } = plate
  const found: Finding[] = []
  if (isPoor) found.push(said('plate-poor', 'Plate: poor evidence', sentence))
  else if (sameHeight === false) found.push(said('plate-differs', 'Plate: not the same height', sentence))
  else if (sameHeight) found.push(said('plate-agrees', 'Plate: the same height', sentence))
  if (spots > 1)
    found.push(
      said(
        'plate-more-spots',
        `Plate: ${spots} spots`,
        'a plate shows amounts of a second compound too small to move a melting range',
        { spots },
      ),
    )
  return found
}

/** Several tubes of one sample: what they come to together. */
function tubes(read: RangeEvidence, judged: RangeEvidence, rules: HouseWords): Finding[] {
  const all = [read.reading, ...read.repeats]
  if (all.length < 2) return []
  if (judged.repeats.length === 0) {
    const rates = [read.rateCPerMin, ...read.repeats.map(({ rateCPerMin }) => rateCPerMin)]
    return [
      said(
        'zero-rate',
        `${all.length} rates`,
        `${rates.map(c).join(', ')} °C/min, looked back to no heating at all: ${c(judged.reading.onsetC)} to ${c(judged.reading.clearC)} °C`,
        { onsetC: judged.reading.onsetC, clearC: judged.reading.clearC },
      ),
    ]
  }
  const spread = (end: 'onsetC' | 'clearC') =>
    Math.max(...all.map((tube) => tube[end])) - Math.min(...all.map((tube) => tube[end]))
  const spreadC = Math.max(spread('onsetC'), spread('clearC'))
  const numbers = { count: all.length, spreadC }
  return [
    tenths(spreadC) > rules.repeatWithinC
      ? said(
          'repeats-scatter',
          `Repeats ${c(spreadC)} °C apart`,
          `${all.length} tubes should agree within ${c(rules.repeatWithinC)} by house rules: ${judged.authentic ? 'the one beside the authentic sample is judged, since the two share what the others do not' : 'none of them is judged alone'}`,
          numbers,
        )
      : said(
          'repeats-agree',
          `${all.length} tubes agree`,
          `within ${c(spreadC)} °C (house rules ask for ${c(rules.repeatWithinC)})${judged.authentic ? '; the one beside the authentic sample is judged' : ': judged as one better reading, their mean'}`,
          numbers,
        ),
  ]
}
