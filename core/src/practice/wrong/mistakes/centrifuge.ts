import type { SceneLines } from './mistake'

/** What is seen at the centrifuge. */
export const CENTRIFUGE: SceneLines = {
  mistakes: [
    {
      id: 'no-partner',
      seen: 'The tube goes in; the place opposite is empty.',
      because: 'Out of balance the rotor shakes, and a tube can break.',
      instead: 'A partner with water stands opposite.',
    },
    {
      id: 'partner-by-eye',
      seen: 'The partner was filled by eye: it is half a gram lighter.',
      because: 'At full speed half a gram is many times as much.',
      instead: 'Both are weighed, and water added until they agree within 0.1 g.',
    },
    {
      id: 'lid-open',
      seen: 'The lid is lifted while the rotor still turns.',
      because: 'What turns catches sleeves, hair and fingers.',
      instead: 'It stays shut until it stands still.',
    },
    {
      id: 'starred-tube',
      seen: 'A tube with a star in its glass is put in.',
      because: 'Under that load it breaks, and what is in it is lost.',
      instead: 'It goes into the glass waste; a sound one is taken.',
    },
  ],
  fine: [
    'Two tubes of the same mass stand opposite each other.',
    'It has stopped; only then is the lid lifted.',
    'Both tubes are closed, and dry outside.',
    'The tube has its name above the liquid.',
  ],
}
