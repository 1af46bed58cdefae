import type { SceneLines } from './mistake'

/** What is seen in the plan. */
export const PLAN: SceneLines = {
  mistakes: [
    {
      id: 'other-literature',
      seen: 'The crude is benzil, but the plan uses the melting point of benzoin.',
      because: 'Every range will look forty degrees wrong.',
      instead: 'Look up the compound that is in the vial.',
    },
    {
      id: 'part-for-percent',
      seen: '“0.9” is typed as the purity in per cent.',
      because: 'At 0.9 % nearly all of the crude would be planned as impurity.',
      instead: 'Type 90: nine tenths are 90 %.',
    },
    {
      id: 'hot-and-cold-swapped',
      seen: 'The plan says hot 2 °C and cold 78 °C.',
      because: 'No crystals would form: the two were swapped.',
      instead: 'Hot is near the boiling point, and cold is the ice bath.',
    },
    {
      id: 'impurity-is-product',
      seen: 'Benzil is named as the impurity of the benzil.',
      because: 'A compound does not lower its own melting range, so the planned range is wrong.',
      instead: 'Name the starting material or a by-product, or leave it unknown.',
    },
    {
      id: 'night-period',
      seen: 'The lab period is set from 01:00 to 05:00, but the lab opens after lunch.',
      because: 'Every task is planned for the night.',
      instead: 'Set 13:00 to 17:00, and check the date.',
    },
  ],
  fine: [
    'The plan says hot 78 °C and cold 2 °C.',
    'The purity is a guess, and the plan says so.',
    '25 mg of the crude are kept back before the rest is dissolved.',
    'The solvent was chosen from its solubilities, hot and cold.',
  ],
}
