import { tenths } from '../math/tenths'
import { type Fusion, impurityFromClearPoint } from '../melting/liquidus'
import { visibleUnder } from '../melting/meltingRange'
import type { HouseWords, RangeEvidence } from './evidence'
import type { Measured } from './judgement'
import { byChanceC, decomposes, isChecked, type Contributions } from './contributions'

/** An impurity is the lesser part, as a mole fraction. */
const LESSER_PART = 0.5

/**
 * How much of what dissolves in the melt a range speaks for, as mole fractions: the least, with both ends read as low
 * as heating, thermometer and marks can have raised them, and the most, with both as high. The clear point lies where
 * 1 − x is saturated; at the onset the fraction that the house’s mark stands for is liquid.
 *
 * @returns null where a range cannot say: no fusion enthalpy, a thermometer nobody accounts for, a range that is sharp
 * but lies elsewhere or above, one that decomposes
 */
export function impurityOf(
  evidence: RangeEvidence,
  contributions: Contributions,
  { against, distanceC, widthC }: Measured,
  rules: HouseWords,
): readonly [least: number, most: number] | null {
  const { fusion, reading } = evidence
  if (!fusion || !against || !distanceC) return null
  const besides = against.what === 'authentic'
  if (!besides && !isChecked(evidence)) return null
  // Solvent or crystal water may own any of it, and what is more than half is no impurity.
  if (decomposes(evidence) || evidence.behaviour === 'hydrate' || contributions.mayBeWet) return null
  const lowByC = -Math.min(distanceC.onset, distanceC.clear)
  const highByC = Math.max(distanceC.onset, distanceC.clear)
  const isSharp = tenths(widthC) <= rules.sharpWidthC
  if (isSharp && tenths(lowByC) > rules.literatureWithinC) return null
  if (tenths(highByC) > rules.literatureWithinC) return null

  const errorC = besides
    ? byChanceC(contributions)
    : Math.hypot(contributions.thermometerC, contributions.readingC)
  const late = besides ? { leastC: 0, mostC: 0 } : contributions.heating
  const melting = besides ? { leastC: 0, mostC: 0 } : contributions.meltingTime
  const pureAt = (meltingPointC: number): Fusion => ({ ...fusion, meltingPointC })
  const dissolved = (pure: Fusion, endC: number) => impurityFromClearPoint(pure, endC)
  const share = visibleUnder(rules).visibleLiquidFraction
  const most = Math.max(
    dissolved(pureAt(against.highC), reading.clearC - late.mostC - melting.mostC - errorC),
    share * dissolved(pureAt(against.highC), reading.onsetC - late.mostC - errorC),
  )
  const pureLeastC = besides ? against.highC : against.lowC
  const least = dissolved(pureAt(pureLeastC), reading.clearC - late.leastC - melting.leastC + errorC)
  return most > LESSER_PART ? null : [Math.min(least, most), most]
}
