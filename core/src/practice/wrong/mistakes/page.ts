import type { SceneLines } from './mistake'

/** What is seen on the page. */
export const PAGE: SceneLines = {
  mistakes: [
    {
      id: 'pure-by-one',
      seen: '“The range is sharp, so it is pure benzil.”',
      because: 'A sharp range can also be another compound or a eutectic mixture.',
      instead: 'Write “consistent with”. A mixed melt shows which compound it is.',
    },
    {
      id: 'unchecked-low',
      seen: 'A sharp range 3 °C too low on an unchecked thermometer is called “impure”.',
      because: 'A thermometer that reads too low gives this range for a pure sample.',
      instead: 'First check the thermometer, or melt it beside an authentic sample.',
    },
    {
      id: 'same-range',
      seen: 'Two samples have equal ranges: “so they are the same compound”.',
      because: 'Many compounds melt alike. Only a mixed melt shows whether they are the same.',
      instead: 'Grind them together and melt the mixture.',
    },
    {
      id: 'erased',
      seen: 'A wrong reading was rubbed out and written over.',
      because: 'Every reading is data, even a wrong one.',
      instead: 'Strike it out so that it can still be read, and give the reason.',
    },
    {
      id: 'residue-all-impurity',
      seen: 'The page says: “The residue of the mother liquor is the impurity”.',
      because: 'The mother liquor also holds product: as much as dissolves when cold.',
      instead: 'Subtract the product that stays dissolved. Only the rest can be impurity.',
    },
    {
      id: 'on-all-the-crude',
      seen: 'The recovery is divided by all of the crude, though 25 mg were kept back.',
      because: 'The 25 mg were never dissolved, so the recovery comes out too low.',
      instead: 'Divide by the crude that was dissolved.',
    },
    {
      id: 'over-a-hundred',
      seen: 'The page says “yield 131 %”.',
      because: 'No reaction gives more than 100 %: the wrong reagent was taken as limiting.',
      instead: 'Calculate the moles of each reagent. The one that gives the least product is limiting.',
    },
    {
      id: 'sharp-and-low',
      seen: '“79.0 to 79.8 °C is sixteen degrees low, but so sharp that it is pure.”',
      because: 'A mixture near its eutectic melts as sharply as a pure compound.',
      instead: 'A low range shows an impurity even if it is sharp. Do a mixed melt, or recrystallize it.',
    },
  ],
  fine: [
    '“94.0 to 95.1 °C, corrected; rate 1.2 °C/min.”',
    'A reading is struck out, with “tube moved” beside it.',
    '“Recovery 71 %: by its solubility, 0.4 g is still in the mother liquor.”',
    'The page says what counts as the onset: the first distinct drop.',
  ],
}
