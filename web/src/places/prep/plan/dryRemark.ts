import type { Conventions } from '@ivory-crystal/core/conventions'
import { dryRuleOf } from '@ivory-crystal/core/procedures'
import type { Compound, Solvent } from '@ivory-crystal/core/substances'

/** Where minutes of air are chosen and air is not enough for what the crystals are wet with, in a sentence. */
export function dryRemarkOf(
  drying: Conventions['drying'],
  solvents: readonly Solvent[],
  compound: Compound,
): string | null {
  if (drying.constantMassToleranceG !== null || solvents.length === 0) return null
  const rule = dryRuleOf(drying, solvents, compound)
  const names = solvents.map(({ name }) => name).join(' and ')
  if (rule.by === 'constant mass')
    return `Air alone does not dry crystals wet with ${names}. They are dried until two weighings agree, whatever you choose here.`
  return rule.airMin > drying.atLeastMin
    ? `Crystals wet with ${names} need ${rule.airMin} min in air: the steps below say so.`
    : null
}
