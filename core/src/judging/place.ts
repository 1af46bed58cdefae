import { tenths } from '../math/tenths'
import { eutectic } from '../melting/eutectic'
import { OWNER_NAMES } from './budget'
import { listed } from '../words'
import type { HouseWords, RangeEvidence } from './evidence'
import type { BudgetRow, Finding, Measured } from './judgement'
import { furthestEnd } from './measure'
import { byChanceC, isChecked, type Span } from './contributions'
import { c, finding } from './finding'
import { EUTECTIC_WITHIN_C } from './impurityExplains'
import { mayLieLower } from './alone'
import { authenticOffC, isAgainstCheck, type Decision } from './decideVerdict'

/** So much that nobody but the sample can own, and the name on the page is asked about, °C. */
const WRONG_COMPOUND_C = 8

const END_NAMES = { onset: 'onset', clear: 'clear point' } as const

/** Where it lies, held against the authentic sample or the literature. */
export function place(
  settled: Decision,
  measured: Measured,
  budget: readonly BudgetRow[],
  rules: HouseWords,
): Finding[] {
  const { against, distanceC } = measured
  if (!against || !distanceC)
    return [
      finding(
        'no-literature',
        'Nothing to compare it with',
        'its width is judged, not its position; a mixed melt shows which compound it is',
      ),
    ]
  const furthest = furthestEnd(distanceC)
  const farC = distanceC[furthest]
  const numbers = { onsetC: distanceC.onset, clearC: distanceC.clear }
  if (against.what === 'authentic') return [besideAuthentic(settled, farC, numbers)]
  const range = `${c(against.lowC)} to ${c(against.highC)} °C`
  if (tenths(Math.abs(farC)) <= rules.literatureWithinC)
    return [
      finding(
        'agrees-with-literature',
        'Within literature',
        `${
          tenths(farC) === 0
            ? `both ends lie in ${range}`
            : `the ${END_NAMES[furthest]} reads ${c(Math.abs(farC))} °C ${farC < 0 ? 'below' : 'above'} ${range}; house rules allow ${c(rules.literatureWithinC)} °C`
        }${mayLieLower(settled, settled.evidence.reading.onsetC - against.lowC, rules) ? `; at this heating rate it could have begun up to ${c(settled.contributions.heating.mostC)} °C lower` : ''}`,
        numbers,
      ),
    ]
  return [elsewhere(settled, budget, farC, furthest, range, numbers)]
}

function besideAuthentic({ contributions }: Decision, farC: number, numbers: Finding['numbers']): Finding {
  const chanceC = byChanceC(contributions)
  const headline = `${c(Math.abs(farC))} °C ${farC < 0 ? 'below' : 'above'} authentic`
  return finding(
    tenths(Math.abs(farC)) <= chanceC ? 'agrees-with-authentic' : 'differs-from-authentic',
    headline,
    `same run, so both share thermometer and heating; two readings can differ by up to ${c(chanceC)} °C by chance`,
    numbers,
  )
}

/** Further from the literature than house rules allow: who but the sample may own that, as the budget has it. */
function elsewhere(
  { evidence }: Decision,
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
      ? 'only the sample itself can explain it'
      : certainC > 0
        ? `${who} may explain at most ${c(Math.abs(farC) - certainC)} °C of it`
        : `${who} may explain all of it`
  const besides = isLow
    ? evidence.rateCPerMin > 0
      ? '; fast heating can hide a lowering but never causes one'
      : ''
    : '; an impurity does not raise a range'
  return finding(
    isLow ? 'low' : 'high',
    headline,
    `the ${END_NAMES[end]} against ${range}: ${whose}${besides}${certainC > WRONG_COMPOUND_C ? '. Is it the compound named in the prep, with the literature range of that compound?' : ''}`,
    numbers,
  )
}

/** The authentic sample itself, held against the literature: both off alike is the thermometer. */
export function authenticItself(
  { evidence, contributions }: Decision,
  { against }: Measured,
  rules: HouseWords,
): Finding[] {
  const offC = authenticOffC(evidence)
  if (tenths(Math.abs(offC)) <= rules.literatureWithinC) return []
  const isPoor = against?.what !== 'authentic'
  return [
    finding(
      'authentic-off',
      `Authentic ${c(Math.abs(offC))} °C ${offC < 0 ? 'below' : 'above'} literature`,
      isPoor
        ? 'and broad, on a checked thermometer. This authentic sample is not what its label says, so nothing is compared with it'
        : isAgainstCheck(evidence, contributions, rules)
          ? 'although the thermometer was checked: either the check or the authentic sample is wrong'
          : isChecked(evidence)
            ? 'which heating, the checked thermometer and reading together can explain'
            : 'an error that both share comes from the thermometer or the heating: check the thermometer before you melt anything else on it',
      { offC },
    ),
  ]
}

/** First liquid of a pair below where any mixture of the two has some. */
export function belowEutectic(
  { impurity, fusion, reading }: RangeEvidence,
  { contributions }: Decision,
): Finding[] {
  if (!impurity || !fusion) return []
  const { temperatureC } = eutectic(fusion, impurity.fusion)
  const belowC = temperatureC - EUTECTIC_WITHIN_C - reading.onsetC
  if (tenths(belowC) <= tenths(contributions.thermometerC + contributions.readingC)) return []
  return [
    finding(
      'below-eutectic',
      `Begins below the eutectic, ${c(temperatureC)} °C`,
      `no mixture with ${impurity.name} alone is liquid there. Shrinking or sweating was marked as liquid, or it holds solvent, another impurity or another compound`,
      { eutecticC: temperatureC },
    ),
  ]
}

export function atEutectic(
  { impurity, fusion, reading }: RangeEvidence,
  { widthC, distanceC, against }: Measured,
  rules: HouseWords,
): Finding[] {
  if (!impurity || !fusion || !distanceC || against?.what !== 'literature') return []
  if (tenths(widthC) > rules.sharpWidthC || tenths(-distanceC.onset) <= rules.literatureWithinC) return []
  const { temperatureC } = eutectic(fusion, impurity.fusion)
  if (Math.abs(reading.clearC - temperatureC) > EUTECTIC_WITHIN_C) return []
  return [
    finding(
      'possible-eutectic',
      `Near the eutectic, ${c(temperatureC)} °C`,
      `a mixture with ${impurity.name} at this composition would melt as sharply as a pure compound at this temperature (within about ${EUTECTIC_WITHIN_C} °C)`,
      { eutecticC: temperatureC },
    ),
  ]
}
