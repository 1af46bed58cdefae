import type { SceneLines } from './mistake'

/** What is seen at the block. */
export const BLOCK: SceneLines = {
  mistakes: [
    {
      id: 'dial-max',
      seen: 'The dial stands at maximum, and the compound is 10 °C away.',
      because: 'At 10 °C/min both ends run high and a pure solid looks wide.',
      instead: 'Slow down 15 °C below, to 1 or 2 °C/min.',
    },
    {
      id: 'still-hot',
      seen: 'The block still shows 131 °C from the last user; a tube of benzil (95 °C) goes in.',
      because: 'It melts as it goes in: nothing is seen.',
      instead: 'Let it cool to well below, then the tube.',
    },
    {
      id: 'looking-up',
      seen: 'The watcher looks up from the lens to read the temperature, again and again.',
      because: 'The first drop comes while looking away.',
      instead: 'One press marks it; the number is fetched by the instrument.',
    },
    {
      id: 'late-crude',
      seen: 'A crude is watched from 5 °C below its literature value.',
      because: 'A crude may begin thirty or forty degrees lower: its onset is over.',
      instead: 'Start low and watch early; go through fast first if need be.',
    },
    {
      id: 'one-number',
      seen: 'The page has one temperature for the melt: 95 °C.',
      because: 'A melting point is two numbers; their distance says how pure.',
      instead: 'First liquid and last crystal, both with tenths.',
    },
    {
      id: 'shrink-onset',
      seen: 'The powder drew away from the wall, dry, and that was marked as the first liquid.',
      because: 'Shrinking comes one to three degrees before it melts.',
      instead: 'An early sign; wait for wet.',
    },
    {
      id: 'too-fast',
      seen: 'It climbs 5 °C a minute through the range; both ends are written down as they came.',
      because: 'The thermometer runs ahead of the tube: both ends read high, and far apart.',
      instead: '1 to 2 °C a minute through the range: again, with a fresh tube.',
    },
  ],
  fine: [
    'It climbs 1.4 °C a minute, ten degrees below.',
    'A cord lies clear of the hot metal.',
    'The tube went in when the block stood at its start.',
    'Both ends of the range are marked to a tenth.',
  ],
}
