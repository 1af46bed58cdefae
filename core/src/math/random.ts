/** One step of a 32-bit generator (mulberry32): same seed, same sequence. Not for secrets. */
export function nextRandom(state: number): { readonly state: number; readonly value: number } {
  const next = (state + 0x6d2b79f5) | 0
  let t = Math.imul(next ^ (next >>> 15), 1 | next)
  t = (t + Math.imul(t ^ (t >>> 7), 61 | t)) ^ t
  return { state: next, value: ((t ^ (t >>> 14)) >>> 0) / 4294967296 }
}

/** A normal deviate by summing twelve uniform ones (sd 1 within 1 %, bounded at ±6). */
export function nextNormal(state: number): { readonly state: number; readonly value: number } {
  let sum = 0
  let current = state
  for (let i = 0; i < 12; i++) {
    const drawn = nextRandom(current)
    sum += drawn.value
    current = drawn.state
  }
  return { state: current, value: sum - 6 }
}

/** A source that remembers where it is: the same seed, the same sequence. */
export interface RandomSource {
  /** From 0 up to 1. */
  readonly uniform: () => number
  readonly normal: () => number
  /** Mean 1. */
  readonly exponential: () => number
  /** Where it is: a source begun from here goes on as this one does. */
  readonly state: () => number
}
export function randomSource(seed: number): RandomSource {
  let state = seed
  const draw = (next: typeof nextRandom) => () => {
    const drawn = next(state)
    state = drawn.state
    return drawn.value
  }
  const uniform = draw(nextRandom)
  return {
    uniform,
    normal: draw(nextNormal),
    exponential: () => -Math.log(1 - uniform()),
    state: () => state,
  }
}

/** A list in an order drawn from a source (Fisher and Yates). */
export function shuffled<T>(list: readonly T[], uniform: () => number): readonly T[] {
  const out = [...list]
  for (let i = out.length - 1; i > 0; i--) {
    const j = Math.floor(uniform() * (i + 1))
    ;[out[i], out[j]] = [out[j] as T, out[i] as T]
  }
  return out
}
