export type ProblemCode =
  | 'not-a-number'
  | 'not-a-reading'
  | 'decimal-comma'
  | 'too-fine-for-balance'
  | 'negative-mass'
  | 'nothing-weighed'
  | 'loaded-lighter-than-empty'
  | 'bad-readability'
  | 'bad-molar-mass'
  | 'bad-duration'
  | 'no-solubility-points'
  | 'bad-solubility'
  | 'enthalpy-needed'
  | 'bad-volume'
  | 'bad-excess'
  | 'cold-not-below-hot'
  | 'no-crystals'
  | 'not-miscible'
  | 'no-pair'
  | 'bad-drops'
  | 'unbalanced'
  | 'hot-solubility-zero'
  | 'fraction-out-of-range'
  | 'below-absolute-zero'
  | 'bad-enthalpy'
  | 'not-below-melting-point'
  | 'range-inverted'
  | 'bad-count'
  | 'bad-rate'
  | 'bad-fill'
  | 'too-few-samples'
  | 'one-rate-only'
  | 'one-dial-only'
  | 'bad-model'
  | 'bad-dial'
  | 'too-many-tubes'
  | 'no-transition'
  | 'unknown-command'
  | 'candidate-twice'
  | 'no-candidates'
  | 'bad-options'
  | 'bad-distance'
  | 'spot-above-front'
  | 'not-signed'
  | 'no-plan'
  | 'as-typed'
  | 'not-worked-out'
/** Why something could not be, as a sentence for the person at the bench; where it is one field's, in which. */
export interface Problem<F extends string = never> {
  readonly code: ProblemCode
  readonly sentence: string
  readonly field?: F
}
/** The result, or the reason there is none. */
export type Result<T, F extends string = never> =
  { readonly ok: true; readonly value: T } | { readonly ok: false; readonly problem: Problem<F> }

export const ok = <const T>(value: T): Result<T> => ({ ok: true, value })
/** What was typed comes to nothing: why, and in which field. */
export const refuse = <const F extends string = never>(sentence: string, field?: F): Result<never, F> => ({
  ok: false,
  problem: { code: 'as-typed', sentence, ...(field === undefined ? {} : { field }) },
})
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
