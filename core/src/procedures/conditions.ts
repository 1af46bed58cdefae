import type { Condition, Procedure } from './procedure'
import { formsPeroxides, guardFor, isFlammable } from '../reference/hazards'
import { isVolatile } from '../reference/reactions'
import { freezesNearIce } from '../solubility/volume'
import { needsReflux } from '../solubility/glassware'
import { type Batch, solventsOf } from './batch'
import { driesInAir } from './airDrying'
import { dryingFor } from './drying'
import { heatFor, WATER_BATH_TO_C } from './heat'

/** Hot solvent beyond the least for taking a solution off its grit, as a share of it. */
const HOT_EXCESS = 0.3
/** Ice reaches this, °C; a plan that stops warmer stands in cool water. */
export const ICE_REACHES_C = 8

/** Whether something is taken off hot: grit, charcoal, or a filtration that was asked for. */
export function isTakenOffHot({ result, inserts }: Pick<Batch, 'result' | 'inserts'>): boolean {
  return result.gritG > 0 || inserts.length > 0
}

/**
 * Solvent added for a while so that nothing comes down on the way through a filter, mL: three tenths over the least,
 * less what the plan has over it already.
 */
export function filterExcessML({ result, pair }: Pick<Batch, 'result' | 'pair'>): number {
  const [least, planned] = pair ? [pair.goodML, pair.goodML] : [result.minimumHotML, result.hotML]
  return Math.max(0, (1 + HOT_EXCESS) * least - planned)
}

/** Which conditions hold for a batch done by a procedure. */
export function conditionsOf(procedure: Procedure, batch: Batch): ReadonlySet<Condition> {
  const { result, input, conventions, inserts, amount, keptBackG, impurity } = batch
  const solvents = solventsOf(batch)
  const isRound = needsReflux(input.crudeG, result.hotML)
  const heat = heatFor(solvents, input.hotC, isRound)
  const flammable = solvents.some(({ hazards }) => isFlammable(hazards))
  const peroxides = solvents.some(({ hazards }) => formsPeroxides(hazards))
  const plate = heat.source === 'hot plate'
  const grit = result.gritG > 0
  const roomy = filterExcessML(batch) === 0
  const inIce = input.coldC <= ICE_REACHES_C && !solvents.some(freezesNearIce)
  const drying = dryingFor(solvents, batch.compound)
  const claims: Readonly<Record<Condition, boolean>> = {
    'grit expected': grit && inserts.length === 0,
    'no grit expected': !grit,
    'diluted after dissolving': result.hotML > 1.02 * result.minimumHotML && procedure.solvents === 'one',
    'flammable solvent': flammable,
    'not flammable': !flammable,
    'boils low': !plate,
    'does not boil low': plate,
    'held below boiling': heat.notAboveC !== null,
    'oil bath':
      heat.source === 'hot bath' || (heat.source === 'held bath' && (heat.setC ?? 0) > WATER_BATH_TO_C),
    'by portions': amount === 'least hot solvent',
    'measured volume': amount === 'measured volume',
    // Whatever boils has something in it to boil on, whatever the house rule.
    'stones in both flasks': conventions.boilingStones === 'in both flasks' || isRound,
    charcoal: inserts.includes('charcoal'),
    'hot filtration': inserts.length > 0,
    'room to filter': roomy,
    'no room to filter': !roomy,
    'nothing taken off hot': !isTakenOffHot(batch),
    'constant mass': conventions.drying.constantMassToleranceG !== null || !driesInAir(solvents),
    rinsed: input.washML > 0,
    'kept back': keptBackG > 0,
    reflux: isRound,
    'open flask': !isRound,
    'forms peroxides': peroxides,
    'may stand': !peroxides,
    'in ice': inIce,
    'in cool water': !inIce,
    oven: drying.how === 'oven',
    'never dried so': drying.never !== null,
    'impurity named': impurity !== null,
    'goes off': isVolatile(batch.compound),
    stays: !isVolatile(batch.compound),
    guarded: guardFor(batch.compound.hazards) !== '',
  }
  return new Set((Object.keys(claims) as Condition[]).filter((one) => claims[one]))
}
