import type { SceneLines } from './mistake'

/** What is seen leaving. */
export const LEAVING: SceneLines = {
  mistakes: [
    {
      id: 'left-on',
      seen: 'The block is left at 150 °C for the next person.',
      because: 'A hot block looks like a cold one, and the next tube melts as it goes in.',
      instead: 'Switch it off, let it cool, and tell the next person.',
    },
    {
      id: 'hot-solution-left',
      seen: 'At the end of the period the hot solution is stoppered and put in the cupboard.',
      because: 'This is not a safe stop: pressure can build up, and it cools too fast.',
      instead: 'Stop when cold crystals are under the liquor, in a stoppered, labelled flask.',
    },
    {
      id: 'wet-cake-left',
      seen: 'The wet cake is left in the funnel until next week.',
      because: 'The mother liquor dries on the crystals, and dust gets in.',
      instead: 'Leave it dry in a labelled vial, or do not begin to filter.',
    },
    {
      id: 'capillary-bin',
      seen: 'Used capillaries go into the paper bin.',
      because: 'They cut the person who empties the bin.',
      instead: 'Glass waste.',
    },
    {
      id: 'sink',
      seen: 'The mother liquor is poured down the sink.',
      because: 'Solvents and solutions go into the waste containers of the lab.',
      instead: 'Put it into the waste container the lab names.',
    },
    {
      id: 'no-label-left',
      seen: 'A vial of white powder on the bench has no label.',
      because: 'In a week nobody knows what it is or how to dispose of it.',
      instead: 'Write name, mass, date and bench on it.',
    },
  ],
  fine: [
    'The hot plate is off, and its sign still says hot.',
    'Cold crystals under liquor are in a stoppered flask with a label.',
    'Gloves are taken off before the screen is touched.',
    'The log of the block says when it was switched off.',
  ],
}
