import { type MeltingRange, visibleUnder } from '../../melting/meltingRange'
import type { Fusion } from '../../melting/liquidus'
import type { Compound } from '../../substances/shelf'
import { assumedImpurity, compositionFromRange } from '../../heating/compositionFromRange'
import { massFractionFromMoleFraction } from '../../melting/eutectic'
import { fusionOf } from '../../substances/fusionOf'
import { attempt } from '../../problems'
import type { View } from '../fold'
import { type CompleteRow, slowRange } from './mixtures'
import type { PrepFacts } from './prep'
import { latestRange, rangesOf } from './ranges'

/** A sample of a prep on the phase map of its product and impurity. */
interface PlacedSample {
  readonly role: 'crude' | 'product'
  readonly row: CompleteRow
  /** With the share of heating and packing taken off. */
  readonly slow: MeltingRange
  readonly moleFractionA: number
  readonly massFractionA: number
  readonly between: readonly [low: number, high: number]
  /** What does not fit, or null. */
  readonly doubt: string | null
}
export interface PrepMap {
  readonly product: { readonly name: string; readonly fusion: Fusion & { readonly estimated: boolean } }
  readonly impurity: { readonly name: string; readonly fusion: Fusion & { readonly estimated: boolean } }
  /** True when nothing is known of the impurity and one was made up to draw with. */
  readonly isAssumed: boolean
  /** Crude first, then product. */
  readonly placed: readonly PlacedSample[]
  /** Samples whose clear point lies below the eutectic: not of this pair alone. */
  readonly unplaced: readonly CompleteRow[]
}

/**
 * Where a prep's crude and product sit on the phase map of product and impurity.
 *
 * @param tried another impurity to lay the ranges against; null: the plan's, else an assumed one
 */
export function phaseMapOf(view: View, prep: PrepFacts, tried: Compound | null): PrepMap {
  const { compound } = prep.opened.body
  const impurity = tried ?? prep.plan?.body.impurity ?? null
  const a = fusionOf(compound)
  const b = impurity ? fusionOf(impurity) : { ...assumedImpurity(a), estimated: true }
  const rows = rangesOf(view, prep.id)
  const placed: PlacedSample[] = []
  const unplaced: CompleteRow[] = []
  for (const role of ['crude', 'product'] as const) {
    const row = latestRange(rows, role)
    if (!row) continue
    const slow = slowRange(row)
    const found = attempt(() =>
      compositionFromRange(a, b, slow, row.conventions.readingErrorC, {
        ...visibleUnder(row.conventions),
        isUnchecked: row.corrected === null,
      }),
    )
    if (found.ok && found.value) {
      const { moleFractionA, low, high, doubt } = found.value
      const massFractionA = massFractionFromMoleFraction(
        moleFractionA,
        a.molarMassGPerMol,
        b.molarMassGPerMol,
      )
      placed.push({ role, row, slow, moleFractionA, massFractionA, between: [low, high], doubt })
    } else unplaced.push(row)
  }
  return {
    product: { name: compound.name, fusion: a },
    impurity: { name: impurity?.name ?? 'some impurity', fusion: b },
    isAssumed: impurity === null,
    placed,
    unplaced,
  }
}
