import { type MeltingRange, meltingRange } from '../melting/meltingRange'
import { type Fusion, solubilityInMelt, waldenFusionEnthalpy } from '../melting/liquidus'
import { requireRange } from './observedRange'
import { eutectic } from '../melting/eutectic'

/** Half of the 3 °C within which simple aromatic pairs follow the ideal relation. */
const MODEL_C = 1.5
/** An onset further than this from the one predicted is remarked on, °C. */
const ONSET_FITS_WITHIN_C = 4
/** A thermometer nobody checked is easily off by so much, °C: twice the 1.5 it is charged with in the budget. */
const UNCHECKED_OFF_C = 3

/** The composition a range speaks for, as mole fractions of the main component. */
export interface CompositionFromRange {
  readonly moleFractionA: number
  readonly low: number
  readonly high: number
  /** Where the onset of that composition would be, °C. */
  readonly predictedOnsetC: number
  /** What does not fit, or null. */
  readonly doubt: string | null
}

/**
 * Composition of an impure solid from its melting range: the clear point read off the liquidus on the main
 * component's side of the eutectic, the onset checked against it.
 *
 * The interval takes the reading error doubled and half the misfit of the ideal relation, added in squares.
 *
 * @param main the component in excess
 * @param slow °C, with the share of heating rate and packing taken off
 * @param readingErrorC standard error of one reading
 * @param options visibleLiquidFraction: what the mark of the onset stands for, 0.2 (distinct drop) by default;
 *   isUnchecked: nobody checked the thermometer, which then owns a misfit before the sample does
 * @returns null when the clear point lies below the eutectic, where the relation has no answer
 * @throws ImpossibleInput on an inverted range
 * @example compositionFromRange(benzil, benzoin, { onsetC: 84, clearC: 89.92 }, 0.25)?.moleFractionA // 0.900
 */
export function compositionFromRange(
  main: Fusion,
  other: Fusion,
  slow: MeltingRange,
  readingErrorC: number,
  options: { readonly visibleLiquidFraction?: number; readonly isUnchecked?: boolean } = {},
): CompositionFromRange | null {
  requireRange(slow)
  const meet = eutectic(main, other)
  if (slow.clearC < meet.temperatureC) return null
  const at = (clearC: number) => Math.max(meet.moleFractionA, solubilityInMelt(main, clearC))
  const moleFractionA = at(slow.clearC)
  const spreadC = Math.hypot(2 * readingErrorC, MODEL_C)
  const [low, high] = [at(slow.clearC - spreadC), at(slow.clearC + spreadC)]
  const onsetAt = (x: number) => meltingRange(main, other, x, options).onsetC
  const predictedOnsetC = onsetAt(moleFractionA)
  // Near the pure compound a little composition is many degrees of onset: what any of the interval explains is no misfit.
  const fits = (byC: number) =>
    slow.onsetC + byC >= onsetAt(at(slow.clearC + byC - spreadC)) - ONSET_FITS_WITHIN_C &&
    slow.onsetC + byC <= onsetAt(at(slow.clearC + byC + spreadC)) + ONSET_FITS_WITHIN_C
  const isThermometer = options.isUnchecked === true && (fits(UNCHECKED_OFF_C) || fits(-UNCHECKED_OFF_C))
  const because = isThermometer
    ? 'The thermometer was not checked, and an error of a few degrees would explain this. Check it first.'
    : 'There may be another impurity, or you missed the onset.'
  return {
    moleFractionA,
    low,
    high,
    predictedOnsetC,
    doubt: fits(0)
      ? null
      : `Its onset does not fit: about ${predictedOnsetC.toFixed(0)} °C would be expected, ${slow.onsetC.toFixed(0)} °C was seen. ${because}`,
  }
}

/** How much higher an impurity nothing is known of is taken to melt, °C. */
const ASSUMED_HIGHER_C = 20

/**
 * An impurity nothing is known of, for drawing a phase map all the same: of the main component's molar mass,
 * melting 20 °C higher, with Walden's enthalpy. Whatever shows it says that it is assumed.
 */
export function assumedImpurity(main: Fusion): Fusion {
  const meltingPointC = main.meltingPointC + ASSUMED_HIGHER_C
  return {
    meltingPointC,
    enthalpyKJPerMol: waldenFusionEnthalpy(meltingPointC),
    molarMassGPerMol: main.molarMassGPerMol,
  }
}
