/** A mass this many times off is a digit or the point in the wrong place more often than it is true. */
const TIMES_OFF = 8

/**
 * Whether a mass is so far off what it should be that it is asked about once before it is kept.
 *
 * @param massText as weighed, digit for digit, g
 * @param what in words, “the product”
 * @param beside what it is held against: a mass it should be near, or, for what comes out of a crude, the crude
 * @returns the question, or null
 * @example massDoubt('303.463', 'the product', { massG: 2.47, words: '2.470 g of crude', isMost: true })
 */
export function massDoubt(
  massText: string,
  what: string,
  beside: { readonly massG: number; readonly words: string; readonly isMost: boolean } | null,
): string | null {
  const massG = Number(massText)
  if (!beside || beside.massG <= 0 || massG <= 0) return null
  const times = massG / beside.massG
  const tooMuch = times >= TIMES_OFF
  const tooLittle = !beside.isMost && times <= 1 / TIMES_OFF
  if (!tooMuch && !tooLittle) return null
  return `${massText} g of ${what.replace(/^the /, '')} ${beside.isMost ? 'from' : 'where'} ${beside.words}${beside.isMost ? '' : ' is planned'}. Is there a digit too ${tooMuch ? 'many' : 'few'}, or is the point in the wrong place?`
}
