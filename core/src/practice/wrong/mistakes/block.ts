import type { SceneLines } from './mistake'

/** What is seen at the block. */
export const BLOCK: SceneLines = {
  mistakes: [
    {
      id: 'dial-max',
      seen: 'The dial is at maximum, and the compound melts 10 °C above.',
      because: 'At 10 °C/min both ends read too high and a pure solid looks broad.',
      instead: 'Slow down to 1 or 2 °C/min 15 °C below the range.',
    },
    {
      id: 'still-hot',
      seen: 'The block still shows 131 °C from the last user; a tube of benzil (95 °C) goes in.',
      because: 'It melts as you put it in, and you see nothing.',
      instead: 'Let the block cool well below the range, then put the tube in.',
    },
    {
      id: 'looking-up',
      seen: 'The student looks up from the lens again and again to read the temperature.',
      because: 'The first drop can come at that moment.',
      instead: 'Press the key; the temperature comes from the instrument.',
    },
    {
      id: 'late-crude',
      seen: 'A crude is watched from 5 °C below its literature value.',
      because: 'A crude can begin to melt thirty or forty degrees lower: its onset is missed.',
      instead: 'Start low and watch early. Do a fast run first if necessary.',
    },
    {
      id: 'one-number',
      seen: 'The page has one temperature for the melt: 95 °C.',
      because: 'A melting range has two ends; its width shows the purity.',
      instead: 'Write first liquid and last crystal, both to 0.1 °C.',
    },
    {
      id: 'shrink-onset',
      seen: 'The dry powder pulled away from the wall, and that was marked as the first liquid.',
      because: 'Shrinking comes one to three degrees before it melts.',
      instead: 'Mark it as an early sign, and wait until it is wet.',
    },
    {
      id: 'too-fast',
      seen: 'It rises 5 °C per minute through the range, and both ends are written down.',
      because: 'The thermometer is ahead of the tube: both ends read too high and too far apart.',
      instead: 'Repeat with a new tube at 1 to 2 °C per minute through the range.',
    },
  ],
  fine: [
    'It rises 1.4 °C per minute, ten degrees below the range.',
    'The power cord does not touch the hot metal.',
    'The tube went in when the block was at the start temperature.',
    'Both ends of the range are marked to a tenth.',
  ],
}
