import type { BlockModel } from './dial'
import { levenbergMarquardt } from 'ml-levenberg-marquardt'
import { inverse, Matrix } from 'ml-matrix'
import { ImpossibleInput, requireTemperature } from '../problems'

export interface DialTrace {
  readonly dial: number
  readonly samples: readonly (readonly [minutes: number, temperatureC: number])[]
}

export interface FittedBlockModel {
  readonly model: BlockModel
  /** Standard deviation of what was read about the model, °C. */
  readonly residualC: number
  /** Of gain, exponent and timeConstantMin, one standard deviation each. */
  readonly standardErrors: Readonly<Record<'gain' | 'exponent' | 'timeConstantMin', number>>
}

const LEAST_SAMPLES = 5
const THINNED_TO = 300
/** Time constants looked through for a first guess, min. */
const GUESSED_MIN = Array.from({ length: 25 }, (_, i) => 0.8 * 1.22 ** i)

/**
 * What a block's dial does, from logged heatings: P(d) and τ of {@link BlockModel} by Levenberg–Marquardt over
 * all traces together. Where each trace began is fitted too, so that one poor first reading does not bend it.
 *
 * @param traces [min, °C] with the dial left at one setting each; at least two different settings above 0
 * @param ambientC of the room, °C
 * @returns the model, and how well it holds
 * @throws ImpossibleInput with fewer than two settings, too few samples, or traces that do not warm
 * @example fitBlockModel(fourLoggedHeatings, 22).model.timeConstantMin // 8.5
 */
export function fitBlockModel(traces: readonly DialTrace[], ambientC: number): FittedBlockModel {
  requireTraces(traces, ambientC)
  const guess = firstGuess(traces, ambientC)
  const { parameterValues } = fitTo(traces.map(thinned), ambientC, guess)
  const [gain = NaN, exponent = NaN, timeConstantMin = NaN] = parameterValues
  const { at, y } = curvesOf(traces, ambientC)
  const fitted = at(parameterValues)
  const squares = y.reduce((sum, value, i) => sum + (value - fitted(i)) ** 2, 0)
  const residualC = Math.sqrt(squares / Math.max(1, y.length - parameterValues.length))
  return {
    model: { ambientC, gain, exponent, timeConstantMin },
    residualC,
    standardErrors: errorsOf(at, parameterValues, y.length, residualC),
  }
}

function fitTo(traces: readonly DialTrace[], ambientC: number, initialValues: number[]) {
  const { at, y } = curvesOf(traces, ambientC)
  return levenbergMarquardt({ x: y.map((_, i) => i), y }, at, {
    initialValues,
    damping: 0.01,
    maxIterations: 60,
    errorTolerance: 1e-12,
    gradientDifference: initialValues.map((value) => 1e-6 * Math.max(1, Math.abs(value))),
    minValues: initialValues.map((_, i) => (i < 3 ? 1e-3 : -270)),
    maxValues: initialValues.map((_, i) => (i < 3 ? 1e4 : 2000)),
  })
}

/** Every reading of every trace by one running number, and the model's value for each from its parameters. */
function curvesOf(traces: readonly DialTrace[], ambientC: number) {
  const t = Float64Array.from(traces.flatMap(({ samples }) => samples.map(([minute]) => minute)))
  const y = traces.flatMap(({ samples }) => samples.map(([, temperatureC]) => temperatureC))
  const of = Int32Array.from(traces.flatMap(({ samples }, i) => samples.map(() => i)))
  const at = ([gain, exponent, tau, ...starts]: number[]) => {
    const ends = traces.map(({ dial }) => ambientC + (gain as number) * dial ** (exponent as number))
    return (i: number) => {
      const trace = of[i] as number
      const end = ends[trace] as number
      return end + ((starts[trace] as number) - end) * Math.exp(-(t[i] as number) / (tau as number))
    }
  }
  return { at, y }
}

/** Neighbours averaged, so that an hour at one reading a second costs no more than a few hundred. */
function thinned({ dial, samples }: DialTrace): DialTrace {
  const size = Math.ceil(samples.length / THINNED_TO)
  if (size === 1) return { dial, samples }
  const blocks = Array.from({ length: Math.floor(samples.length / size) }, (_, i) => {
    const block = samples.slice(i * size, (i + 1) * size)
    const mean = (pick: (sample: readonly [number, number]) => number) =>
      block.reduce((sum, sample) => sum + pick(sample), 0) / size
    return [mean(([minute]) => minute), mean(([, temperatureC]) => temperatureC)] as const
  })
  return { dial, samples: blocks }
}

/** From the curvature at the fit: σ²(JᵀJ)⁻¹. */
function errorsOf(
  at: (parameters: number[]) => (i: number) => number,
  parameters: number[],
  count: number,
  residualC: number,
): FittedBlockModel['standardErrors'] {
  const base = at(parameters)
  const slopes = parameters.map((value, p) => {
    const step = 1e-5 * Math.max(1, Math.abs(value))
    const moved = at(parameters.map((other, q) => (p === q ? other + step : other)))
    return Float64Array.from({ length: count }, (_, i) => (moved(i) - base(i)) / step)
  })
  const normal = slopes.map((a) => slopes.map((b) => a.reduce((sum, v, i) => sum + v * (b[i] as number), 0)))
  const covariance = inverse(new Matrix(normal))
  const error = (i: number) => residualC * Math.sqrt(Math.max(0, covariance.get(i, i)))
  return { gain: error(0), exponent: error(1), timeConstantMin: error(2) }
}

/** For each time constant the ends are a straight-line fit; the constant that leaves the least is kept. */
function firstGuess(traces: readonly DialTrace[], ambientC: number): number[] {
  const tried = GUESSED_MIN.map((tau) => {
    const lines = traces.map(({ samples }) =>
      straight(samples.map(([m, c]) => [Math.exp((-1 * m) / tau), c] as const)),
    )
    return { tau, lines, left: lines.reduce((sum, line) => sum + line.squares, 0) }
  })
  const best = tried.reduce((p, q) => (q.left < p.left ? q : p))
  const rises = traces.map(({ dial }, i) => ({ dial, riseC: (best.lines[i]?.intercept ?? 0) - ambientC }))
  if (rises.some(({ riseC }) => riseC <= 0))
    throw new ImpossibleInput(
      'no-transition',
      'One of these heatings does not warm the block above the room. Log the heating from cold, with the dial left alone.',
    )
  const line = straight(rises.map(({ dial, riseC }) => [Math.log(dial), Math.log(riseC)] as const))
  const starts = best.lines.map(({ intercept, slope }) => intercept + slope)
  return [Math.exp(line.intercept), Math.min(4, Math.max(0.2, line.slope)), best.tau, ...starts]
}

function straight(points: readonly (readonly [number, number])[]) {
  const n = points.length
  const meanX = points.reduce((sum, [x]) => sum + x, 0) / n
  const meanY = points.reduce((sum, [, y]) => sum + y, 0) / n
  const spread = points.reduce((sum, [x]) => sum + (x - meanX) ** 2, 0)
  const slope = points.reduce((sum, [x, y]) => sum + (x - meanX) * (y - meanY), 0) / (spread || 1)
  const intercept = meanY - slope * meanX
  const squares = points.reduce((sum, [x, y]) => sum + (y - intercept - slope * x) ** 2, 0)
  return { slope, intercept, squares }
}

function requireTraces(traces: readonly DialTrace[], ambientC: number): void {
  requireTemperature(ambientC, 'The room temperature')
  for (const { dial, samples } of traces) {
    if (!(dial > 0 && Number.isFinite(dial)))
      throw new ImpossibleInput('bad-dial', 'A heating is logged at a dial setting above 0.')
    if (samples.length < LEAST_SAMPLES)
      throw new ImpossibleInput(
        'too-few-samples',
        `The heating at setting ${dial} has ${samples.length} readings; ${LEAST_SAMPLES} at least are needed.`,
      )
    samples.forEach(([minute, temperatureC], i) => {
      requireTemperature(temperatureC, `A reading at setting ${dial}`)
      if (!Number.isFinite(minute) || minute < (samples[i - 1]?.[0] ?? -Infinity))
        throw new ImpossibleInput(
          'bad-duration',
          `The times in the heating at setting ${dial} run backwards.`,
        )
    })
  }
  if (new Set(traces.map(({ dial }) => dial)).size < 2)
    throw new ImpossibleInput(
      'one-dial-only',
      'Heatings at two different settings are needed: one alone does not show what another setting does.',
    )
}
