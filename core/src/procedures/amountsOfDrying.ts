import type { Timer } from './timers'
import { coolingMin } from '../solubility/glassware'
import { type Batch, solventsOf } from './batch'
import { dryingFor, weighedAs } from './drying'
import { dryRuleOf, durationInWords } from './dryRule'
import type { Minutes, Procedure } from './procedure'

/** What a watch glass, and what a dish, takes of crystals spread thin, g. */
const SPREAD_G = { watchGlass: 5, dish: 30 } as const

/** How and on what so many grams of crystals are spread, by what they were collected in. */
export function spreadOn(collect: Procedure['collect'], crystalsG: number): string {
  switch (collect) {
    case 'centrifuge tube':
      return 'Lay the open, weighed tube with the crystals on its side'
    case 'Craig tube':
      return 'Spread the crystals in the open, weighed vial'
    case 'watch glass':
      return 'Leave the crystals on their weighed glass'
    default:
      if (crystalsG <= SPREAD_G.watchGlass) return 'Spread the crystals on the weighed watch glass'
      return crystalsG <= SPREAD_G.dish
        ? 'Spread the crystals in a weighed crystallizing dish'
        : 'Spread the crystals on weighed trays'
  }
}

/** What drying comes to in a step. */
export function dryingOf(batch: Batch) {
  const drying = dryingFor(solventsOf(batch), batch.compound)
  const rule = dryRuleOf(batch.conventions.drying, solventsOf(batch), batch.compound)
  const inWhat = {
    air: 'leave them in air under a paper cover',
    oven:
      weighedAs(solventsOf(batch), batch.compound) === 'anhydrous'
        ? `dry them in an oven at about ${drying.ovenC} °C. There they lose their crystal water, and ${batch.compound.name} is weighed without it`
        : `dry them in an oven at about ${drying.ovenC} °C, ${belowMelting(batch.compound.meltLowC - (drying.ovenC ?? 0))}`,
    desiccator: 'dry them in a desiccator',
    'hood, then desiccator': `leave them in the hood until they no longer smell of ${solventsOf(batch)
      .filter(({ group }) => group !== 'water')
      .map(({ name }) => name)
      .join(' or ')}, overnight if necessary. Then dry them in a desiccator`,
  }
  return {
    air: `${rule.firstMin} min`,
    spread: Number.isFinite(rule.airMin) ? `${rule.airMin - rule.firstMin} min` : 'as long as it takes',
    between: durationInWords(rule.betweenMin),
    dryIn: inWhat[drying.how],
    dryNever: drying.never ?? '',
  }
}

function belowMelting(c: number): string {
  return c > 40 ? 'well below their melting point' : `${c.toFixed(0)} °C below their melting point`
}

/**
 * Minutes of a timer for a batch: as named, the house rule’s, or by how much there is to cool. The house rule of a drying
 * timer is what has to lie between two weighings.
 */
export function minutesOf(
  { timer, minutes }: { readonly timer: Timer; readonly minutes: Minutes },
  batch: Pick<Batch, 'conventions' | 'result' | 'solvent' | 'pair' | 'compound'>,
): number {
  const { conventions, result } = batch
  const rule = dryRuleOf(conventions.drying, solventsOf(batch), batch.compound)
  if (minutes === 'house rule') return timer === 'dry' ? rule.betweenMin : rule.firstMin
  if (minutes === 'rest of the air')
    return Number.isFinite(rule.airMin) ? Math.max(1, rule.airMin - rule.firstMin) : rule.betweenMin
  return typeof minutes === 'number' ? minutes : coolingMin(minutes.small, result.hotML)
}
