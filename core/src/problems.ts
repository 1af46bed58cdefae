import type { Problem, ProblemCode, Result } from './contract'

/**
 * Thrown at the core's door on input that cannot have happened. Its code is what callers branch on, since
 * the runtime throws plain RangeErrors of its own.
 */
export class ImpossibleInput extends RangeError {
  override readonly name = 'ImpossibleInput'
  constructor(
    readonly code: ProblemCode,
    sentence: string,
  ) {
    super(sentence)
  }
}

/** @throws ImpossibleInput unless the number is finite */
export function requireNumber(value: number, what: string): void {
  if (!Number.isFinite(value)) throw new ImpossibleInput('not-a-number', `${what} is not a number.`)
}

/** @throws ImpossibleInput outside 0 to 1 */
export function requireFraction(value: number, what: string): void {
  requireNumber(value, what)
  if (value < 0 || value > 1)
    throw new ImpossibleInput('fraction-out-of-range', `${what} is ${value}; it lies between 0 and 1.`)
}

/** @throws ImpossibleInput below absolute zero */
export function requireTemperature(valueC: number, what: string): void {
  requireNumber(valueC, what)
  if (valueC <= -273.15)
    throw new ImpossibleInput('below-absolute-zero', `${what} of ${valueC} °C is below absolute zero.`)
}

/** Runs a computation and hands back its value, or the sentence of what was impossible. Other errors pass on. */
export function attempt<T>(compute: () => T): Result<T> {
  try {
    return { ok: true, value: compute() }
  } catch (error) {
    if (error instanceof ImpossibleInput)
      return { ok: false, problem: { code: error.code, sentence: error.message } }
    throw error
  }
}

export function problem<T>(code: Problem['code'], sentence: string): Result<T> {
  return { ok: false, problem: { code, sentence } }
}
