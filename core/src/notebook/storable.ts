/** Containers within containers, at most: a line of any kind needs six. */
const DEPTH_MOST = 40
/** Values in one line, at most: an hour's readings of six tubes are under 30,000. */
const VALUES_MOST = 200_000

/**
 * Whether a value read from JSON can be kept as it is, in a file and in a database, and read back the same.
 *
 * Text is refused that PostgreSQL or UTF-8 cannot hold (NUL, half a surrogate pair), and numbers that JSON cannot
 * (1e400 is read as infinity). Depth and size are bounded, so that nothing that reads it later can be made to fail.
 *
 * @returns null when it can, else why not, as a sentence
 */
export function unstorable(value: unknown): string | null {
  const open: { value: unknown; depth: number }[] = [{ value, depth: 0 }]
  let values = 0
  for (let one = open.pop(); one; one = open.pop()) {
    values += 1
    if (values > VALUES_MOST) return `One entry holds ${VALUES_MOST} values at most.`
    if (typeof one.value === 'string') {
      const trouble = textTrouble(one.value)
      if (trouble) return trouble
    } else if (typeof one.value === 'number') {
      if (!Number.isFinite(one.value)) return 'A number in it is too large to be saved.'
    } else if (one.value !== null && typeof one.value === 'object') {
      const depth = one.depth + 1
      if (depth > DEPTH_MOST) return `It is nested more than ${DEPTH_MOST} deep.`
      for (const [key, inner] of Object.entries(one.value)) {
        const trouble = key === '__proto__' ? 'A key in it may not be saved.' : textTrouble(key)
        if (trouble) return trouble
        open.push({ value: inner, depth })
      }
    }
  }
  return null
}

function textTrouble(text: string): string | null {
  if (text.includes('\0')) return 'A text in it holds the character NUL, which cannot be saved.'
  // Half of a character of two: it has no bytes in UTF-8.
  if (/[\uD800-\uDBFF](?![\uDC00-\uDFFF])|(?<![\uD800-\uDBFF])[\uDC00-\uDFFF]/.test(text))
    return 'A text in it holds half a character, which cannot be saved.'
  return null
}
