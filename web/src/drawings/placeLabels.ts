/** A label that wants to stand at a place along a line. */
export interface WantedLabel {
  readonly text: string
  readonly at: number
  /** Which part of it stands there. */
  readonly align: 'start' | 'middle'
}
export interface PlacedLabel {
  readonly text: string
  /** Where it begins, px. */
  readonly x: number
  /** 0 is next to the drawing; above it where two would cross. */
  readonly row: number
}

/** Letters of the text face are about so wide, in parts of their size. */
const LETTER = 0.54
const GAP = 10

/** Width of a text, about, px. */
export const widthOf = (text: string, fontPx: number) => LETTER * fontPx * text.length

/** A text in lines of at most a width, px; a word wider than that has a line of its own. */
export function inLines(text: string, widthPx: number, fontPx: number): readonly string[] {
  const lines: string[] = []
  for (const word of text.split(' ')) {
    const last = lines[lines.length - 1]
    if (last !== undefined && widthOf(`${last} ${word}`, fontPx) <= widthPx)
      lines[lines.length - 1] = `${last} ${word}`
    else lines.push(word)
  }
  return lines
}

/**
 * Labels side by side between two ends, none past an end, none over another: one that would cross is moved a row up.
 *
 * @param wanted in the order of their importance: the first stays next to the drawing
 * @param from left end, px
 * @param to right end, px
 */
export function placeLabels(
  wanted: readonly WantedLabel[],
  from: number,
  to: number,
  fontPx: number,
): readonly PlacedLabel[] {
  const placed: (PlacedLabel & { readonly end: number })[] = []
  for (const { text, at, align } of wanted) {
    const width = widthOf(text, fontPx)
    const begins = align === 'middle' ? at - width / 2 : at
    const x = Math.max(from, Math.min(begins, to - width))
    let row = 0
    while (placed.some((one) => one.row === row && x < one.end + GAP && one.x < x + width + GAP)) row++
    placed.push({ text, x, row, end: x + width })
  }
  return placed.map(({ text, x, row }) => ({ text, x, row }))
}
