export interface Piece {
  readonly id: string
  readonly words: string
  readonly min: readonly [least: number, most: number]
  readonly needs: Readonly<Record<string, number>>
  readonly after?: readonly string[]
  readonly waitMaxMin?: number
}

const HANDS = { hands: 1 }

export const recrystallization = (prep: string, name: string): readonly Piece[] => [
  {
    id: `${prep}heat`,
    words: `Set the solvent for ${name} on the plate`,
    min: [2, 3],
    needs: { hands: 1, 'hot plate': 1 },
  },
  {
    id: `${prep}boil`,
    words: `Solvent for ${name} comes to the boil`,
    min: [6, 9],
    needs: { 'hot plate': 1 },
    after: [`${prep}heat`],
    waitMaxMin: 0,
  },
  { id: `${prep}weigh`, words: `Weigh the crude ${name}`, min: [4, 6], needs: { hands: 1, balance: 1 } },
  {
    id: `${prep}dissolve`,
    words: `Dissolve ${name} in hot portions`,
    min: [8, 13],
    needs: { hands: 1, 'hot plate': 1 },
    after: [`${prep}boil`, `${prep}weigh`],
    waitMaxMin: 10,
  },
  {
    id: `${prep}cool`,
    words: `${name} cools to the room`,
    min: [18, 28],
    needs: {},
    after: [`${prep}dissolve`],
    waitMaxMin: 0,
  },
  {
    id: `${prep}ice`,
    words: `Put ${name} into ice`,
    min: [1, 2],
    needs: { hands: 1 },
    after: [`${prep}cool`],
  },
  {
    id: `${prep}chill`,
    words: `${name} stands in ice`,
    min: [10, 14],
    needs: { ice: 1 },
    after: [`${prep}ice`],
    waitMaxMin: 0,
  },
  { id: `${prep}suction`, words: `Set up the suction for ${name}`, min: [4, 6], needs: HANDS },
  {
    id: `${prep}collect`,
    words: `Collect and rinse ${name}`,
    min: [7, 10],
    needs: HANDS,
    after: [`${prep}chill`, `${prep}suction`],
    waitMaxMin: 15,
  },
  {
    id: `${prep}air`,
    words: `Air is drawn through ${name}`,
    min: [10, 15],
    needs: {},
    after: [`${prep}collect`],
    waitMaxMin: 0,
  },
  {
    id: `${prep}mass`,
    words: `Weigh the crystals of ${name}`,
    min: [3, 5],
    needs: { hands: 1, balance: 1 },
    after: [`${prep}air`],
  },
]

export const melt = (id: string, what: string, after: readonly string[]): readonly Piece[] => [
  { id: `${id}pack`, words: `Pack a tube of ${what}`, min: [3, 5], needs: HANDS, after },
  {
    id: `${id}preheat`,
    words: `The block heats for ${what}`,
    min: [5, 8],
    needs: { block: 1 },
    after: [`${id}pack`],
  },
  {
    id: `${id}melt`,
    words: `Watch ${what} melt`,
    min: [9, 14],
    needs: { hands: 1, block: 1 },
    after: [`${id}preheat`],
  },
]

export const PAGE: Piece = {
  id: 'page',
  words: 'Write the page as far as it goes',
  min: [10, 14],
  needs: HANDS,
}

export const CRUDE = (after: readonly string[]) => melt('crude ', 'the crude benzil', after)
