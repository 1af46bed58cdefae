import type { Solvent } from './shelf'
import { isToxic } from './hazards'
import { freezesNearIce } from '../solubility/volume'

/**
 * A solvent of the shelf that does the same work and harms less: of the same group, mixing with water alike, not
 * toxic, boiling nearest, and liquid in ice.
 *
 * @returns null where the solvent is not toxic itself, or nothing takes its place
 * @example gentlerThan(hexane, shelf.solvents)?.name // 'heptane'
 */
export function gentlerThan(solvent: Solvent, solvents: readonly Solvent[]): Solvent | null {
  if (!isToxic(solvent.hazards) || solvent.boilingPointC === null) return null
  const boilsC = solvent.boilingPointC
  const away = (one: Solvent) => Math.abs((one.boilingPointC ?? Infinity) - boilsC)
  const [nearest] = solvents
    .filter(
      (one) =>
        one.group === solvent.group &&
        one.waterMiscible === solvent.waterMiscible &&
        one.boilingPointC !== null &&
        !isToxic(one.hazards) &&
        !freezesNearIce(one),
    )
    .sort((p, q) => away(p) - away(q))
  return nearest ?? null
}
