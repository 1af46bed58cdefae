import type { SceneLines } from './mistake'

/** What is seen at the lens. */
export const LENS: SceneLines = {
  mistakes: [
    {
      id: 'stopped-below',
      seen: 'The run is ended with a crystal left, since the literature value is passed.',
      because: 'Without its end there is one number and no range.',
      instead: 'Go on until the last crystal is gone.',
    },
    {
      id: 'ends-exchanged',
      seen: 'First liquid stands at 97.9 °C, all liquid at 95.5 °C.',
      because: 'It cannot be clear before it begins: the two marks were exchanged.',
      instead: 'The two are exchanged back, and the line says so.',
    },
    {
      id: 'ten-off',
      seen: 'The thread stands at 87.1 °C; 97.1 is written.',
      because: 'Ten degrees off the range names another compound.',
      instead: 'The tens are read first, and then once more.',
    },
    {
      id: 'fahrenheit',
      seen: 'The scale says °F; its 191 is written down as °C.',
      because: '191 °F is 88 °C.',
      instead: 'The scale is looked at first; degrees Celsius are written.',
    },
    {
      id: 'finer-than-the-scale',
      seen: 'The scale has a mark every 2 °C; 94.37 °C is written.',
      because: 'Between two marks an eye tells halves, not hundredths.',
      instead: 'To half a division.',
    },
  ],
  fine: [
    'The slow part began ten degrees below.',
    'A sheen is marked as an early sign, not as liquid.',
    'Both ends of each tube are marked before the run is ended.',
    'The scale is read at eye level, to half a division.',
  ],
}
