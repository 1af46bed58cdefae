import type { Compound } from '../substances/shelf'

/** What tubes of the exercises hold. */
const IN_TUBES = [
  'benzil',
  'benzoin',
  '1-naphthol',
  'methyl-4-nitrobenzoate',
  'triphenylmethane',
  'glutaric-acid',
  'adipic-acid',
]
/** What an unknown may be, in groups that melt near each other. */
const AMONG_SIX = [
  ...IN_TUBES,
  'ethyl-4-aminobenzoate',
  'phenanthrene',
  'resorcinol',
  '3-nitroaniline',
  '4-nitrophenol',
  'fluorene',
  '2-naphthol',
  'trans-stilbene',
  '3-methylbenzoic-acid',
  'methyl-4-hydroxybenzoate',
  'nicotinamide',
  'sebacic-acid',
  'dimethyl-terephthalate',
  'suberic-acid',
]

/** The compounds of this shelf that tubes are made of, in an order of their own: the same seed the same tube. */
export function forTubes(shelf: readonly Compound[]): readonly Compound[] {
  return inOrder(IN_TUBES, shelf)
}
/** The compounds of this shelf an unknown is drawn from. */
export function forUnknowns(shelf: readonly Compound[]): readonly Compound[] {
  return inOrder(AMONG_SIX, shelf)
}

function inOrder(ids: readonly string[], shelf: readonly Compound[]): readonly Compound[] {
  return ids.flatMap((id) => shelf.find((one) => one.id === id) ?? [])
}
