import { attempt, problem, type Result } from '../../problems'
import type { Quantity } from '../../units'
import type { PrepId } from '../../ids'
import { percentRecovery } from '../../weighing/recovery'
import { spreadOf } from '../../weighing/sums'
import type { View } from '../fold'
import { memoize } from '../read'
import { type Predicted, predictedOf } from './accountPredicted'
import { type PrepFacts, prepOf } from './prep'
import { type Found, type Recovered, recoveredOf } from './recovered'
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
export interface Account extends Pick<Recovered, 'crude' | 'closurePercent' | 'ofCrude' | 'yield'> {
  readonly rows: readonly AccountRow[]
  readonly residue: ResidueSplit | null
  /** Of the product thought to be in the crude; null without a plan. */
  readonly ofProduct: Quantity | null
}

/** Every gram from crude to crystals, predicted beside found. */
export const accountOf = memoize((view: View, id: PrepId): Result<Account> => {
  const prep = prepOf(view, id)
  const got = recoveredOf(view, id)
  if (!got.ok) return got
  if (!prep) return problem('nothing-weighed', 'There is no such prep in this notebook.')
  const { crude, found, crops, closurePercent, ofCrude, yield: made } = got.value
  const predicted = predictedOf(prep)
  return {
    ok: true,
    value: {
      crude,
      rows: rowsOf(crude, found, predicted, prep),
      closurePercent,
      residue: found.liquor ? splitOf(view, prep, found.liquor, predicted, crude, crops) : null,
      ofCrude,
      ofProduct: ofProduct(prep, crops, crude),
      yield: made,
    },
  }
})

function rowsOf(crude: Quantity, found: Found, predicted: Predicted | null, prep: PrepFacts): AccountRow[] {
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
        ? `${predicted.productInLiquorG.toFixed(3)} g ${product} and ${predicted.impurityInLiquorG.toFixed(3)} g impurity dissolved; ${predicted.rinseG > 0 ? `the rinse took at most ${predicted.rinseG.toFixed(3)} g` : 'no rinse was logged'}${second ? `; ${second.value.toFixed(3)} g crystallized as the second crop` : ''}`
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
