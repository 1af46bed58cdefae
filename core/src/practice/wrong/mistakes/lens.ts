import type { SceneLines } from './mistake'

/** What is seen at the lens. */
export const LENS: SceneLines = {
  mistakes: [
    {
      id: 'stopped-below',
      seen: 'The run is ended above the literature value, with one crystal left.',
      because: 'Without the clear point there is no range.',
      instead: 'Go on until the last crystal melts.',
    },
    {
      id: 'ends-exchanged',
      seen: 'The page says first liquid 97.9 °C, all liquid 95.5 °C.',
      because: 'It cannot be clear before it begins to melt. The two marks were swapped.',
      instead: 'Swap the two marks back, and write down that you did.',
    },
    {
      id: 'ten-off',
      seen: 'The thermometer reads 87.1 °C, and 97.1 °C is written down.',
      because: 'A range ten degrees wrong fits another compound.',
      instead: 'Read the tens first, and check them once more.',
    },
    {
      id: 'fahrenheit',
      seen: 'The scale is in °F, and its 191 is written down as °C.',
      because: '191 °F is 88 °C.',
      instead: 'Look at the scale first, and write degrees Celsius.',
    },
    {
      id: 'finer-than-the-scale',
      seen: 'The scale has a mark every 2 °C, and 94.37 °C is written down.',
      because: 'Between two marks an eye can read halves, not hundredths.',
      instead: 'Read to half a division.',
    },
  ],
  fine: [
    'The slow heating began ten degrees below the range.',
    'A sheen is marked as an early sign, not as liquid.',
    'Both ends of each tube are marked before the run is ended.',
    'The scale is read at eye level, to half a division.',
  ],
}
