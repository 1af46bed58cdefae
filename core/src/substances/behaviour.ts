import type { Compound } from './shelf'

/** How a compound behaves when it is heated. */
export const BEHAVIOURS = ['melts', 'decomposes', 'sublimes', 'hydrate', 'other forms'] as const
export type Behaviour = (typeof BEHAVIOURS)[number]

const HYDRATE_FROM_WATER = 'hydrate from cold water'

/**
 * How a compound of the shelf behaves when it is heated, in the words judging knows.
 *
 * @param fromWater it crystallized from water: then it is judged as the hydrate that comes from there
 */
export function behaviourOf({ behaviour }: Pick<Compound, 'behaviour'>, fromWater: boolean): Behaviour {
  if (behaviour.includes(HYDRATE_FROM_WATER)) {
    if (fromWater) return 'hydrate'
    return behaviourOf({ behaviour: behaviour.replace(HYDRATE_FROM_WATER, '') }, false)
  }
  for (const word of ['decomposes', 'sublimes', 'hydrate', 'other forms'] as const)
    if (behaviour.includes(word)) return word
  return 'melts'
}
