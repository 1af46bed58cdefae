/** A short name for a new thing, from its name. */
export function shortNameOf(name: string): string {
  const short = name
    .toLowerCase()
    .normalize('NFKD')
    .replaceAll(/[^a-z0-9]+/g, '-')
    .replaceAll(/^-+|-+$/g, '')
    .slice(0, 60)
  if (short !== '') return short
  // A name in another script is known by its letters' numbers, so that no two share one.
  const letters = [...name].filter((letter) => /\p{L}|\p{N}/u.test(letter))
  const numbers = letters.map((letter) => letter.codePointAt(0)?.toString(36) ?? '')
  return letters.length === 0 ? 'unnamed' : `u-${numbers.join('-')}`.slice(0, 60)
}
