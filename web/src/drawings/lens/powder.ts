import { nextRandom } from '@ivory-crystal/core/math'
import { SHELLS } from '@ivory-crystal/core/simulator'

/** The lens is drawn on a field of these units; the capillaries stand in it at fixed places. */
export const FIELD = { width: 640, height: 450 } as const
export const TUBE = { halfWidth: 36, topY: 18, bottomY: 384, xs: [164, 320, 476] } as const
/** Height of a millimetre of filling, units. */
const PER_MM = 66
/** More than this does not fit into the field: an overfull tube runs out of sight. */
const FILL_MOST = 330
const SPACING = { fine: 7.6, coarse: 13 } as const
export type Grain = keyof typeof SPACING

/** A grain where it was packed, seen from the front. */
export interface PackedGrain {
  /** From the axis, units. */
  readonly x: number
  /** Up from the bottom of the bore, units. */
  readonly up: number
  /** Towards the eye, −1 to 1: what is in front is drawn over what is behind, and lighter. */
  readonly z: number
  readonly size: number
  /** 0 to 1, which of the drawn shapes it has. */
  readonly shape: number
  readonly shell: number
  /** It melts once so much of its shell is liquid, 0 to 1. */
  readonly meltsAt: number
}
export interface Powder {
  readonly grains: readonly PackedGrain[]
  /** Height of the filling, units. */
  readonly fill: number
  /** Where drops come up, in their order; the first is the one nobody misses. */
  readonly drops: readonly { readonly x: number; readonly up: number; readonly radius: number }[]
  /** Where the wall becomes wet first. */
  readonly wets: readonly { readonly side: -1 | 1; readonly up: number; readonly length: number }[]
}

/**
 * A packed capillary: the same seed is the same tube.
 *
 * @param fillMm height of the filling, mm
 */
export function packPowder(seed: number, fillMm: number, grain: Grain): Powder {
  let state = seed
  const random = () => {
    const drawn = nextRandom(state)
    state = drawn.state
    return drawn.value
  }
  const spacing = SPACING[grain]
  const fill = Math.min(FILL_MOST, fillMm * PER_MM)
  const bore = TUBE.halfWidth - 3
  const grains: PackedGrain[] = []
  for (let row = 0, up = spacing * 0.55; up < fill; row++, up += spacing * 0.86) {
    const half = halfWidthAt(up, bore)
    const offset = row % 2 === 0 ? 0 : spacing / 2
    for (let x = -half + spacing * 0.45 + offset * 0.5; x < half - spacing * 0.3; x += spacing) {
      const jittered = x + (random() - 0.5) * spacing * 0.5
      const across = Math.min(1, Math.abs(jittered) / bore)
      const z = (2 * random() - 1) * Math.sqrt(1 - across * across)
      // Shells of equal volume: as far in as the square of the distance from the axis says.
      const shell = Math.min(SHELLS - 1, Math.floor(SHELLS * (1 - Math.min(0.9999, across ** 2 + z ** 2))))
      grains.push({
        x: jittered,
        up: up + (random() - 0.5) * spacing * 0.45,
        z,
        size: spacing * (0.56 + 0.22 * random()),
        shape: random(),
        shell,
        meltsAt: 0.08 + 0.9 * random(),
      })
    }
  }
  grains.sort((p, q) => p.z - q.z)
  const drops = Array.from({ length: 7 }, (_, i) => ({
    x: i === 0 ? (random() - 0.5) * 18 : (random() - 0.5) * 1.5 * bore,
    up: fill * (i === 0 ? 0.32 + 0.2 * random() : 0.12 + 0.72 * random()),
    radius: i === 0 ? 12 : 5.5 + 5 * random(),
  }))
  const wets = Array.from({ length: 14 }, () => ({
    side: random() < 0.5 ? (-1 as const) : (1 as const),
    up: fill * (0.12 + 0.85 * random()),
    length: 5 + 7 * random(),
  }))
  return { grains, fill, drops, wets }
}

/** Half the width of the bore this far up: it is round at the bottom. */
export function halfWidthAt(up: number, bore: number): number {
  return up >= bore ? bore : Math.sqrt(Math.max(0, bore * bore - (bore - up) ** 2))
}

/** A seed for a tube of a sample: the same wherever it is looked at. */
export function seedOf(text: string): number {
  let hash = 2166136261
  for (const letter of text) hash = Math.imul(hash ^ (letter.codePointAt(0) ?? 0), 16777619)
  return hash | 0
}
