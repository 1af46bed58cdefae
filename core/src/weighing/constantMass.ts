import { ImpossibleInput, requireNumber } from '../problems'

/**
 * Whether the sample is dry by weighing: the last two weighings agree within the tolerance, with at least
 * so many minutes of drying between them. Compared in steps of the readability, so that
 * 1.804 − 1.803 counts as one step of 0.001 whatever binary fractions make of it.
 *
 * @param weighings in the order made; mass in g, time in ms, readability in g (0.0001 when not given)
 * @param rule tolerance in g, drying in minutes
 * @throws ImpossibleInput on a negative tolerance or time
 * @example isConstantMass([{ massG: 1.804, at: 0 }, { massG: 1.803, at: 600000 }], { toleranceG: 0.001, dryingMin: 10 }) // true
 */
export function isConstantMass(
  weighings: readonly { massG: number; at: number; readabilityG?: number }[],
  rule: { toleranceG: number; dryingMin: number },
): boolean {
  if (!(rule.toleranceG >= 0 && rule.dryingMin >= 0))
    throw new ImpossibleInput('bad-duration', 'Tolerance and drying time cannot be below zero.')
  const [before, last] = weighings.slice(-2)
  if (!before || !last) return false
  requireNumber(before.massG, 'The mass')
  requireNumber(last.massG, 'The mass')
  const step = Math.max(before.readabilityG ?? 0.0001, last.readabilityG ?? 0.0001)
  const stepsApart = Math.abs(Math.round(last.massG / step) - Math.round(before.massG / step))
  return stepsApart <= Math.round(rule.toleranceG / step) && last.at - before.at >= rule.dryingMin * 60_000
}
