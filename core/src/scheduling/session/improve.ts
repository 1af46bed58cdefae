import { randomSource } from '../../math/random'
import type { Compiled } from './compiled'
import { at, demandLag } from './lags'
import { type Found, type Rank, search } from './search'

/** Nodes of one small search. */
const NODES_EACH = 120
/** So many tasks are freed at a time, at least and at most. */
const FREED = { least: 6, most: 14 } as const

/**
 * Betters a plan piece by piece: the tasks around a moment, or some at random, are freed, the order of all others is
 * kept, and the freed ones are placed anew. Always the same for the same session.
 *
 * @param rounds how many pieces are tried
 * @param leastMin stops when the plan ends so soon
 * @param look another number tries others
 */
export function improve(
  compiled: Compiled,
  first: Found,
  rounds: number,
  leastMin: number,
  rank: Rank,
  look = 0,
): Found {
  let best = first
  const { uniform: random } = randomSource((compiled.size + 1000 * look) * 7919)
  for (let round = 0; round < rounds && best.endMin > leastMin; round++) {
    const shorter = lagsKeepingOrder(compiled, best, freedOf(compiled, best, random))
    if (!shorter) continue
    const { found } = search(
      { ...compiled, lags: shorter },
      NODES_EACH,
      { starts: best.starts, endMin: best.endMin },
      rank,
    )
    if (found && found.endMin < best.endMin) best = found
  }
  return best
}

function freedOf(
  { size, durations, isFixed }: Compiled,
  { starts, endMin }: Found,
  random: () => number,
): Uint8Array {
  const freed = new Uint8Array(size)
  const many = FREED.least + Math.floor((FREED.most - FREED.least + 1) * random())
  const moment = endMin * random()
  const isAround = random() < 0.7
  const away = (i: number) =>
    isAround ? Math.abs(at(starts, i) + at(durations, i) / 2 - moment) : random() * endMin
  const ranked = Array.from({ length: size - 1 }, (_, k) => ({ node: k + 1, away: away(k + 1) }))
    .filter(({ node }) => !at(isFixed, node))
    .sort((p, q) => p.away - q.away)
  for (const { node } of ranked.slice(0, many)) freed[node] = 1
  return freed
}

/** The paths that follow when whatever ended before another began, and shares something with it, stays before it. */
function lagsKeepingOrder(compiled: Compiled, { starts }: Found, freed: Uint8Array): Int32Array | null {
  const { size, durations, apart, gaps, isFixed, resources } = compiled
  const lags = compiled.lags.slice()
  for (let i = 1; i < size; i++) {
    if (freed[i]) continue
    for (let j = 1; j < size; j++) {
      if (i === j || freed[j] || at(starts, i) + at(durations, i) > at(starts, j)) continue
      const shares =
        at(apart, i * size + j) === 1 ||
        resources.some(({ demand }) => at(demand, i) > 0 && at(demand, j) > 0)
      if (
        shares &&
        !demandLag(
          lags,
          size,
          i,
          j,
          at(durations, i) + (isFixed[i] && isFixed[j] ? 0 : at(gaps, i * size + j)),
        )
      )
        return null
    }
  }
  return lags
}
