/** Red, green and blue, 0 to 255. */
export type Tint = readonly [number, number, number]

/** What the words of a colour look like in powder, under a warm lamp; the longer word before the shorter. */
const WORDS: readonly (readonly [string, Tint])[] = [
  ['orange-red', [206, 92, 46]],
  ['pale yellow', [240, 228, 168]],
  ['bright yellow', [242, 212, 44]],
  ['off-white', [238, 229, 208]],
  ['light brown', [206, 178, 138]],
  ['light tan', [222, 203, 166]],
  ['pale tan', [226, 208, 174]],
  ['pinkish', [234, 208, 200]],
  ['colourless', [243, 241, 234]],
  ['white', [244, 240, 230]],
  ['yellow', [233, 208, 98]],
  ['orange', [226, 142, 52]],
  ['violet', [150, 118, 178]],
  ['purple', [150, 118, 178]],
  ['brown', [160, 118, 74]],
  ['green', [140, 172, 120]],
  ['blue', [112, 146, 190]],
  ['pink', [234, 188, 186]],
  ['grey', [190, 186, 178]],
  ['black', [70, 64, 60]],
  ['tan', [214, 190, 148]],
  ['red', [190, 72, 56]],
]
/** What nobody has described looks like most solids do. */
const UNTOLD: Tint = [242, 236, 222]

/**
 * The colour of a powder from the words of its row: “white to pale yellow” lies between the two. What comes after a
 * comma tells of something else.
 */
export function tintOf(colour: string | null): Tint {
  const words = (colour ?? '').toLowerCase().split(',')[0] ?? ''
  const tints = words.split(' to ').flatMap((part) => {
    const known = WORDS.find(([word]) => part.includes(word))
    return known ? [known[1]] : []
  })
  if (tints.length === 0) return UNTOLD
  const mean = (channel: 0 | 1 | 2) => tints.reduce((sum, tint) => sum + tint[channel], 0) / tints.length
  return [mean(0), mean(1), mean(2)]
}

/** So far on the way from one to the other, 0 to 1. */
export function mix(from: Tint, to: Tint, share: number): Tint {
  const at = (channel: 0 | 1 | 2) => from[channel] + share * (to[channel] - from[channel])
  return [at(0), at(1), at(2)]
}

/** Deeper, as the melt of a powder is: what it takes out of the light it takes out more of. */
export function deepened(tint: Tint): Tint {
  const [r, g, b] = tint.map((channel) => 255 * (channel / 255) ** 2.2)
  return mix([r ?? 0, g ?? 0, b ?? 0], [196, 168, 120], 0.16)
}

export const css = ([r, g, b]: Tint, opacity = 1) =>
  `rgba(${Math.round(r)}, ${Math.round(g)}, ${Math.round(b)}, ${opacity})`
