import { ImpossibleInput, requireNumber } from '../problems'

/** Most a tube and its partner may differ in a small teaching centrifuge, g; a lab's own manual goes before it. */
const APART_AT_MOST_G = 0.1

/**
 * Whether a centrifuge tube and its partner are near enough in mass to be spun.
 *
 * @param tubeG g
 * @param partnerG g
 * @returns null when they are, else what to do
 * @throws ImpossibleInput on a mass not above zero
 * @example partnerTrouble(6.482, 6.31) // 'The partner is 0.172 g lighter: add water …'
 */
export function partnerTrouble(tubeG: number, partnerG: number): string | null {
  requireNumber(tubeG, 'The tube')
  requireNumber(partnerG, 'The partner')
  if (!(tubeG > 0 && partnerG > 0))
    throw new ImpossibleInput('unbalanced', 'A tube and its partner both have a mass above zero.')
  const apart = tubeG - partnerG
  if (Math.abs(apart) <= APART_AT_MOST_G + 1e-9) return null
  return apart > 0
    ? `The partner is ${apart.toFixed(3)} g lighter. Add water to it until they agree within ${APART_AT_MOST_G} g.`
    : `The partner is ${(-apart).toFixed(3)} g heavier. Take water out of it until they agree within ${APART_AT_MOST_G} g.`
}
