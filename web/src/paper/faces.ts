/** The typefaces a PDF is set in, and which characters each of them has. */
type Face = 'Text' | 'Extended' | 'Signs' | Alphabet
/** Faces of alphabets that are fetched only where a page writes in them. */
export type Alphabet = 'LatinWide' | 'Vietnamese' | 'Greek' | 'GreekWide' | 'Cyrillic' | 'CyrillicWide'

/** Latin as the app’s own typeface has it. */
const TEXT =
  /[\u0020-\u007e\u00a0-\u00ac\u00ae-\u00b4\u00b6-\u00ff\u0131\u0152\u0153\u02c6\u02da\u02dc\u2013\u2014\u2018-\u201a\u201c-\u201e\u2022\u2026\u2039\u203a\u20ac\u2122\u2212]/u
/** Further letters of Latin alphabets. */
const EXTENDED =
  /[\u0100-\u0107\u010a-\u0113\u0116-\u011b\u011e-\u0123\u0126\u0127\u012a\u012b\u012e\u012f\u0139-\u013e\u0141-\u0148\u0150\u0151\u0154\u0155\u0158-\u015b\u015e-\u0165\u016a\u016b\u016e-\u017e]/u
/** Greek, arrows, signs of mathematics, and simple shapes. */
const SIGNS =
  /[\u0391-\u03a1\u03a3-\u03a9\u03b1-\u03c9\u2032\u2033\u2190-\u2199\u21a9\u2200-\u2211\u2213-\u2226\u2228-\u222b\u2243\u2245\u2248\u2260\u2261\u2264\u2265\u2500\u25a0\u25a1\u25b2\u25b4\u25b8\u25bc\u25be\u25c7\u25cb\u25cf\u25ef\u2605\u2713]/u

const ALPHABETS: readonly (readonly [Alphabet, RegExp])[] = [
  ['Cyrillic', /[\u0400-\u045f\u0490\u0491\u04b0\u04b1\u2116]/u],
  ['Greek', /[\u0370-\u0377\u037a-\u037f\u0384-\u038a\u038c\u038e-\u03a1\u03a3-\u03e1\u03f0-\u03ff]/u],
  [
    'LatinWide',
    /[\u0100-\u0130\u0132-\u0151\u0154-\u02ba\u02bc-\u02c5\u02c7-\u02cc\u02ce-\u02d7\u02dd-\u02ff\u1e00-\u1e9f\u1ef2-\u1eff\u2020\u20a0-\u20ab\u20ad-\u20bf\u2113\u2c60-\u2c7f]/u,
  ],
  ['Vietnamese', /[\u1ea0-\u1ef1]/u],
  ['CyrillicWide', /[\u0460-\u048f\u0492-\u04af\u04b2-\u052f\u1c80-\u1c88]/u],
  [
    'GreekWide',
    /[\u1f00-\u1f15\u1f18-\u1f1d\u1f20-\u1f45\u1f48-\u1f4d\u1f50-\u1f57\u1f59\u1f5b\u1f5d\u1f5f-\u1f7d\u1f80-\u1fb4\u1fb6-\u1fc4\u1fc6-\u1fd3\u1fd6-\u1fdb\u1fdd-\u1fef\u1ff2-\u1ff4\u1ff6-\u1ffe]/u,
  ],
]

/** Written smaller and lower, or higher: the typeface has them as ordinary characters. */
const LOWER: Readonly<Record<string, string>> = {
  '₀': '0',
  '₁': '1',
  '₂': '2',
  '₃': '3',
  '₄': '4',
  '₅': '5',
  '₆': '6',
  '₇': '7',
  '₈': '8',
  '₉': '9',
  ₙ: 'n',
}
const HIGHER: Readonly<Record<string, string>> = {
  '⁰': '0',
  '⁴': '4',
  '⁵': '5',
  '⁶': '6',
  '⁷': '7',
  '⁸': '8',
  '⁹': '9',
  '⁻': '−',
  '⁺': '+',
  ᵀ: 'T',
}

/** Marks that only guide a line break or the shape of what stands before them. */
const MARKS: ReadonlySet<string> = new Set('\u00ad\u200b\u200c\u200d\u200e\u200f\u2060\ufe0f\ufeff')

export interface Piece {
  readonly text: string
  readonly face: Face
  readonly shift: 'sub' | 'sup' | null
}

/** Stands for a character that no face has. */
const UNSET = '□'

/** Characters of a text that no face has, each once; they are set as □, and told at the end of the page. */
export function unsetIn(text: string): readonly string[] {
  const found = new Set<string>()
  for (const char of text.normalize('NFC'))
    if (char !== UNSET && pieceOf(char).text === UNSET) found.add(char)
  return [...found]
}

/** The alphabets a text is written in beside the ordinary ones. */
export function alphabetsIn(text: string): ReadonlySet<Alphabet> {
  const known = new Map(ALPHABETS)
  return new Set(
    piecesOf(text)
      .map(({ face }) => face as Alphabet)
      .filter((face) => known.has(face)),
  )
}

/** A text in pieces of one face each. */
export function piecesOf(text: string): readonly Piece[] {
  const pieces: Piece[] = []
  for (const char of text.normalize('NFC').replaceAll('\u00b5', 'μ')) {
    const next = pieceOf(char)
    const last = pieces.at(-1)
    if (last && last.face === next.face && last.shift === next.shift)
      pieces[pieces.length - 1] = { ...last, text: last.text + next.text }
    else pieces.push(next)
  }
  return pieces
}

function pieceOf(char: string): Piece {
  const lower = LOWER[char]
  if (lower) return { text: lower, face: 'Text', shift: 'sub' }
  const higher = HIGHER[char]
  if (higher) return { text: higher, face: 'Text', shift: 'sup' }
  if (TEXT.test(char)) return { text: char, face: 'Text', shift: null }
  if (EXTENDED.test(char)) return { text: char, face: 'Extended', shift: null }
  if (SIGNS.test(char)) return { text: char, face: 'Signs', shift: null }
  // Spaces of other widths, and marks that only guide a line break.
  if (/\s/u.test(char)) return { text: ' ', face: 'Text', shift: null }
  if (MARKS.has(char)) return { text: '', face: 'Text', shift: null }
  const alphabet = ALPHABETS.find(([, letters]) => letters.test(char))
  if (alphabet) return { text: char, face: alphabet[0], shift: null }
  return { text: UNSET, face: 'Signs', shift: null }
}
