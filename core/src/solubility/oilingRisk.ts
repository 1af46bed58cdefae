import { requireTemperature } from '../problems'

export type OilingLevel = 'low' | 'some' | 'high'
export interface OilingRisk {
  readonly level: OilingLevel
  readonly because: string
}

/** Solvent taken up by an oil lets it form below where the dry solid melts; a rule of the bench, in °C. */
const CLOSE_C = 12
/** Water lowers melting more than any: a solid that melts little above its boiling point is the textbook oil. */
const CLOSE_IN_WATER_C = 35

/**
 * Whether the solution may part into two liquids before crystals form: it does when it starts to deposit
 * where the impure solid would already be liquid. A boiling point above the melting point is one sign, not a ban.
 *
 * @param input °C: where the hot solution begins to deposit; where the crude was seen to begin melting, or its
 *   eutectic with the impurity, else the melting point alone
 * @returns a level, and why in a sentence
 * @throws ImpossibleInput below absolute zero
 * @example oilingRisk({ saturationC: 51, crudeOnsetC: 84, meltingPointC: 95, boilingPointC: 78 }).level // 'low'
 */
export function oilingRisk(input: {
  readonly saturationC: number
  readonly crudeOnsetC?: number | undefined
  readonly eutecticC?: number | undefined
  readonly meltingPointC: number
  readonly boilingPointC: number | null
  /** Whether it comes from water, alone or in a mixture. */
  readonly fromWater?: boolean | undefined
}): OilingRisk {
  const { saturationC, crudeOnsetC, eutecticC, meltingPointC, boilingPointC, fromWater = false } = input
  requireTemperature(saturationC, 'The saturation temperature')
  requireTemperature(meltingPointC, 'The melting point')
  const liquidFromC = Math.min(crudeOnsetC ?? meltingPointC, eutecticC ?? meltingPointC, meltingPointC)
  const what =
    liquidFromC === crudeOnsetC
      ? `the crude was seen to melt from ${crudeOnsetC.toFixed(0)} °C`
      : liquidFromC === eutecticC
        ? `with its impurity it can be liquid from ${eutecticC.toFixed(0)} °C`
        : `the pure solid melts at ${meltingPointC.toFixed(0)} °C`
  const starts = `Crystals can start near ${saturationC.toFixed(0)} °C`
  const marginC = liquidFromC - saturationC
  if (marginC <= 0)
    return { level: 'high', because: `${starts}, but ${what}: it could separate as an oil first.` }
  if (marginC < (fromWater ? CLOSE_IN_WATER_C : CLOSE_C))
    return {
      level: 'some',
      because: `${starts}, only ${marginC.toFixed(0)} °C below where ${what}${
        fromWater && marginC >= CLOSE_C ? '; under hot water it melts lower than when dry' : ''
      }.`,
    }
  if (boilingPointC !== null && boilingPointC >= meltingPointC)
    return {
      level: 'some',
      because: `${starts}, well below melting. But the solvent boils at ${boilingPointC.toFixed(0)} °C, above the melting point: undissolved solid can melt in the hot flask.`,
    }
  return { level: 'low', because: `${starts}; ${what}, ${marginC.toFixed(0)} °C higher.` }
}

/** What helps when it may oil, the gentlest first. */
export const AGAINST_OILING: readonly string[] = [
  'Use more solvent: it then crystallizes at a lower temperature.',
  'Cool it slowly, undisturbed, and seed it just below the temperature at which crystals can start.',
  'If an oil has formed, warm it until it is clear again, add a little solvent, and cool it more slowly. Scratch when it turns cloudy.',
  'Use a solvent that boils lower.',
]
