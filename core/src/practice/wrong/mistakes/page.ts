import type { SceneLines } from './mistake'

/** What is seen on the page. */
export const PAGE: SceneLines = {
  mistakes: [
    {
      id: 'pure-by-one',
      seen: '“The range is sharp, so it is pure benzil.”',
      because: 'A sharp range can be another compound, or a eutectic.',
      instead: '“Consistent with”; a mixed melt speaks for which.',
    },
    {
      id: 'unchecked-low',
      seen: 'Sharp, 3 °C low, thermometer never checked: “impure”.',
      because: 'A thermometer that reads low does just that to a pure sample.',
      instead: 'Check the thermometer, or melt it beside an authentic sample, first.',
    },
    {
      id: 'same-range',
      seen: 'Two samples melt alike side by side: “so they are the same compound”.',
      because: 'Many compounds melt alike; only their mixture tells.',
      instead: 'Grind them together and melt the mixture.',
    },
    {
      id: 'erased',
      seen: 'A wrong reading has been rubbed out and written over.',
      because: 'What was read is data, wrong or not.',
      instead: 'Strike it out, so that it can still be read, with the reason.',
    },
    {
      id: 'residue-all-impurity',
      seen: '“The residue of the liquor is the impurity”, says the page.',
      because: 'The liquor keeps product too: as much as dissolves in the cold.',
      instead: 'Take off what the solubility leaves there; only the rest may be impurity.',
    },
    {
      id: 'on-all-the-crude',
      seen: 'The recovery is divided by all of the crude, though 25 mg were kept back.',
      because: 'What never went in cannot come out: the figure is too low.',
      instead: 'Divide by the crude that went in.',
    },
    {
      id: 'over-a-hundred',
      seen: '“Yield 131 %” stands on the page.',
      because: 'More than all cannot be made: the wrong reagent was taken as the limiting one.',
      instead: 'Work out the moles of each reagent; the one that gives least product limits.',
    },
    {
      id: 'sharp-and-low',
      seen: '“79.0 to 79.8 °C, nearly sixteen low, but so sharp that it is pure.”',
      because: 'A mixture near its eutectic melts as sharply as a pure compound.',
      instead: 'Low counts, sharp or not: a mixed melt, or crystallize it again.',
    },
  ],
  fine: [
    '“94.0 to 95.1 °C, corrected; rate 1.2 °C/min.”',
    'A reading is struck out, with “tube moved” beside it.',
    '“Recovery 71 %: 0.4 g is still in the liquor by its solubility.”',
    'What counts as the onset is said: the distinct drop.',
  ],
}
