import type { Grain } from '../heating/observedRange'
import { ImpossibleInput, requireTemperature } from '../problems'

/** A thermometer's calibration; the rate and packing it was made at are part of it. */
export interface Calibration {
  readonly method: 'between the points' | 'straight line'
  readonly points: readonly (readonly [readC: number, trueC: number])[]
  /** What is left of its own points when each is left out; null when too few to say. */
  readonly errorC: number | null
  /** Heating and packing of its melting standards; null when it has none. */
  readonly heating: {
    readonly rateCPerMin: number
    readonly fillMm: number
    readonly grain: Grain
  } | null
}

/** What a thermometer read, and what was true, °C: the midpoint observed against the midpoint of the literature. */
export type CalibrationPoint = readonly [readC: number, trueC: number]

/** @throws ImpossibleInput on no points, or two different truths for one reading */
function sorted(points: readonly CalibrationPoint[]): readonly CalibrationPoint[] {
  if (points.length === 0)
    throw new ImpossibleInput('too-few-samples', 'A calibration needs at least one point.')
  const inOrder = [...points].sort((p, q) => p[0] - q[0])
  inOrder.forEach(([readC, trueC], i) => {
    requireTemperature(readC, 'A calibration reading')
    requireTemperature(trueC, 'A calibration value')
    if (inOrder[i + 1]?.[0] === readC)
      throw new ImpossibleInput(
        'bad-model',
        `Two calibration points both read ${readC} °C: strike one of them out.`,
      )
  })
  return inOrder
}

/**
 * A reading corrected by a calibration: the correction is linear between the points, and beyond the ends
 * that of the end, flagged.
 *
 * @param points °C
 * @param readingC °C as read
 * @returns °C, and what was added
 * @throws ImpossibleInput without points
 * @example correctReading([[0.4, 0], [79.1, 80.2]], 45) // { temperatureC: 45.45, correctionC: 0.45, extrapolated: false }
 */
export function correctReading(
  points: readonly CalibrationPoint[],
  readingC: number,
): { temperatureC: number; correctionC: number; extrapolated: boolean } {
  requireTemperature(readingC, 'The reading')
  const inOrder = sorted(points)
  const first = inOrder[0] as CalibrationPoint
  const last = inOrder[inOrder.length - 1] as CalibrationPoint
  const extrapolated = readingC < first[0] || readingC > last[0]
  const correctionC = correctionAt(inOrder, Math.min(last[0], Math.max(first[0], readingC)))
  return { temperatureC: readingC + correctionC, correctionC, extrapolated }
}

function correctionAt(inOrder: readonly CalibrationPoint[], readC: number): number {
  const above = inOrder.findIndex(([read]) => read >= readC)
  const [highRead, highTrue] = inOrder[above] as CalibrationPoint
  const [lowRead, lowTrue] = inOrder[Math.max(0, above - 1)] as CalibrationPoint
  const high = highTrue - highRead
  const low = lowTrue - lowRead
  return highRead === lowRead ? high : low + ((high - low) * (readC - lowRead)) / (highRead - lowRead)
}

/**
 * Root mean square of how far interpolation misses each inner point when that point is left out.
 *
 * @returns °C; null with fewer than three points
 * @example interpolationErrorC([[0.4, 0], [79.1, 80.2], [120.4, 122.6]]) // 0.19
 */
export function interpolationErrorC(points: readonly CalibrationPoint[]): number | null {
  const inOrder = sorted(points)
  const inner = inOrder.slice(1, -1)
  if (inner.length === 0) return null
  const misses = inner.map(([readC, trueC], i) => {
    const others = inOrder.filter((_, j) => j !== i + 1)
    return correctReading(others, readC).temperatureC - trueC
  })
  return Math.sqrt(misses.reduce((sum, miss) => sum + miss * miss, 0) / misses.length)
}

/**
 * A straight line through a calibration, true = slope·read + intercept, by least squares.
 *
 * @returns intercept and errors in °C: residual standard deviation (n − 2), and the root mean square of how
 * far the line through the others misses each point
 * @throws ImpossibleInput with fewer than three points
 * @example calibrationLine([[0, 0], [100, 101], [200, 202]]) // slope 1.01, no residual
 */
export function calibrationLine(points: readonly CalibrationPoint[]): {
  slope: number
  interceptC: number
  residualSdC: number
  leaveOneOutC: number
} {
  const inOrder = sorted(points)
  if (inOrder.length < 3)
    throw new ImpossibleInput(
      'too-few-samples',
      'A straight line with its error needs three calibration points.',
    )
  const { slope, interceptC } = lineThrough(inOrder)
  const missOf = (line: { slope: number; interceptC: number }, [readC, trueC]: CalibrationPoint) =>
    line.interceptC + line.slope * readC - trueC
  const squares = inOrder.reduce((sum, point) => sum + missOf({ slope, interceptC }, point) ** 2, 0)
  const left = inOrder.reduce(
    (sum, point, i) => sum + missOf(lineThrough(inOrder.filter((_, j) => j !== i)), point) ** 2,
    0,
  )
  return {
    slope,
    interceptC,
    residualSdC: Math.sqrt(squares / (inOrder.length - 2)),
    leaveOneOutC: Math.sqrt(left / inOrder.length),
  }
}

/** Standard error of a value read off the line, °C: its scatter and how far from the points it is read. */
export function lineErrorC(points: readonly CalibrationPoint[], readingC: number): number {
  const { residualSdC } = calibrationLine(points)
  const mean = points.reduce((sum, [readC]) => sum + readC, 0) / points.length
  const spread = points.reduce((sum, [readC]) => sum + (readC - mean) ** 2, 0)
  return residualSdC * Math.sqrt(1 + 1 / points.length + (readingC - mean) ** 2 / spread)
}

/**
 * A reading corrected as its calibration says: between its points, or by the straight line through them.
 *
 * @returns °C, what was added, how sure that is, and whether the reading lies beyond the points
 * @throws ImpossibleInput on a line through fewer than three points
 * @example correctBy({ method: 'between the points', points: [[92, 93]], errorC: null, heating: null }, 92).temperatureC // 93
 */
export function correctBy(
  { method, points, errorC }: Calibration,
  readingC: number,
): { temperatureC: number; correctionC: number; extrapolated: boolean; errorC: number | null } {
  const between = correctReading(points, readingC)
  if (method === 'between the points') return { ...between, errorC }
  const { slope, interceptC } = calibrationLine(points)
  const temperatureC = interceptC + slope * readingC
  return {
    temperatureC,
    correctionC: temperatureC - readingC,
    extrapolated: between.extrapolated,
    errorC: lineErrorC(points, readingC),
  }
}

function lineThrough(points: readonly CalibrationPoint[]): { slope: number; interceptC: number } {
  const meanRead = points.reduce((sum, [readC]) => sum + readC, 0) / points.length
  const meanTrue = points.reduce((sum, [, trueC]) => sum + trueC, 0) / points.length
  const spread = points.reduce((sum, [readC]) => sum + (readC - meanRead) ** 2, 0)
  const slope =
    points.reduce((sum, [readC, trueC]) => sum + (readC - meanRead) * (trueC - meanTrue), 0) / spread
  return { slope, interceptC: meanTrue - slope * meanRead }
}
