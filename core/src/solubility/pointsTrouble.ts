import { boilsInWords, boilsToC } from '../substances/boiling'
import type { Solvent } from '../substances/shelf'
import type { SolubilityPoint } from './solubilityAt'
import { kelvin } from '../melting/kelvin'

/** Points this far off a straight line (in ln S) are looked at, and a factor of ten must straighten them this much. */
const ROUGH_FROM = 0.5
const SMOOTHER_BY = 2.5
/** Two points alone: a steeper rise than this per 10 °C is remarked on. */
const STEEPEST_PER_TEN_C = 4
/** More than this in 100 mL of solvent, g, is remarked on. */
const MOST_G_PER_100ML = 1500

/**
 * What looks wrong with typed solubility points, in sentences; nothing here stops a plan by itself.
 *
 * @param points [°C, g per 100 mL], any order
 * @param solvent whose freezing and boiling points bound them, when known
 */
export function pointsTrouble(
  points: readonly SolubilityPoint[],
  solvent?: Pick<Solvent, 'name' | 'freezingPointC' | 'boilingPointC' | 'boilingFromC' | 'boilingToC'>,
): readonly string[] {
  const sorted = [...points].sort((p, q) => p[0] - q[0])
  return [
    ...sorted.flatMap((point) => pointAlone(point, solvent)),
    ...breaks(sorted),
    ...(breaks(sorted).length > 0 ? [] : falls(sorted)),
  ]
}

function pointAlone(
  [atC, gPer100ML]: SolubilityPoint,
  solvent?: Pick<Solvent, 'name' | 'freezingPointC' | 'boilingPointC' | 'boilingFromC' | 'boilingToC'>,
): string[] {
  const sentences: string[] = []
  if (gPer100ML > MOST_G_PER_100ML)
    sentences.push(
      `${gPer100ML} g in 100 mL at ${atC} °C is more solid than liquid. Is the unit g per 100 mL?`,
    )
  const boilsC = solvent ? boilsToC(solvent) : null
  if (solvent && boilsC !== null && atC > boilsC + 1)
    sentences.push(`${atC} °C is above where ${solvent.name} boils (${boilsInWords(solvent) ?? ''}).`)
  if (solvent?.freezingPointC != null && atC < solvent.freezingPointC - 0.5)
    sentences.push(`${atC} °C is below where ${solvent.name} freezes (${solvent.freezingPointC} °C).`)
  return sentences
}

/** A point that a factor of ten would bring onto the line of the others: g per L is ten times g per 100 mL. */
function breaks(sorted: readonly SolubilityPoint[]): string[] {
  if (sorted.length === 2) {
    const [[lowC, low], [highC, high]] = sorted as [SolubilityPoint, SolubilityPoint]
    const perTen = (high / low) ** (10 / Math.max(1, highC - lowC))
    return perTen > STEEPEST_PER_TEN_C
      ? [
          `From ${low} to ${high} g per 100 mL within ${highC - lowC} °C is unusually steep: was one of them g per L?`,
        ]
      : []
  }
  if (sorted.length < 3) return []
  const as = roughness(sorted)
  const [best] = sorted
    .flatMap((_, i) => [10, 1 / 10].map((times) => ({ i, times, left: roughness(scaled(sorted, i, times)) })))
    .sort((p, q) => p.left - q.left)
  if (!best || as < ROUGH_FROM || best.left > as / SMOOTHER_BY) return []
  const [atC, gPer100ML] = sorted[best.i] as SolubilityPoint
  return best.times < 1
    ? [
        `${gPer100ML} at ${atC} °C is about ten times what its neighbours suggest. Was it g per L? Then it is ${gPer100ML / 10} g per 100 mL.`,
      ]
    : [
        `${gPer100ML} at ${atC} °C is about a tenth of what its neighbours suggest. Were the others g per L, or is a zero missing?`,
      ]
}

function scaled(sorted: readonly SolubilityPoint[], at: number, times: number): SolubilityPoint[] {
  return sorted.map(([c, s], i) => (i === at ? [c, s * times] : [c, s]))
}

/** Spread of ln S about a straight line in 1/T (standard deviation). */
function roughness(sorted: readonly SolubilityPoint[]): number {
  const xs = sorted.map(([c]) => 1000 / kelvin(c))
  const ys = sorted.map(([, s]) => Math.log(s))
  const mean = (values: readonly number[]) => values.reduce((sum, one) => sum + one, 0) / values.length
  const [mx, my] = [mean(xs), mean(ys)]
  const spread = xs.reduce((sum, x) => sum + (x - mx) ** 2, 0)
  const slope = xs.reduce((sum, x, i) => sum + (x - mx) * ((ys[i] as number) - my), 0) / spread
  return Math.sqrt(mean(xs.map((x, i) => ((ys[i] as number) - my - slope * (x - mx)) ** 2)))
}

function falls(sorted: readonly SolubilityPoint[]): string[] {
  return sorted.flatMap((point, i) => {
    const before = sorted[i - 1]
    return before && point[1] < before[1]
      ? [
          `Less dissolves at ${point[0]} °C (${point[1]}) than at ${before[0]} °C (${before[1]}). A few salts do that. Were the two swapped?`,
        ]
      : []
  })
}
