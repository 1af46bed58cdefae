import { nextNormal, nextRandom } from '../src/math/random'

export type Random = () => number
export function randomOf(seed: number): Random {
  let state = seed
  return () => {
    const drawn = nextRandom(state)
    state = drawn.state
    return drawn.value
  }
}
export function normalOf(random: Random): () => number {
  return () => nextNormal(Math.floor(2 ** 31 * random())).value
}
export function one<T>(random: Random, of: readonly T[]): T {
  return of[Math.floor(random() * of.length)] as T
}
