import type { SceneLines } from './mistake'

/** What is seen at the centrifuge. */
export const CENTRIFUGE: SceneLines = {
  mistakes: [
    {
      id: 'no-partner',
      seen: 'The tube goes in, but the place opposite is empty.',
      because: 'An unbalanced rotor shakes, and a tube can break.',
      instead: 'Put a partner tube with water opposite.',
    },
    {
      id: 'partner-by-eye',
      seen: 'The partner tube was filled by eye and is half a gram lighter.',
      because: 'At full speed half a gram pulls with many times its weight.',
      instead: 'Weigh both, and add water until they agree within 0.1 g.',
    },
    {
      id: 'lid-open',
      seen: 'The lid is lifted while the rotor still turns.',
      because: 'A turning rotor catches sleeves, hair and fingers.',
      instead: 'Keep it shut until the rotor stands still.',
    },
    {
      id: 'starred-tube',
      seen: 'A tube with a star crack is put in.',
      because: 'It breaks under that load, and the sample is lost.',
      instead: 'Put it into the glass waste and take a tube without cracks.',
    },
  ],
  fine: [
    'Two tubes of the same mass are opposite each other.',
    'The lid is lifted only after the rotor has stopped.',
    'Both tubes are closed, and dry outside.',
    'The tube has its name above the liquid.',
  ],
}
