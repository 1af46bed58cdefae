import { attempt, problem, type Result } from '../../problems'
import type { Quantity } from '../../units'
import type { PrepId } from '../../ids'
import { massClosure, percentRecovery, percentYield, theoreticalYieldG } from '../../weighing/recovery'
import { spreadOf, sumOf } from '../../weighing/sums'
import type { View } from '../fold'
import { remember } from '../read'
import type { SampleRole } from '../kinds/sample-named/kind'
import { type Predicted, predictedOf } from './accountPredicted'
import { dissolvedOf, massOf, type PrepFacts, prepOf, sampleOf } from './prep'
import { type ResidueSplit, splitOf } from './residueSplit'

type AccountPart = 'crystals' | 'second crop' | 'liquor' | 'grit' | 'unaccounted'
export interface AccountRow {
  readonly part: AccountPart
  readonly name: string
  /** null where nothing is predicted. */
  readonly predictedG: number | null
  /** null where nothing was weighed. */
  readonly found: Quantity | null
  readonly why: string
  /** True when found and predicted differ by more than two standard uncertainties of the weighing. */
  readonly beyondWeighing: boolean
}
export interface Account {
  readonly crude: Quantity
  readonly rows: readonly AccountRow[]
  /** All that was found, of the crude, per cent; null while the liquor has not been weighed. */
  readonly closurePercent: number | null
  readonly residue: ResidueSplit | null
  /** Percent recovery of the crude, from all crops. */
  readonly ofCrude: Quantity
  /** Of the product thought to be in the crude; null without a plan. */
  readonly ofProduct: Quantity | null
  readonly yield: { readonly percent: number; readonly theoreticalG: number; readonly from: string } | null
}

/** Every gram from crude to crystals, predicted beside found. */
export const accountOf = remember((view: View, id: PrepId): Result<Account> => {
  const prep = prepOf(view, id)
  if (!prep) return problem('nothing-weighed', 'There is no such prep in this notebook.')
  const crude = dissolvedOf(prep)
  if (!crude.ok) return crude
  const crystals = massOf(sampleOf(prep, 'product'))
  if (!crystals.ok) return crystals
  const found = foundOf(prep)
  const crops = sumOf([crystals.value, found['second crop']])
  const ofCrude = attempt(() => percentRecovery(crops, crude.value))
  if (!ofCrude.ok) return ofCrude
  const predicted = predictedOf(prep)
  const rows = rowsOf(crude.value, { ...found, crystals: crystals.value }, predicted, prep)
  return {
    ok: true,
    value: {
      crude: crude.value,
      rows,
      closurePercent: found.liquor
        ? massClosure({
            crudeG: crude.value.value,
            accountedG: [crops.value, found.liquor.value, found.grit?.value ?? 0],
          }).percent
        : null,
      residue: found.liquor ? splitOf(view, prep, found.liquor, predicted, crude.value, crops) : null,
      ofCrude: ofCrude.value,
      ofProduct: ofProduct(prep, crops, crude.value),
      yield: yieldOf(prep, crops.value),
    },
  }
})

interface Found {
  readonly 'second crop': Quantity | null
  readonly liquor: Quantity | null
  readonly grit: Quantity | null
}
const ROLE_OF: Readonly<Record<keyof Found, SampleRole>> = {
  'second crop': 'second crop',
  liquor: 'residue',
  grit: 'grit',
}
function foundOf(prep: PrepFacts): Found {
  const of = (part: keyof Found) => {
    const mass = massOf(sampleOf(prep, ROLE_OF[part]))
    return mass.ok ? mass.value : null
  }
  return { 'second crop': of('second crop'), liquor: of('liquor'), grit: of('grit') }
}

function rowsOf(
  crude: Quantity,
  found: Found & { readonly crystals: Quantity },
  predicted: Predicted | null,
  prep: PrepFacts,
): AccountRow[] {
  const product = prep.opened.body.compound.name
  const second = found['second crop']
  const liquorG = predicted
    ? Math.max(
        0,
        predicted.productInLiquorG + predicted.impurityInLiquorG + predicted.rinseG - (second?.value ?? 0),
      )
    : null
  const restG =
    crude.value -
    found.crystals.value -
    (second?.value ?? 0) -
    (found.liquor?.value ?? liquorG ?? 0) -
    (found.grit?.value ?? predicted?.gritG ?? 0)
  const rows = [
    row(
      'crystals',
      'Crystals',
      predicted?.crystalsG ?? null,
      found.crystals,
      predicted
        ? `predicted for ${predicted.volume}${predicted.rinseG > 0 ? ' and after the rinse' : ''}, without any loss on glass and paper`
        : 'no plan to compare with',
    ),
    row('second crop', 'Second crop', null, second, 'from the evaporated liquor'),
    row(
      'liquor',
      'Liquor and rinse',
      liquorG,
      found.liquor,
      predicted
        ? `${predicted.productInLiquorG.toFixed(3)} g ${product} and ${predicted.impurityInLiquorG.toFixed(3)} g impurity dissolved; ${predicted.rinseG > 0 ? `the rinse took at most ${predicted.rinseG.toFixed(3)} g` : 'no rinse was logged'}${second ? `; ${second.value.toFixed(3)} g came out as the second crop` : ''}`
        : 'not predicted',
    ),
    row('grit', 'Grit left behind hot', predicted?.gritG ?? null, found.grit, 'what did not dissolve'),
    {
      ...row(
        'unaccounted',
        'Transfers and unaccounted',
        0,
        {
          value: restG,
          standardUncertainty: spreadOf([crude, found.crystals, second, found.liquor, found.grit]),
        },
        found.liquor
          ? 'glass, paper, tubes packed for melting'
          : 'glass, paper, tubes; the liquor, not weighed, is taken as predicted',
      ),
    },
  ]
  return rows.filter(
    ({ part, predictedG, found: mass }) =>
      part === 'crystals' || part === 'unaccounted' || mass !== null || (predictedG ?? 0) > 5e-5,
  )
}

function row(
  part: AccountPart,
  name: string,
  predictedG: number | null,
  found: Quantity | null,
  why: string,
): AccountRow {
  const beyondWeighing =
    predictedG !== null &&
    found !== null &&
    Math.abs(found.value - predictedG) > 2 * found.standardUncertainty
  return { part, name, predictedG, found, why, beyondWeighing }
}

function ofProduct(prep: PrepFacts, crops: Quantity, crude: Quantity): Quantity | null {
  const plan = prep.plan?.body
  if (!plan) return null
  const pure = plan.result.crystalMassFraction
  const part = (mass: Quantity, fraction: number): Quantity => ({
    value: mass.value * fraction,
    standardUncertainty: mass.standardUncertainty * fraction,
  })
  const recovered = attempt(() => percentRecovery(part(crops, pure), part(crude, plan.input.assay)))
  return recovered.ok ? recovered.value : null
}

function yieldOf(prep: PrepFacts, actualG: number): Account['yield'] {
  const reaction = prep.reaction?.body
  if (!reaction) return null
  const worked = attempt(() => {
    const theoreticalG = theoreticalYieldG({
      limitingG: reaction.limitingMass.value,
      limitingMolarMass: reaction.limiting.molarMassGPerMol,
      productMolarMass: prep.opened.body.compound.molarMassGPerMol,
      productPerLimiting: reaction.productPerLimiting,
    })
    return { theoreticalG, percent: percentYield(actualG, theoreticalG) }
  })
  return worked.ok
    ? { ...worked.value, from: `${reaction.limitingMass.text} g of ${reaction.limiting.name}` }
    : null
}
