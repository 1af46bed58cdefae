import { boilsFromC } from '../substances/boiling'
import type { Solvent } from '../substances/shelf'
import { isToxic } from '../substances/hazards'
import { freezesNearIce } from './volume'

/**
 * A solvent of the shelf that does the same work and harms less: of the same group, mixing with water alike, not
 * toxic, boiling at one temperature and nearest, and liquid in ice.
 *
 * @returns null where the solvent is not toxic itself, or nothing takes its place
 * @example gentlerThan(hexane, shelf.solvents)?.name // 'heptane'
 */
export function gentlerThan(solvent: Solvent, solvents: readonly Solvent[]): Solvent | null {
  const boilsC = boilsFromC(solvent)
  if (!isToxic(solvent.hazards) || boilsC === null) return null
  const away = (one: Solvent) => Math.abs((boilsFromC(one) ?? Infinity) - boilsC)
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
