import type { Compound } from './shelf'

type Named = Pick<Compound, 'name' | 'synonyms' | 'cas' | 'formula'>

/** Left out by most, and nothing else is meant: the other form of such an alkene is rare, and is named. */
const OF_THE_USUAL = /^(?:\(?e\)?-|trans-)/g
/** Left out by some, though another form is as usual and melts elsewhere: the other hand, the racemate, the hydrate. */
const OF_ONE_FORM = /^(?:meso-|rac-|dl-|d-|l-)|\b(?:anhydrous|(?:mono|di|tri)hydrate)\b/g
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

/** Every way a compound of the shelf may be written, whole and without what a label leaves out. */
function waysOf({ name, synonyms }: Named, leftOut: RegExp): ReadonlySet<string> {
  const ways = [name, ...synonyms].flatMap((one) => [
    letters(one),
    letters(one.trim().toLowerCase().replaceAll(leftOut, '')),
  ])
  return new Set(ways.filter((way) => way !== ''))
}

interface Index {
  readonly whole: ReadonlyMap<string, readonly number[]>
  readonly loose: ReadonlyMap<string, readonly number[]>
  /** Without the form a name is of: never taken, only asked about. */
  readonly formless: ReadonlyMap<string, readonly number[]>
}
const indexes = new WeakMap<readonly Named[], Index>()

function indexOf(compounds: readonly Named[]): Index {
  const known = indexes.get(compounds)
  if (known) return known
  const whole = new Map<string, number[]>()
  const loose = new Map<string, number[]>()
  const formless = new Map<string, number[]>()
  const put = (into: Map<string, number[]>, key: string, at: number) => {
    const there = into.get(key)
    if (!there) into.set(key, [at])
    else if (!there.includes(at)) there.push(at)
  }
  compounds.forEach((compound, at) => {
    for (const one of [compound.name, ...compound.synonyms, compound.cas ?? ''])
      if (one !== '') put(whole, one.trim().toLowerCase(), at)
    for (const way of waysOf(compound, OF_THE_USUAL)) put(loose, way, at)
    for (const way of waysOf(compound, OF_ONE_FORM)) put(formless, way, at)
    if (compound.formula !== '') put(loose, letters(compound.formula), at)
  })
  const made = { whole, loose, formless }
  indexes.set(compounds, made)
  return made
}

/**
 * The compounds that a name, synonym, registry number or formula can mean. Case, hyphens, accents and "trans-" may be
 * left out, and a place on the ring be a letter or a number; a letter wrong is not guessed here, for two compounds are
 * often one letter apart.
 *
 * @param compounds the shelf's; indexed once for each list
 * @returns none, one, or several that are written alike: isomers of one formula
 * @example compoundsCalled(shelf.compounds, 'cinnamic acid') // [trans-cinnamic acid]
 */
export function compoundsCalled<C extends Named>(compounds: readonly C[], typed: string): readonly C[] {
  const { whole, loose } = indexOf(compounds)
  return at(compounds, whole.get(typed.trim().toLowerCase()) ?? loose.get(letters(typed)))
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

/**
 * What to ask about where a name is none, or that of several: isomers of one formula, and compounds of which it leaves
 * out the form (tartaric acid for L-tartaric acid, citric acid for the anhydrous), which may be another substance.
 *
 * @example compoundsToAsk(shelf.compounds, 'tartaric acid') // [L-tartaric acid]
 */
export function compoundsToAsk<C extends Named>(compounds: readonly C[], typed: string): readonly C[] {
  const found = compoundsCalled(compounds, typed)
  return found.length > 0 ? found : at(compounds, indexOf(compounds).formless.get(letters(typed)))
}

const at = <C>(compounds: readonly C[], places: readonly number[] = []) =>
  places.flatMap((place) => compounds[place] ?? [])
