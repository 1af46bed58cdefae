import type { SceneLines } from './mistake'

/** What is seen leaving. */
export const LEAVING: SceneLines = {
  mistakes: [
    {
      id: 'left-on',
      seen: 'The block is left at 150 °C for whoever comes next.',
      because: 'It looks the same hot or cold, and the next tube melts as it goes in.',
      instead: 'Switch it off and leave it to cool, with a word.',
    },
    {
      id: 'hot-solution-left',
      seen: 'The period has ended; the hot solution is stoppered and put in the cupboard.',
      because: 'It is no safe stop: vapour, and crystals nobody watched.',
      instead: 'Stop at cold crystals under liquor, stoppered, labelled.',
    },
    {
      id: 'wet-cake-left',
      seen: 'The wet cake stays in the funnel until next week.',
      because: 'It dries with all its liquor in it, open to dust.',
      instead: 'Dry in a labelled vial, or not begun.',
    },
    {
      id: 'capillary-bin',
      seen: 'Used capillaries go into the paper bin.',
      because: 'They cut whoever empties it.',
      instead: 'Glass waste.',
    },
    {
      id: 'sink',
      seen: 'The liquor is poured down the sink.',
      because: 'Solvents and what is in them go where the lab collects them.',
      instead: 'Into the waste the lab names for it.',
    },
    {
      id: 'no-label-left',
      seen: 'A vial of white powder stands on the bench, nothing on it.',
      because: 'In a week nobody knows what it is, and it cannot even be thrown away rightly.',
      instead: 'Name, mass, date, bench.',
    },
  ],
  fine: [
    'The plate is off, its mark still says hot.',
    'Cold crystals under liquor, stoppered, with a label.',
    'Gloves are off before the screen is touched.',
    'The block’s log says when it was switched off.',
  ],
}
