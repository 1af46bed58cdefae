import type { Compound } from './shelf'

type Named = Pick<Compound, 'name' | 'synonyms' | 'cas' | 'formula'>

/** Words that one bottle's label has and another's leaves out. */
const LEFT_OUT = /^(?:\(?(?:e|z|s|r|rs|±|\+\/-|\+|-)\)?-|trans-|meso-|rac-|dl-|d-|l-)/
const STATE = /\b(?:anhydrous|crystalline)\b/
/** Places on a benzene ring, as letters and as numbers. */
const PLACES: readonly (readonly [RegExp, string])[] = [
  [/\b(?:ortho|o)[- ](?=[a-z])/g, '2-'],
  [/\b(?:meta|m)[- ](?=[a-z])/g, '3-'],
  [/\b(?:para|p)[- ](?=[a-z])/g, '4-'],
]
const GREEK: Readonly<Record<string, string>> = { α: 'alpha', β: 'beta', γ: 'gamma', ω: 'omega' }

/** A name in letters and digits alone: case, hyphens, spaces and accents are written in many ways. */
function letters(name: string): string {
  const plain = name
    .trim()
    .toLowerCase()
    .normalize('NFKD')
    .replaceAll(/[‐‑‒–—−]/g, '-')
    .replaceAll(/[αβγω]/g, (letter) => GREEK[letter] ?? letter)
    .replaceAll('sulph', 'sulf')
  const placed = PLACES.reduce((text, [letter, number]) => text.replaceAll(letter, number), plain)
  return placed.replaceAll(/[^a-z0-9]/g, '')
}

/** Every way a compound of the shelf may be written: whole, and without what a label may leave out. */
function waysOf({ name, synonyms }: Named): ReadonlySet<string> {
  const ways = [name, ...synonyms].flatMap((one) => {
    const short = one.trim().toLowerCase().replace(LEFT_OUT, '').replace(STATE, '')
    return [letters(one), letters(short)]
  })
  return new Set(ways.filter((way) => way !== ''))
}

interface Index {
  readonly whole: ReadonlyMap<string, readonly number[]>
  readonly loose: ReadonlyMap<string, readonly number[]>
}
const indexes = new WeakMap<readonly Named[], Index>()

function indexOf(compounds: readonly Named[]): Index {
  const known = indexes.get(compounds)
  if (known) return known
  const whole = new Map<string, number[]>()
  const loose = new Map<string, number[]>()
  const put = (into: Map<string, number[]>, key: string, at: number) => {
    const there = into.get(key)
    if (!there) into.set(key, [at])
    else if (!there.includes(at)) there.push(at)
  }
  compounds.forEach((compound, at) => {
    for (const one of [compound.name, ...compound.synonyms, compound.cas ?? ''])
      if (one !== '') put(whole, one.trim().toLowerCase(), at)
    for (const way of waysOf(compound)) put(loose, way, at)
    if (compound.formula !== '') put(loose, letters(compound.formula), at)
  })
  const made = { whole, loose }
  indexes.set(compounds, made)
  return made
}

/**
 * The compounds that a name, synonym, registry number or formula can mean. Case, hyphens, accents, "trans-", "L-" and
 * the like may be left out, and a place on the ring be a letter or a number; a letter wrong is not guessed here, for
 * two compounds are often one letter apart.
 *
 * @param compounds the shelf's; indexed once for each list
 * @returns none, one, or several that are written alike: isomers of one formula
 * @example compoundsCalled(shelf.compounds, 'cinnamic acid') // [trans-cinnamic acid]
 */
export function compoundsCalled<C extends Named>(compounds: readonly C[], typed: string): readonly C[] {
  const { whole, loose } = indexOf(compounds)
  const found = whole.get(typed.trim().toLowerCase()) ?? loose.get(letters(typed)) ?? []
  return found.flatMap((at) => compounds[at] ?? [])
}

/**
 * The one compound that is meant.
 *
 * @returns null where what was typed is no name, or that of several
 */
export function compoundCalled<C extends Named>(compounds: readonly C[], typed: string): C | null {
  const found = compoundsCalled(compounds, typed)
  return found.length === 1 ? (found[0] ?? null) : null
}
