import type { Compound, Confidence, Solvent } from '../substances/shelf'
import type { Conventions } from '../conventions/conventions'
import type { CrystallizationInput, CrystallizationPlan } from '../solubility/planCrystallization'
import type { Insert } from './procedure'

/** What a procedure is filled in for. */
export interface Batch {
  /** Mass of the crude, g, digit for digit as the balance gave it. */
  readonly crudeText: string
  /** What of it was kept back, g: for its melting range, a plate and a seed; not in the amounts. */
  readonly keptBackG: number
  readonly compound: Compound
  readonly impurity: Compound | null
  readonly solvent: Solvent
  readonly pair: { readonly solvent: Solvent; readonly goodML: number; readonly poorML: number } | null
  readonly amount: 'least hot solvent' | 'measured volume'
  readonly inserts: readonly Insert[]
  readonly input: CrystallizationInput
  readonly result: CrystallizationPlan
  readonly conventions: Conventions
  /** The lowest confidence of the solubilities; null for the bench's own. */
  readonly solubilityConfidence: Confidence | null
  /** Who in charge was asked, where a substance asks for that; null where none does. */
  readonly inCharge: string | null
}

/**
 * Mass of crude that goes into the flask, g, to the digits the balance gave for the whole, or to those of what was put
 * aside where these are more: whatever is worked out from it can be worked out from what is printed.
 *
 * @example crudeInText({ crudeText: '5.2', keptBackG: 0.025 }) // '5.175'
 */
export function crudeInText({ crudeText, keptBackG }: Pick<Batch, 'crudeText' | 'keptBackG'>): string {
  if (keptBackG === 0) return crudeText
  const decimals = Math.min(
    MOST_DECIMALS,
    Math.max(decimalsIn(crudeText), decimalsIn(String(Number(keptBackG.toFixed(MOST_DECIMALS))))),
  )
  return (Number(crudeText) - keptBackG).toFixed(decimals)
}

/** No balance of a bench shows more. */
const MOST_DECIMALS = 4

function decimalsIn(text: string): number {
  return (text.split('.')[1] ?? '').length
}

/** Every solvent that is in the flask. */
export function solventsOf({ solvent, pair }: Pick<Batch, 'solvent' | 'pair'>): readonly Solvent[] {
  return pair ? [solvent, pair.solvent] : [solvent]
}

/** Whether the least hot volume may be wrong: continued beyond its points, or from a value of low confidence. */
export function isHotDoubtful({
  result,
  solubilityConfidence,
}: Pick<Batch, 'result' | 'solubilityConfidence'>): boolean {
  return result.hotBasis !== 'between points' || solubilityConfidence === 'low'
}

/** The least crude that is kept back, and the most, g; a twentieth between. */
const KEPT_BACK_G = { least: 0.002, most: 0.025, share: 0.05 } as const

/**
 * How much of the crude to keep back before anything else: 20 to 30 mg, and of a small batch a twentieth.
 *
 * @param crudeG g
 * @returns g
 * @example proposedKeptBackG(1.8) // 0.025
 */
export function proposedKeptBackG(crudeG: number): number {
  const { least, most, share } = KEPT_BACK_G
  return Math.min(most, Math.max(least, Math.round(1000 * share * crudeG) / 1000))
}
