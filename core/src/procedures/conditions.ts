import type { Condition, Procedure } from './procedure'
import { formsPeroxides, guardFor, isFlammable } from '../substances/hazards'
import { isVolatile, reactionOf } from '../substances/reactions'
import type { Solvent } from '../substances/shelf'
import { freezesNearIce } from '../solubility/volume'
import { needsReflux } from '../solubility/glassware'
import { type Batch, solventsOf } from './batch'
import { dryingFor } from './drying'
import { dryRuleOf } from './dryRule'
import { heatFor, WATER_BATH_TO_C } from './heat'

/** Hot solvent beyond the least for pouring a solution off its grit, as a share of it. */
const POURING_EXCESS = 0.3
/** The same through a filter: its paper is cooler, and keeps some. */
const FILTERING_EXCESS = 0.6
/** Less hot solution than this goes through a pipette filter: fluted paper would drink it, mL. */
const PIPETTE_FILTER_BELOW_ML = 10
/** A rinse smaller than this for a gram of crystals is a sparing one, mL. */
const SPARING_ML_PER_G = 0.3
/** Dry solid melts on the heat where that is set to less than this under where it melts, °C. */
const MELTS_ON_HEAT_WITHIN_C = 30
/** Ice reaches this, °C; a plan that stops warmer stands in cool water. */
export const ICE_REACHES_C = 8

/** Whether something is taken off hot: grit, charcoal, or a filtration that was asked for. */
export function isTakenOffHot({ result, inserts }: Pick<Batch, 'result' | 'inserts'>): boolean {
  return result.gritG > 0 || inserts.length > 0
}

/**
 * Solvent added for a while so that nothing comes down on the way, mL: through a filter six tenths over the least, poured
 * off grit three tenths, less what the plan has over it already.
 */
export function filterExcessML({
  result,
  pair,
  inserts,
}: Pick<Batch, 'result' | 'pair' | 'inserts'>): number {
  const [least, planned] = pair ? [pair.goodML, pair.goodML] : [result.minimumHotML, result.hotML]
  const excess = inserts.length > 0 ? FILTERING_EXCESS : POURING_EXCESS
  return Math.max(0, (1 + excess) * least - planned)
}

/** Whether a solution is little enough for a pipette filter: fluted paper would drink it and let it cool. */
export function isByPipetteFilter(batch: Pick<Batch, 'result' | 'pair' | 'inserts'>): boolean {
  const ml = batch.pair ? batch.pair.goodML : batch.result.hotML
  return ml + filterExcessML(batch) < PIPETTE_FILTER_BELOW_ML
}

/** What handling the solvents asks for, all their hazards together; nothing for one without any on file. */
export function solventGuard(solvents: readonly Solvent[]): string {
  const hazards = solvents.flatMap((one) => one.hazards)
  return hazards.length === 0 ? '' : guardFor(hazards)
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
  const rule = dryRuleOf(conventions.drying, solvents, batch.compound)
  const isSplit = solvents.some((one) => reactionOf(batch.compound, one) !== null)
  const heatC = heat.setC ?? input.hotC
  const claims: Readonly<Record<Condition, boolean>> = {
    'grit expected': grit && inserts.length === 0,
    'no grit expected': !grit,
    'diluted after dissolving': result.hotML > 1.02 * result.minimumHotML && procedure.solvents === 'one',
    'flammable solvent': flammable,
    'not flammable': !flammable,
    'boils low': !plate,
    'does not boil low': plate,
    'held below boiling': heat.notAboveC !== null,
    boils: heat.notAboveC === null,
    'solvent guarded': solventGuard(solvents) !== '',
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
    'constant mass': rule.by === 'constant mass',
    'spread on': rule.by === 'minutes of air' && rule.airMin > rule.firstMin,
    rinsed: input.washML > 0,
    'not rinsed': input.washML <= 0,
    'sparing rinse': input.washML > 0 && input.washML < SPARING_ML_PER_G * result.productCrystalsG,
    'split hot': isSplit,
    'by paper': !isByPipetteFilter(batch),
    'by pipette filter': isByPipetteFilter(batch),
    'melts on the heat': heatC > batch.compound.meltLowC - MELTS_ON_HEAT_WITHIN_C,
    'taken off hot': isTakenOffHot(batch),
    'kept back': keptBackG > 0,
    reflux: isRound,
    'open flask': !isRound,
    'forms peroxides': peroxides,
    // Nothing stands for a week in what splits it.
    'may stand': !peroxides && !isSplit,
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
