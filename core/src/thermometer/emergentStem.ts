import { ImpossibleInput, requireTemperature } from '../problems'

/** Apparent expansion of the thread in its glass, per °C. */
export const THREAD_EXPANSION = { mercury: 0.00016, spirit: 0.001 } as const

/**
 * What to add to a total-immersion thermometer whose thread stands partly out of the bath: k·n·(T − t).
 * Not for a partial-immersion thermometer, and never on top of a calibration made in place, which holds it already.
 *
 * @param input readingC as read; exposedC degrees of thread outside the bath; stemC mean temperature of that
 * thread; coefficient per °C, mercury unless told otherwise
 * @returns °C to add
 * @throws ImpossibleInput on a thread of less than no length
 * @example emergentStemCorrectionC({ readingC: 150, exposedC: 90, stemC: 32 }) // 1.70
 */
export function emergentStemCorrectionC({
  readingC,
  exposedC,
  stemC,
  coefficient = THREAD_EXPANSION.mercury,
}: {
  readingC: number
  exposedC: number
  stemC: number
  coefficient?: number
}): number {
  requireTemperature(readingC, 'The reading')
  requireTemperature(stemC, 'The thread')
  if (!(exposedC >= 0 && Number.isFinite(exposedC)))
    throw new ImpossibleInput('bad-model', 'The length of thread outside the bath cannot be below zero.')
  if (!(coefficient > 0))
    throw new ImpossibleInput('bad-model', 'The expansion coefficient of the thread must be above zero.')
  return coefficient * exposedC * (readingC - stemC)
}
