import { VISIBLE_LIQUID_FRACTION } from './meltingRange'

/** What the eye at the lens sees of a tube. */
export type TubeLook =
  'not in' | 'powder' | 'shrunk' | 'sweating' | 'drops' | 'slush' | 'last crystals' | 'clear' | 'bubbling'

/** Liquid of the whole from which a tube is slush. */
export const SLUSH_FROM = 0.5

/** How a tube looks with so much of it liquid and nothing else known of it. */
export function lookOfLiquid(liquidFraction: number): TubeLook {
  if (liquidFraction >= 1) return 'clear'
  if (liquidFraction >= 0.85) return 'last crystals'
  if (liquidFraction >= SLUSH_FROM) return 'slush'
  if (liquidFraction >= VISIBLE_LIQUID_FRACTION['distinct drop']) return 'drops'
  return liquidFraction >= 0.03 ? 'sweating' : 'powder'
}

/** Whether any tube shows more than dry powder: from there on eyes are needed. */
export function isAnythingSeen(tubes: readonly { readonly look: TubeLook }[]): boolean {
  return tubes.some(({ look }) => look !== 'not in' && look !== 'powder')
}
