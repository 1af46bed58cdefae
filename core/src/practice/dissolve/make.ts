import { randomSource } from '../../math/random'
import type { SolubilityPoint } from '../../solubility/solubilityAt'
import type { Level } from '../exercise'

/** A crude to be dissolved in hot portions; solid and solvent are made up. */
export interface DissolveExercise {
  readonly seed: number
  readonly level: Level
  readonly crudeG: number
  /** What of it dissolves, and what never does, g. */
  readonly solubleG: number
  readonly gritG: number
  readonly boilsC: number
  readonly meltsC: number
  readonly points: readonly SolubilityPoint[]
  /** The least that dissolves it at the boil, mL. */
  readonly leastML: number
}

export function dissolveExercise(seed: number, level: Level): DissolveExercise {
  const { uniform } = randomSource(seed)
  const boilsC = [78, 82, 100][Math.floor(3 * uniform())] ?? 78
  const crudeG = Math.round(100 * (1.2 + (level === 1 ? 1 : 2.8) * uniform())) / 100
  const hasGrit = level === 1 ? uniform() < 0.3 : uniform() < 0.6
  const gritG = hasGrit ? Math.round(1000 * crudeG * (0.02 + 0.03 * uniform())) / 1000 : 0
  const hot = 8 + 14 * uniform()
  const points: readonly SolubilityPoint[] = [
    [5, hot * (0.03 + 0.04 * uniform())],
    [boilsC, hot],
  ]
  const solubleG = crudeG - gritG
  return {
    seed,
    level,
    crudeG,
    solubleG,
    gritG,
    boilsC,
    meltsC: boilsC + 15 + Math.round(20 * uniform()),
    points,
    leastML: (100 * solubleG) / hot,
  }
}
