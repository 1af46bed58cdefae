import type { Compound } from '@ivory-crystal/core/substances'

/** What a search asks for: words, or a melting window in °C. */
export type Wanted = { readonly words: string } | { readonly fromC: number; readonly toC: number }

/** A single number is met within this, °C. */
const NEAR_C = 3

/** Reads a search: “95”, “90-100” and “90 to 100” are melting windows, everything else words. */
export function readSearch(text: string): Wanted {
  const typed = text.trim().toLowerCase().replaceAll('−', '-')
  const window = /^(-?\d+(?:\.\d+)?)\s*(?:-|–|to|bis|\.\.)\s*(-?\d+(?:\.\d+)?)\s*(?:°c)?$/.exec(typed)
  if (window) {
    const [a, b] = [Number(window[1]), Number(window[2])]
    return { fromC: Math.min(a, b), toC: Math.max(a, b) }
  }
  const single = /^(-?\d+(?:\.\d+)?)\s*(?:°c)?$/.exec(typed)
  if (single) return { fromC: Number(single[1]) - NEAR_C, toC: Number(single[1]) + NEAR_C }
  return { words: typed }
}

export function matches(compound: Compound, wanted: Wanted): boolean {
  if (!('words' in wanted)) return compound.meltHighC >= wanted.fromC && compound.meltLowC <= wanted.toC
  if (wanted.words === '') return true
  return searchedOf(compound).includes(wanted.words)
}

/** What of each compound is searched, in small letters, made once: names and formula apart by a line break. */
const searched = new WeakMap<Compound, string>()
function searchedOf(compound: Compound): string {
  const known = searched.get(compound)
  if (known !== undefined) return known
  const text = [compound.name, compound.formula, ...compound.synonyms].join('\n').toLowerCase()
  searched.set(compound, text)
  return text
}
