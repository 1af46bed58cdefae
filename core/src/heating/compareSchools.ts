import { planRamp, type RampApparatus } from './planRamp'
import { meltMin, observedRange, type Packing } from './observedRange'
import type { MeltingRange } from '../melting/meltingRange'
import type { Conventions } from '../conventions/conventions'

export interface SchoolCost {
  readonly school: string
  readonly minutes: number
  readonly predicted: MeltingRange
  readonly wideningC: number
  readonly onsetBelowStart: boolean
  readonly meltsOnBeingPutIn: boolean
}

/** Lags of a metal block and its probe, min; typical values, used where an instrument's own are not known. */
const TYPICAL_LAGS = { sampleLagMin: 0.3, probeLagMin: 0.1 } as const

/**
 * What each school of practice costs and risks for one sample on one instrument.
 *
 * @param sample expected range °C; where an impure one shows its first liquid; its packing
 * @param apparatus °C, °C/min, min; `lags` of this instrument, typical ones otherwise
 * @param schools sets of house rules, each answered in turn
 * @returns minutes in all, the range it would show, how much of that width is the heating's, and whether the
 * onset lies below the start or the sample would melt on being put in
 * @throws ImpossibleInput as {@link planRamp} does
 * @example compareSchools({ low: 94, high: 96, packing: { fillMm: 2, grain: 'fine' } }, apparatus, SCHOOLS)
 */
export function compareSchools(
  sample: {
    readonly low: number
    readonly high: number
    readonly firstLiquidFromC?: number | undefined
    readonly packing: Packing
  },
  apparatus: RampApparatus & {
    readonly lags?: { readonly sampleLagMin: number; readonly probeLagMin: number }
  },
  schools: readonly Conventions[],
): readonly SchoolCost[] {
  const { low, high, packing } = sample
  const firstC = Math.min(low, sample.firstLiquidFromC ?? low)
  const truth: MeltingRange = { onsetC: firstC, clearC: high }
  return schools.map((conventions) => {
    const plan = planRamp({ apparatus, conventions, expectedLowC: low, expectedHighC: high })
    const predicted = observedRange(truth, {
      rateCPerMin: plan.rateCPerMin,
      ...(apparatus.lags ?? TYPICAL_LAGS),
      meltMin: meltMin(packing),
    })
    const onsetBelowStart = firstC < plan.startC
    return {
      school: conventions.name,
      minutes: plan.totalMin,
      predicted,
      wideningC: predicted.clearC - predicted.onsetC - (truth.clearC - truth.onsetC),
      onsetBelowStart,
      meltsOnBeingPutIn: onsetBelowStart && conventions.tubeIn === 'at start temperature',
    }
  })
}
