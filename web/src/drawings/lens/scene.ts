import type { TubeReading } from '@ivory-crystal/core/instruments'
import { SLUSH_FROM, type TubeLook, VISIBLE_LIQUID_FRACTION } from '@ivory-crystal/core/melting'
import { SHELLS } from '@ivory-crystal/core/simulator'
import { halfWidthAt, type PackedGrain, type Powder, TUBE } from './powder'

/** A tube as it is shown: what was read, and how far the drawing has come on the way to it. */
export interface Shown {
  readonly look: TubeLook
  /** Liquid of each shell, the outermost first, 0 to 1. */
  readonly shells: readonly number[]
  /** How far the powder has drawn together, 0 to 1. */
  readonly shrunk: number
  /** How dark it has become, 0 to 1. */
  readonly dark: number
}
export interface Scene {
  readonly grains: readonly { readonly grain: PackedGrain; x: number; up: number; opacity: number }[]
  /** Drops in the bulk, from the moment the tube is said to show them. */
  readonly drops: readonly { readonly x: number; readonly up: number; readonly radius: number }[]
  /** Wet streaks at the wall. */
  readonly wets: Powder['wets']
  /** The melt that has run together; null while there is none. */
  readonly pool: { readonly up: number; readonly opacity: number; readonly meniscus: number } | null
  readonly bubbles: readonly { readonly x: number; readonly up: number; readonly radius: number }[]
  readonly dark: number
}

const WET: readonly TubeLook[] = ['drops', 'slush', 'last crystals', 'clear', 'bubbling']
/** A melt takes up so much less room than the powder it came from. */
const COLLAPSES_BY = 0.38
const DRAWS_IN_BY = 0.1
const SINKS_BY = 0.05
/** Liquid of the whole at which the first drop stands, and at which it is slush. */
const FIRST_DROP = VISIBLE_LIQUID_FRACTION['distinct drop']
const SLUSH = SLUSH_FROM
/** So many crystals are left at the least while a last one is to be seen. */
const LAST_CRYSTALS = 3

/** Nothing of the reading is read twice: a tube whose shells are not told is taken as one. */
export function shownAs({ look, liquidFraction, shells }: TubeReading): Shown {
  return {
    look,
    shells: shells ?? Array.from({ length: SHELLS }, () => liquidFraction),
    shrunk: look === 'powder' || look === 'not in' ? 0 : 1,
    dark: look === 'bubbling' ? 1 : 0,
  }
}

/** One step of the drawing towards what was read last: what happens in a second is not seen to jump. */
export function towards(shown: Shown, read: Shown, seconds: number): Shown {
  const share = 1 - Math.exp(-seconds / 0.8)
  const to = (from: number, goal: number) =>
    Math.abs(goal - from) < 0.002 ? goal : from + share * (goal - from)
  return {
    look: read.look,
    shells: read.shells.map((goal, i) => to(shown.shells[i] ?? goal, goal)),
    shrunk: to(shown.shrunk, read.shrunk),
    dark: to(shown.dark, read.dark),
  }
}

/** Whether a drawing has come to what was read: then it stands still, unless it bubbles. */
export function isStill(shown: Shown, read: Shown): boolean {
  return (
    shown.shrunk === read.shrunk &&
    shown.dark === read.dark &&
    shown.shells.every((liquid, i) => liquid === read.shells[i])
  )
}

const between = (from: number, to: number, value: number) => {
  const share = Math.min(1, Math.max(0, (value - from) / (to - from)))
  return share * share * (3 - 2 * share)
}

/**
 * What there is to draw of a tube. Everything follows from its state; nothing is foretold: no drop stands before the
 * tube is said to show drops, and no pool before that.
 *
 * @param atS for what moves by itself (bubbles), s
 */
export function sceneOf(powder: Powder, shown: Shown, atS: number): Scene {
  const { look, shells, shrunk } = shown
  const isWet = WET.includes(look)
  const all = look === 'clear' || look === 'bubbling'
  const liquid = all ? 1 : shells.reduce((sum, part) => sum + part, 0) / shells.length
  const collapsed = isWet ? between(FIRST_DROP, 0.85, liquid) : 0
  const height = (1 - SINKS_BY * shrunk) * (1 - COLLAPSES_BY * collapsed)
  const bore = TUBE.halfWidth - 4
  const grains = all
    ? []
    : powder.grains.flatMap((grain) => {
        const left = isWet ? (grain.meltsAt - (shells[grain.shell] ?? liquid)) / 0.08 : 1
        if (left <= 0) return []
        const up = grain.up * height
        const most = halfWidthAt(up, bore)
        const x = Math.max(-most, Math.min(most, grain.x * (1 - DRAWS_IN_BY * shrunk)))
        return [{ grain, x, up, opacity: Math.min(1, left) }]
      })
  if (look === 'last crystals' && grains.length < LAST_CRYSTALS)
    for (const grain of lastOf(powder.grains).slice(0, LAST_CRYSTALS - grains.length))
      grains.push({ grain, x: 0.7 * grain.x, up: grain.up * height, opacity: 1 })
  const dropping = isWet ? between(FIRST_DROP, SLUSH, liquid) : 0
  const drops =
    look === 'drops'
      ? powder.drops
          .slice(0, 1 + Math.floor(dropping * (powder.drops.length - 1)))
          .map((drop) => ({ ...drop, up: drop.up * height }))
      : []
  const poolOpacity = isWet ? between(0.32, 0.62, liquid) : 0
  return {
    grains,
    drops,
    wets:
      look === 'sweating' || look === 'drops'
        ? powder.wets.slice(0, Math.ceil(powder.wets.length * Math.min(1, liquid / FIRST_DROP)))
        : [],
    pool:
      poolOpacity > 0
        ? { up: powder.fill * height, opacity: poolOpacity, meniscus: 7 * between(SLUSH, 0.85, liquid) }
        : null,
    bubbles: look === 'bubbling' ? bubblesAt(powder, atS) : [],
    dark: shown.dark,
  }
}

/** The grains that go last: in the middle, and slow to melt. */
function lastOf(grains: readonly PackedGrain[]): readonly PackedGrain[] {
  return [...grains].sort((p, q) => q.shell - p.shell || q.meltsAt - p.meltsAt)
}

function bubblesAt({ fill, drops }: Powder, atS: number): Scene['bubbles'] {
  const top = fill * (1 - COLLAPSES_BY)
  return drops.map(({ x, radius }, i) => ({
    x: 0.8 * x,
    up: 6 + ((atS * (14 + 2 * i) + i * 23) % Math.max(10, top - 8)),
    radius: 0.45 * radius,
  }))
}
