import { readFileSync } from 'node:fs'
import { describe, expect, test } from '@jest/globals'
import fc from 'fast-check'
import { atTheEvent } from './atTheEvent'
import {
  calibrationLine,
  type CalibrationPoint,
  correctBy,
  correctReading,
  interpolationErrorC,
  lineErrorC,
} from './correctReading'
import { emergentStemCorrectionC, THREAD_EXPANSION } from './emergentStem'

const { points, corrected, stem } = JSON.parse(
  readFileSync(new URL('../../vectors/thermometer.json', import.meta.url), 'utf8'),
) as {
  points: CalibrationPoint[]
  corrected: [number, number][]
  stem: [number, number, number, number][]
}

describe('a calibrated thermometer', () => {
  test('meets the vectors, and says where it goes past its points', () => {
    for (const [readC, trueC] of corrected) {
      const corrected = correctReading(points, readC)
      expect(corrected.temperatureC).toBeCloseTo(trueC, 6)
      expect(corrected.temperatureC - readC).toBeCloseTo(corrected.correctionC, 12)
      expect(corrected.extrapolated).toBe(readC < 0.4 || readC > 233)
    }
  })
  test('gives each of its own points back, in any order they were taken', () => {
    const shuffled = [...points].reverse()
    for (const [readC, trueC] of points)
      expect(correctReading(shuffled, readC).temperatureC).toBeCloseTo(trueC, 9)
    expect(correctReading([[79.1, 80.2]], 120)).toMatchObject({ extrapolated: true })
    expect(correctReading([[79.1, 80.2]], 120).temperatureC).toBeCloseTo(121.1, 9)
  })
  test('a correction never leaves those of the points about it', () => {
    const of = points.map(([readC, trueC]) => trueC - readC)
    fc.assert(
      fc.property(fc.double({ min: -20, max: 300, noNaN: true }), (readC) => {
        const { correctionC } = correctReading(points, readC)
        expect(correctionC).toBeGreaterThanOrEqual(Math.min(...of) - 1e-9)
        expect(correctionC).toBeLessThanOrEqual(Math.max(...of) + 1e-9)
      }),
    )
  })
  test('no points, and two truths for one reading, are refused', () => {
    expect(() => correctReading([], 50)).toThrow('at least one point')
    expect(() =>
      correctReading(
        [
          [50, 51],
          [50, 52],
        ],
        50,
      ),
    ).toThrow('both read 50 °C')
  })
})

describe('a straight line through it', () => {
  const exact: CalibrationPoint[] = [0, 60, 120, 200].map((readC) => [readC, 1.01 * readC - 0.4])
  test('finds a line that is there, with no error left', () => {
    const line = calibrationLine(exact)
    expect(line.slope).toBeCloseTo(1.01, 12)
    expect(line.interceptC).toBeCloseTo(-0.4, 9)
    expect(line.residualSdC).toBeCloseTo(0, 9)
    expect(line.leaveOneOutC).toBeCloseTo(0, 9)
  })
  test('its error is the scatter about it: by hand for one point off by 0.3', () => {
    // Points at −1, 0, 1 about the mean, the middle one 0.3 high: residuals −0.1, 0.2, −0.1; s² = 0.06/1.
    const bent: CalibrationPoint[] = [
      [0, 0],
      [100, 100.3],
      [200, 200],
    ]
    expect(calibrationLine(bent).residualSdC).toBeCloseTo(Math.sqrt(0.06), 9)
    expect(lineErrorC(bent, 100)).toBeCloseTo(Math.sqrt(0.06 * (1 + 1 / 3)), 9)
    expect(lineErrorC(bent, 300)).toBeGreaterThan(lineErrorC(bent, 200))
    expect(interpolationErrorC(bent)).toBeCloseTo(0.3, 9)
  })
  test('the vectors’ points leave less to interpolation than to the line, and both say how much', () => {
    const line = calibrationLine(points)
    const between = interpolationErrorC(points)
    expect(line.leaveOneOutC).toBeGreaterThan(line.residualSdC)
    expect(between).toBeGreaterThan(0.1)
    expect(between).toBeLessThan(1)
  })
  test('two points are too few for a line with an error, and for an interpolation left out', () => {
    expect(() => calibrationLine(exact.slice(0, 2))).toThrow('three calibration points')
    expect(interpolationErrorC(exact.slice(0, 2))).toBeNull()
  })
})

describe('a reading corrected as its calibration says', () => {
  const calibration = { points, errorC: 0.4, heating: null }
  test('between the points it is the interpolation, with the error told of it', () => {
    const corrected = correctBy({ ...calibration, method: 'between the points' }, 95.3)
    expect(corrected).toEqual({ ...correctReading(points, 95.3), errorC: 0.4 })
  })
  test('by the line it is on the line, with the error of the line there', () => {
    const { slope, interceptC } = calibrationLine(points)
    const corrected = correctBy({ ...calibration, method: 'straight line' }, 250)
    expect(corrected.temperatureC).toBeCloseTo(interceptC + 250 * slope, 9)
    expect(corrected.correctionC).toBeCloseTo(corrected.temperatureC - 250, 9)
    expect(corrected).toMatchObject({ extrapolated: true, errorC: lineErrorC(points, 250) })
  })
})

describe('the thread out of the bath', () => {
  test('meets the vectors, and spirit stretches more than mercury', () => {
    for (const [readingC, exposedC, stemC, wanted] of stem)
      expect(emergentStemCorrectionC({ readingC, exposedC, stemC })).toBeCloseTo(wanted, 9)
    const at = { readingC: 150, exposedC: 90, stemC: 32 }
    expect(emergentStemCorrectionC({ ...at, coefficient: THREAD_EXPANSION.spirit })).toBeCloseTo(10.62, 9)
  })
  test('none at the bath’s own temperature, none with nothing exposed, and no negative thread', () => {
    expect(emergentStemCorrectionC({ readingC: 90, exposedC: 50, stemC: 90 })).toBe(0)
    expect(emergentStemCorrectionC({ readingC: 90, exposedC: 0, stemC: 20 })).toBe(0)
    expect(() => emergentStemCorrectionC({ readingC: 90, exposedC: -1, stemC: 20 })).toThrow(
      'cannot be below zero',
    )
    expect(() => emergentStemCorrectionC({ readingC: 90, exposedC: 1, stemC: 20, coefficient: 0 })).toThrow(
      'coefficient of the thread must be above zero',
    )
  })
})

describe('a reading by eye', () => {
  test('taken late is taken back to the moment', () => {
    expect(atTheEvent(95.4, 12, 1.5)).toBeCloseTo(95.1, 12)
    expect(atTheEvent(95.4, 0, 9)).toBe(95.4)
    expect(() => atTheEvent(95.4, -1, 1)).toThrow('before the event')
  })
})
