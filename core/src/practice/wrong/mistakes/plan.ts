import type { SceneLines } from './mistake'

/** What is seen in the plan. */
export const PLAN: SceneLines = {
  mistakes: [
    {
      id: 'other-literature',
      seen: 'The crude is benzil; the melting point in the plan is that of benzoin.',
      because: 'Every range will look forty degrees wrong.',
      instead: 'Look up the compound that is in the vial.',
    },
    {
      id: 'part-for-percent',
      seen: '“0.9” is typed where the purity in per cent is asked for.',
      because: 'At 0.9 % nearly all of it would be impurity, and is planned as grit.',
      instead: 'Nine tenths are 90 %.',
    },
    {
      id: 'hot-and-cold-swapped',
      seen: 'Hot is planned at 2 °C, cold at 78 °C.',
      because: 'Nothing would come out: the two were exchanged.',
      instead: 'Hot is near the boil, cold is in the ice.',
    },
    {
      id: 'impurity-is-product',
      seen: 'Benzil is named as the impurity of the benzil.',
      because: 'A compound lowers nothing in itself: the range looked for is wrong.',
      instead: 'The starting material or a by-product; unknown where nobody knows.',
    },
    {
      id: 'night-period',
      seen: 'The lab period is set from 01:00 to 05:00; the lab is open after lunch.',
      because: 'Every task is planned for the night.',
      instead: '13:00 to 17:00, and a look at the date.',
    },
  ],
  fine: [
    'Hot is planned at 78 °C, cold at 2 °C.',
    'The purity is a guess, and the plan says so.',
    '25 mg of the crude are put aside before the rest goes in.',
    'The solvent was chosen from its solubilities, hot and cold.',
  ],
}
